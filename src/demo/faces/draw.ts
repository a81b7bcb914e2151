import { type Face, type FacePin, readFaceText } from '../../core/unit';

/** A drawn face from its lines, with pins as `J1 12 8`, one a line. */
export function face(
  id: string,
  [width, height]: [number, number],
  drawing: string,
  pins = '',
  more: Partial<Pick<Face, 'name' | 'under' | 'only'>> = {},
): Face {
  const stood: FacePin[] = pins
    .split('\n')
    .filter((l) => l.trim())
    .map((l) => {
      const [, on = '', x, y] = /^\s*(.+?)\s+(-?[\d.]+)\s+(-?[\d.]+)\s*$/.exec(l) ?? [];
      return { on, x: Number(x), y: Number(y) };
    });
  return {
    id,
    name: id,
    width,
    height,
    shapes: readFaceText(drawing),
    ...(stood.length ? { pins: stood } : {}),
    ...more,
  };
}
