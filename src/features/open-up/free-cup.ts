import type { Item, Place } from '../../core/ledger';

/** Cups that hold something. */
export const cupsInUse = (items: readonly Item[]): string[] =>
  items.flatMap(({ place }) => (place.kind === 'cup' && place.label ? [place.label] : []));

/** The next cup that holds nothing. */
export function freeCup(items: readonly Item[]): Place {
  const used = new Set(cupsInUse(items));
  let n = 1;
  while (used.has(String(n))) n++;
  return { kind: 'cup', label: String(n) };
}
