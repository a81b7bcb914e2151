import { demand } from '../refusal';
import type { WayBackNote } from '../unit';
import type { Ledger } from './ledger';

/**
 * What is different on the way back, in words.
 *
 * @param note torque in N·m, cure in minutes
 * @returns words parted by commas, empty when nothing differs
 * @example backWords({ fresh: true, torqueNm: 1.2 }) // 'a new one, 1.2 N·m'
 */
export function backWords(note: WayBackNote): string {
  return [
    note.fresh ? 'a new one' : '',
    note.torqueNm === undefined ? '' : `${note.torqueNm}\u00a0N·m`,
    note.note?.trim() ?? '',
    note.cureMinutes === undefined ? '' : `cures ${note.cureMinutes}\u00a0min`,
  ]
    .filter(Boolean)
    .join(', ');
}

/**
 * Notes how a thing that is new every time went in.
 *
 * @param ledger before
 * @param id item
 * @param once what went in, or why the old one did
 * @returns the ledger with the words
 * @example onceSaid(ledger, screws, 'new ones')
 */
export const onceSaid = (ledger: Ledger, id: string, once: string): Ledger => ({
  ...ledger,
  items: ledger.items.map((i) => (i.id === id ? { ...i, once } : i)),
});

/**
 * Notes on an item what is different when it goes back. A new one every time is owed as a write-off.
 *
 * @param ledger before
 * @param id item
 * @param note what differs; torque in N·m, cure in minutes
 * @returns the ledger with the note
 * @throws Refusal when nothing is said, a torque or a cure is not over 0, or there is no such item
 * @example noteBack(ledger, 'gasket', { fresh: true })
 */
export function noteBack(ledger: Ledger, id: string, note: WayBackNote): Ledger {
  demand(backWords(note) !== '', 'say what is different on the way back', '/note');
  demand(note.torqueNm === undefined || note.torqueNm > 0, 'a torque is over 0 N·m', '/torqueNm');
  demand(note.cureMinutes === undefined || note.cureMinutes > 0, 'a cure is over 0 min', '/cureMinutes');
  demand(
    ledger.items.some((i) => i.id === id),
    'there is no such thing in the tray',
    '/item',
  );
  return {
    ...ledger,
    items: ledger.items.map((i) =>
      i.id === id ? { ...i, back: note, ...(note.fresh ? { undoneBy: 'replaced by' as const } : {}) } : i,
    ),
  };
}
