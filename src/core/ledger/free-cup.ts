import type { Item, Place } from './items';

/**
 * Cups that hold something, by what is written on them.
 *
 * @param items of the tray
 * @returns labels, one for each item that lies in a cup
 * @example cupsInUse([{ …, place: { kind: 'cup', label: '2' } }]) // ['2']
 */
export const cupsInUse = (items: readonly Pick<Item, 'place'>[]): string[] =>
  items.flatMap(({ place }) => (place.kind === 'cup' && place.label ? [place.label] : []));

/**
 * The next cup that holds nothing.
 *
 * @param taken cups that hold something
 * @param from the first that comes into question, counted from 1
 * @returns a cup
 * @example freeCup(['1', '3']).label // '2'
 */
export function freeCup(taken: readonly string[], from = 1): Place & { label: string } {
  let n = from;
  while (taken.includes(String(n))) n++;
  return { kind: 'cup', label: String(n) };
}
