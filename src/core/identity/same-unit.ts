import { markKey, nearMarks } from './mark';

/** What tells one unit from another: the mark on it, and who made it. */
export interface Marked {
  mark?: string;
  maker: string;
}

const key = (maker: string): string => markKey(maker);

/**
 * Whether two jobs were on the same unit: the mark and the maker agree.
 *
 * @param a a unit in hand
 * @param b another
 * @returns false where either has no mark
 * @example sameUnit({ mark: 'SP-1', maker: 'Quayle' }, { mark: 'sp 1', maker: 'Quayle' }) // true
 */
export const sameUnit = (a: Marked, b: Marked): boolean =>
  Boolean(a.mark && b.mark && markKey(a.mark)) &&
  markKey(a.mark ?? '') === markKey(b.mark ?? '') &&
  key(a.maker) === key(b.maker);

/**
 * Whether two units may be one whose mark was read differently.
 *
 * @param a a unit in hand
 * @param b another
 * @returns true where the makers agree and the marks nearly do
 * @example maybeSame({ mark: 'SP-O1234', maker: 'Quayle' }, { mark: 'SP-01234', maker: 'Quayle' }) // true
 */
export const maybeSame = (a: Marked, b: Marked): boolean =>
  Boolean(a.mark && b.mark) && key(a.maker) === key(b.maker) && nearMarks(a.mark ?? '', b.mark ?? '');
