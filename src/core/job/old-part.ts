import { folded } from '../hazard';
import type { ItemDraft, Ledger } from '../ledger';
import type { JobState } from './state';

/** The ledger with a thing marked as the old part: something else goes in its place. */
export const markOld = (ledger: Ledger, id: string): Ledger => ({
  ...ledger,
  items: ledger.items.map((i) => (i.id === id ? { ...i, old: true, undoneBy: 'replaced by' as const } : i)),
});

/**
 * Whether what comes off is the part that is planned to be replaced: lifting it is its Out.
 *
 * @param state a job
 * @param item as it is about to be recorded
 * @returns true when the planned element is named by its mark or by what it is
 * @example isPlannedPart(state, { kind: 'part', name: 'B1', … }) // true
 */
export function isPlannedPart(state: JobState, item: ItemDraft | null): boolean {
  const { plan } = state;
  if (item?.kind !== 'part' || plan?.remedyKind !== 'replace' || state.out || state.fix) return false;
  const element = state.map.elements.find((e) => e.id === plan.element);
  if (!element) return false;
  const said = folded(item.name).replace(/^old /, '');
  return [element.id, element.name, `${element.name} ${element.id}`, `${element.id} ${element.name}`].some(
    (n) => folded(n) === said,
  );
}
