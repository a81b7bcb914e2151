import { demand } from '../refusal';
import { type Item, type Place, tally } from './items';
import { find, type Ledger, swapped } from './ledger';

/**
 * Things that would fall or slide when the unit is turned: back but loose, or screws left in their holes
 * or lying in a part. Common practice, no source.
 *
 * @param ledger now
 * @returns the things, in the order in which they came off
 * @example looseNow(ledger).map(specOf) // ['M3×8 PH1']
 */
export const looseNow = (ledger: Ledger): Item[] =>
  ledger.items.filter(
    (i) =>
      (i.by.loose ?? 0) > 0 ||
      (i.kind === 'fastener' &&
        tally(i).off > 0 &&
        (i.place.kind === 'left in the part' || i.place.kind === 'in its own hole')),
  );

/**
 * Moves an item to another place.
 *
 * @param ledger before
 * @param id item
 * @param place where it is kept from now on
 * @returns the ledger with the item there
 * @throws Refusal when there is no such item
 * @example stash(ledger, screws, { kind: 'bag', label: 'H' })
 */
export function stash(ledger: Ledger, id: string, place: Place): Ledger {
  return swapped(ledger, { ...find(ledger, id), place });
}

/**
 * Notes what was cut, trimmed or shortened on an item.
 *
 * @param ledger before
 * @param id item
 * @param what the change, with its measure
 * @returns the ledger with the note
 * @throws Refusal when nothing is said, or there is no such item
 * @example alter(ledger, 'W4', 'shortened by 12 mm')
 */
export function alter(ledger: Ledger, id: string, what: string): Ledger {
  demand(what.trim() !== '', 'say what was altered, with its measure', '/what');
  return swapped(ledger, { ...find(ledger, id), altered: what.trim() });
}
