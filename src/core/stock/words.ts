import type { StockItem } from './types';

/**
 * An amount of a thing in words.
 *
 * @param count how many
 * @param unit what it is counted in
 * @returns with its unit and a no-break space
 * @example amountOf(1, 'pieces') // '1 piece'
 */
export const amountOf = (count: number, unit: string): string =>
  `${count}\u00a0${count === 1 && unit === 'pieces' ? 'piece' : unit}`;

/**
 * Where a thing of the store lies, in words.
 *
 * @param item of the store
 * @returns kind of place and what stands on it
 * @example placeOf(glue) // 'shelf B2'
 */
export const placeOf = ({ place }: Pick<StockItem, 'place'>): string =>
  [place.kind, place.label].filter(Boolean).join(' ');
