import { demand } from '../refusal';
import { type ItemState, specOf, tally } from './items';
import { find, type Ledger, swapped, whole } from './ledger';

/**
 * Turns "several, not counted" into a number.
 *
 * @param ledger before
 * @param id item
 * @param count pieces found
 * @returns the ledger with the count
 * @throws Refusal when it was counted before
 * @example countItem(ledger, screws, 5)
 */
export function countItem(ledger: Ledger, id: string, count: number): Ledger {
  const item = find(ledger, id);
  whole(count);
  demand(item.count === null, `${specOf(item)} was counted: ${item.count}`, '/item');
  const [state] = Object.keys(item.by) as ItemState[];
  return swapped(ledger, { ...item, count, by: { [state ?? 'off']: count } });
}

/**
 * Notes how many of the pieces off cannot be found.
 *
 * @param ledger before
 * @param id item
 * @param count pieces missing, 0 when all are found again
 * @returns the ledger with the note
 * @throws Refusal when more are missing than off
 * @example miss(ledger, screws, 1)
 */
export function miss(ledger: Ledger, id: string, count: number): Ledger {
  const item = find(ledger, id);
  demand(Number.isInteger(count) && count >= 0, `a count is a whole number, not ${count}`, '/count');
  const { off } = tally(item);
  demand(count <= off, `only ${off} of ${specOf(item)} are off, so ${count} cannot be missing`, '/count');
  const { missing: _before, ...rest } = item;
  return swapped(ledger, count ? { ...rest, missing: count } : rest);
}
