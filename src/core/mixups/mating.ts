import type { Header, Plug } from './types';

/** What a cable can be stretched and bent beyond its free length, mm. Common practice, no source. */
const SLACK_MM = 10;

/** Whether nothing about the two keeps the plug from being turned round. */
export const unkeyed = (p: Plug, h: Header): boolean => p.key === null || h.key === null;

/**
 * Whether a plug goes into a header: same family, pitch and rows, keys that agree (none mates any),
 * as many positions or an open header with more, and within reach.
 *
 * @example mates(plug, header) // true
 */
export function mates(p: Plug, h: Header): boolean {
  if (p.family !== h.family || p.pitch !== h.pitch || p.rows !== h.rows) return false;
  if (!unkeyed(p, h) && p.key !== h.key) return false;
  if (p.positions !== h.positions && !(h.open && p.positions < h.positions)) return false;
  if (p.exit.board !== h.at.board) return false;
  return Math.hypot(p.exit.x - h.at.x, p.exit.y - h.at.y) <= p.freeLength + SLACK_MM;
}

/** Which header contact each plug contact meets; null = it hangs. */
export type Meeting = (number | null)[];

export const straight = (p: Plug): Meeting => Array.from({ length: p.positions }, (_, i) => i);
/** Turned by half: the first meets the last, in one row and in two counted zig-zag. */
export const reversed = (p: Plug): Meeting =>
  Array.from({ length: p.positions }, (_, i) => p.positions - 1 - i);

/**
 * The ways a plug can sit one off in an open header: one place along either way, and one row over
 * where there are two, half of it hanging.
 *
 * @returns each with its shift in contact numbers
 * @example shifts(plug, header).map((s) => s.shift) // [1, -1]
 */
export function shifts(p: Plug, h: Header): { shift: number; meeting: Meeting }[] {
  const inside = (k: number) => (k >= 0 && k < h.positions ? k : null);
  const along = [p.rows, -p.rows].map((shift) => ({
    shift,
    meeting: straight(p).map((i) => inside((i ?? 0) + shift)),
  }));
  if (p.rows === 1) return along;
  const rows = [1, -1].map((shift) => ({
    shift,
    // Row one is 1, 3, 5 …: moved over, one row meets the other and the second hangs in the air.
    meeting: straight(p).map((i) =>
      ((i ?? 0) % 2 === 0) === (shift === 1) ? inside((i ?? 0) + shift) : null,
    ),
  }));
  return [...along, ...rows];
}
