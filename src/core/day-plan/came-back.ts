import type { Movement } from '../stock';
import { minutesTo } from './clock';
import type { DayPlan } from './types';

/** Minutes from its midnight in which something still belongs to a day: it may go on into the next morning. */
const LONGEST_DAY = 36 * 60;

/** What the ledger says of things that were in the van of a day. */
export const vanOfDay = ({ person, day }: Pick<DayPlan, 'person' | 'day'>): string =>
  `van of ${person}, ${day}`;

/**
 * What is missing of a thing that went along in the van: what went, less what the jobs used up, less what came
 * back, less what was written down for this van already. Counted again, it is not written down twice.
 *
 * @param plan the day
 * @param tags of its jobs
 * @param movements of the thing, in the order of the ledger
 * @param took how many went along
 * @param back how many came back
 * @returns used by the jobs on that day; missing, under 0 where there is more than there should be
 * @example cameBack(plan, ['SP-1'], [], 2, 1) // { used: 0, missing: 1 }
 */
export function cameBack(
  plan: DayPlan,
  tags: string[],
  movements: Movement[],
  took: number,
  back: number,
): { used: number; missing: number } {
  let used = 0;
  let written = 0;
  for (const m of movements) {
    if (m.why?.startsWith(`${vanOfDay(plan)}:`)) {
      if (m.kind === 'written off') written += m.count;
      if (m.kind === 'found') written -= m.count;
    }
    const at = minutesTo(plan.day, m.at, plan.zone);
    if (at < 0 || at >= LONGEST_DAY || !m.job || !tags.includes(m.job.tag)) continue;
    if (m.kind === 'used') used += m.count;
    if (m.kind === 'returned') used -= m.count;
  }
  // Nothing is 0, from either side.
  const exact = (n: number) => Math.round(n * 1000) / 1000 + 0;
  return { used: exact(used), missing: exact(took - used - back - written) };
}
