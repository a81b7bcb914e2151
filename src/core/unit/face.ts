import { demand } from '../refusal';
import type { Only } from './map';

/** What a face is drawn of. A new kind is a new word here, a shape in the drawing, and nothing else. */
export const SHAPE_KINDS = ['panel', 'vent', 'port', 'label', 'window', 'board', 'part', 'hole'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];

/** One thing drawn on a face; millimetres from its top left corner. */
export interface FaceShape {
  kind: ShapeKind;
  x: number;
  y: number;
  /** absent for a hole */
  w?: number;
  h?: number;
  /** what it is, or what is written on it */
  text?: string;
  /** the cover that a panel is, or that a hole holds down */
  of?: string;
  /** of a hole: the screw that belongs in it */
  thread?: string;
  /** of a hole: the longest screw that may go in, mm */
  longestMm?: number;
}

/** A numbered pin: something of the map, at its place. */
export interface FacePin {
  x: number;
  y: number;
  /** designator of an element, tap, plug, header, hazard or cover; or words of one's own */
  on: string;
}

/** One side of the unit, or what is seen under a cover: a small drawing or a photograph, in millimetres. */
export interface Face {
  id: string;
  name: string;
  width: number;
  height: number;
  /** cover under which it is seen; a side of the closed unit when absent */
  under?: string;
  /** picture kept in the file store, in place of a drawing */
  photo?: string;
  shapes?: FaceShape[];
  pins?: FacePin[];
  only?: Only;
}

/** A hole of a cover, as it lies on a face. */
export interface FaceHole {
  x: number;
  y: number;
  thread?: string;
  longestMm?: number;
}

/**
 * Where the screws of a cover sit, read off the faces.
 *
 * @param faces of the map
 * @param cover id of the cover
 * @returns holes in their order on the face that has most of them, millimetres; empty when none is drawn
 * @example holesOf(map.faces, 'rear cover').length // 4
 */
export function holesOf(faces: Face[] | undefined, cover: string): FaceHole[] {
  let most: FaceHole[] = [];
  for (const f of faces ?? []) {
    const here = (f.shapes ?? []).filter((s) => s.kind === 'hole' && s.of === cover);
    if (here.length > most.length)
      most = here.map(({ x, y, thread, longestMm }) => ({
        x,
        y,
        ...(thread ? { thread } : {}),
        ...(longestMm ? { longestMm } : {}),
      }));
  }
  return most;
}

/**
 * Checks that faces hold together: ids once, sizes over 0, everything on the face, covers known.
 *
 * @param faces of the map
 * @param access ids of the covers
 * @param path of the list, for what is refused
 * @throws Refusal with the path of the first thing that is wrong
 * @example checkFaces([{ id: 'rear', name: 'rear', width: 0, height: 9 }], new Set()) // refused: width
 */
export function checkFaces(faces: Face[], access: ReadonlySet<string>, path = '/faces'): void {
  const ids = new Set<string>();
  faces.forEach((f, i) => {
    const at = `${path}/${i}`;
    demand(!ids.has(f.id), `face ${f.id} is there twice`, `${at}/id`);
    ids.add(f.id);
    demand(f.width > 0, `the width of ${f.name} must be over 0 mm`, `${at}/width`);
    demand(f.height > 0, `the height of ${f.name} must be over 0 mm`, `${at}/height`);
    demand(f.under === undefined || access.has(f.under), `${f.under} is no cover of this map`, `${at}/under`);
    const inside = (p: { x: number; y: number }, what: string, where: string) =>
      demand(
        p.x >= 0 && p.y >= 0 && p.x <= f.width && p.y <= f.height,
        `${what} at ${p.x} ${p.y} lies off the face, which is ${f.width} × ${f.height} mm`,
        where,
      );
    f.shapes?.forEach((s, k) => {
      inside(s, s.kind, `${at}/shapes/${k}`);
      demand(
        s.kind === 'hole' || ((s.w ?? 0) > 0 && (s.h ?? 0) > 0),
        `${s.kind} ${k + 1} of ${f.name} needs a width and a height over 0 mm`,
        `${at}/shapes/${k}`,
      );
      demand(
        s.of === undefined || access.has(s.of),
        `${s.of} is no cover of this map`,
        `${at}/shapes/${k}/of`,
      );
    });
    f.pins?.forEach((p, k) => {
      inside(p, p.on, `${at}/pins/${k}`);
      demand(p.on.trim() !== '', 'say what the pin is on', `${at}/pins/${k}/on`);
    });
  });
}
