import { distance } from 'fastest-levenshtein';

/** Signs that are read for one another on a worn label. Common practice, no source. */
const ALIKE: Record<string, string> = {
  O: '0',
  Q: '0',
  D: '0',
  I: '1',
  L: '1',
  B: '8',
  S: '5',
  Z: '2',
  G: '6',
};
/** Marks shorter than this are too often one sign apart by chance. Common practice, no source. */
const LEAST_FOR_NEAR = 4;

/**
 * A serial or asset mark as it is compared: without blanks and dashes, in capitals.
 *
 * @param mark as read
 * @returns its key; empty where nothing can be read in it
 * @example markKey(' sp-04 411') // 'SP04411'
 */
export const markKey = (mark: string): string =>
  mark
    .normalize('NFKC')
    .toLocaleUpperCase('en')
    .replace(/[^\p{L}\p{N}]/gu, '');

const worn = (key: string): string => [...key].map((c) => ALIKE[c] ?? c).join('');

/**
 * Whether two marks are nearly the same: one sign apart, or alike where signs are worn. Whoever reads them
 * is asked; nothing is merged by itself.
 *
 * @param a a mark
 * @param b another
 * @returns true for marks that are not the same and may be meant to be
 * @example nearMarks('SP-O4411', 'SP-04411') // true
 */
export function nearMarks(a: string, b: string): boolean {
  const [x, y] = [markKey(a), markKey(b)];
  if (x === y || Math.min(x.length, y.length) < LEAST_FOR_NEAR) return false;
  return worn(x) === worn(y) || distance(x, y) === 1;
}
