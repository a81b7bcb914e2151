import type { Belief } from './belief';
import { Everything, type ExactAct } from './everything';
import type { Model, Step } from './model';
import { MOST_MOMENTS, moments } from './moments';

/**
 * Every act of a moment with the least minutes it can lead to, by full dynamic programming: after each
 * answer and each remedy that did not help, the best that there is from there.
 *
 * Method: backward induction over the moments that can be met (Bellman, Dynamic Programming, 1957). One
 * fault; a check is made once, and once more while it may hide what it exercises; rungs of a ladder may
 * be skipped and the last one mends for certain; openings are paid once, by what needs them.
 *
 * @param model a checked model without pairs
 * @param belief weights that sum to 1
 * @param ladders rungs still to try, per element
 * @returns acts, soonest mended first, and the minutes when no check is made any more; null where more
 *   than {@link MOST_MOMENTS} moments may be met, two faults are allowed, or there may be none
 * @example exactActs(model, belief, ladders)?.acts[0].minutes // E*, minutes
 */
export function exactActs(
  model: Model,
  belief: Belief,
  ladders: Step[][],
): { acts: ExactAct[]; repairNowMinutes: number } | null {
  if (belief.two || belief.none > 0 || moments(model, belief, ladders) > MOST_MOMENTS) return null;
  return {
    acts: new Everything(model, belief, ladders).acts().sort((a, b) => a.minutes - b.minutes),
    repairNowMinutes: new Everything(model, belief, ladders, { repairsOnly: true }).least(),
  };
}
