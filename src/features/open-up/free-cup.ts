import type { Item, Place } from '../../core/ledger';

/** The next cup that holds nothing. */
export function freeCup(items: Item[]): Place {
  const used = new Set(items.filter((i) => i.place.kind === 'cup').map((i) => i.place.label));
  let n = 1;
  while (used.has(String(n))) n++;
  return { kind: 'cup', label: String(n) };
}
