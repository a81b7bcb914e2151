import { backWords, type Item, placeWords, specOf, tally } from '../ledger';
import type { Reported } from './kinds/kind';
import type { JobState } from './state';

/** A thing of the tray by its id. */
export const itemOf = (state: JobState, id: string): Item | undefined =>
  state.ledger.items.find((i) => i.id === id);

/** What a thing of the tray is, in words. */
export function itemSpec(state: JobState, id: string): string {
  const i = itemOf(state, id);
  return i ? specOf(i) : 'a thing';
}

/** What is different going back; a note alone is one. */
function backOf({ back }: Item): string {
  if (!back) return '';
  const { note, ...differs } = back;
  return `${Object.keys(differs).length === 0 ? 'noted' : 'going back'}: ${backWords(back)}`;
}

/**
 * Report of what one entry took off the unit, and what became of it.
 *
 * @param state the job as it stands
 * @param entry id of the entry
 * @returns one line per thing; things that were fitted new are none
 * @example cameOff(state, moveId)[0].text // '4 × M3×8 PH1, rear cover'
 */
export function cameOff(state: JobState, entry: string): Reported[] {
  return state.ledger.items
    .filter((i) => (!i.fresh || i.assembly) && (i.id === entry || i.id.startsWith(`${entry}.`)))
    .map((i) => {
      const t = tally(i);
      const parts = [
        t.back ? `${t.back} back` : '',
        ...i.writtenOff.map((w) => `${w.count} written off, ${w.reason}; ${w.replacement}`),
        t.off && i.undoneBy !== 'nothing' ? `${t.off} still ${placeWords(i.place)}` : '',
        i.missing ? `${i.missing} missing` : '',
        i.proof ? `proven: ${i.proof.how}` : '',
        i.altered ? `altered: ${i.altered}` : '',
        i.measured ? `one measured, ${i.measured.mm}\u00a0mm` : '',
        i.once ?? '',
        backOf(i),
      ];
      return {
        under: 'Came off and went back' as const,
        at: i.at,
        text: `${i.count === null ? 'several' : t.taken} × ${specOf(i)}${i.from ? `, ${i.from}` : ''}`,
        result: parts.filter(Boolean).join('; '),
      };
    });
}
