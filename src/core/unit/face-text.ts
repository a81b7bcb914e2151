import { Refusal } from '../refusal';
import { type FaceShape, SHAPE_KINDS, type ShapeKind } from './face';

const number = (word: string | undefined): number =>
  word === undefined || word === '' ? Number.NaN : Number(word.replace(',', '.'));
const LONGEST = /\s+longest\s+(\d+(?:[.,]\d+)?)\s*(?:mm)?\s*$/i;
const THREAD = /^(?:M\d+(?:[.,]\d+)?|ST\d+(?:[.,]\d+)?|#?\d+-\d+|\d+\/\d+-\d+)$/i;

/** Kinds whose words name the cover they belong to. */
const OF_COVER: ReadonlySet<ShapeKind> = new Set<ShapeKind>(['panel', 'hole']);

function shapeOf(line: string): FaceShape {
  const longest = LONGEST.exec(line);
  const [kind = '', x, y, ...rest] = line.replace(LONGEST, '').trim().split(/\s+/);
  const known = SHAPE_KINDS.find((k) => k === kind.toLowerCase());
  if (!known) throw new Refusal(`“${kind}” is none of ${SHAPE_KINDS.join(', ')}`);
  const at = { kind: known, x: number(x), y: number(y) };
  if (!Number.isFinite(at.x) || !Number.isFinite(at.y))
    throw new Refusal(`${known}: x and y come first, in mm`);
  const said = (words: string[]): Partial<FaceShape> => {
    const text = words.join(' ');
    return text ? (OF_COVER.has(known) ? { of: text } : { text }) : {};
  };
  if (known === 'hole') {
    const thread = THREAD.test(rest[0] ?? '') ? rest.shift() : undefined;
    return {
      ...at,
      ...(thread ? { thread: thread.toUpperCase().replace(',', '.') } : {}),
      ...said(rest),
      ...(longest ? { longestMm: number(longest[1]) } : {}),
    };
  }
  const [w, h, ...words] = rest;
  const size = { w: number(w), h: number(h) };
  if (!(size.w > 0 && size.h > 0)) throw new Refusal(`${known}: after x and y come width and height, in mm`);
  return { ...at, ...size, ...said(words) };
}

/**
 * Reads what a face is drawn of, one thing a line, millimetres from the top left corner:
 * `panel 0 0 210 148 rear cover`, `port 10 130 30 12 mains`, `hole 6 6 M3 rear cover longest 10`.
 *
 * @param text lines; empty ones are left out
 * @returns shapes in their order
 * @throws Refusal naming the line that cannot be read
 * @example readFaceText('hole 6 6 M3 lid longest 10')[0] // { kind: 'hole', x: 6, y: 6, thread: 'M3', of: 'lid', longestMm: 10 }
 */
export function readFaceText(text: string): FaceShape[] {
  return text.split(/\r?\n/).flatMap((line, i) => {
    if (!line.trim()) return [];
    try {
      return [shapeOf(line.trim())];
    } catch (error) {
      if (error instanceof Refusal) throw new Refusal(`line ${i + 1}: ${error.message}`, error.path);
      throw error;
    }
  });
}

/**
 * The same, written out.
 *
 * @param shapes of a face
 * @returns one line each
 * @example faceText([{ kind: 'vent', x: 1, y: 2, w: 30, h: 4 }]) // 'vent 1 2 30 4'
 */
export function faceText(shapes: FaceShape[]): string {
  return shapes
    .map((s) =>
      [
        s.kind,
        s.x,
        s.y,
        s.kind === 'hole' ? '' : s.w,
        s.kind === 'hole' ? '' : s.h,
        s.thread,
        s.of ?? s.text,
        s.longestMm === undefined ? '' : `longest ${s.longestMm}`,
      ]
        .filter((x) => x !== undefined && x !== '')
        .join(' '),
    )
    .join('\n');
}
