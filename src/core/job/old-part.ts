import type { ItemDraft, Ledger } from '../ledger';
import { outsOf, planNamed } from './opening';
import type { JobState } from './state';

/** The ledger with a thing marked as the old part: something else goes in its place. */
export const markOld = (ledger: Ledger, id: string): Ledger => ({
  ...ledger,
  items: ledger.items.map((i) => (i.id === id ? { ...i, old: true, undoneBy: 'replaced by' as const } : i)),
});

/**
 * Whether what comes off is a part that is planned to be replaced: lifting it is its Out.
 *
 * @param state a job
 * @param item as it is about to be recorded
 * @returns true when the planned element is named by its mark or by what it is
 * @example isPlannedPart(state, { kind: 'part', name: 'B1', … }) // true
 */
export function isPlannedPart(state: JobState, item: ItemDraft | null): boolean {
  if (item?.kind !== 'part' || state.fix) return false;
  const plan = planNamed(state, item.name);
  return plan !== undefined && !outsOf(state).some((o) => o.element === plan.element);
}
