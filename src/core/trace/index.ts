import { condition, marginals, pairIndex } from './belief';
import { buildModel } from './model';
import { moments } from './moments';
import { rank } from './next';
import { untriedLadders } from './repair';
import type { TraceAnswer, TraceRequest } from './types';

export { type Belief, condition, marginals } from './belief';
export { Everything } from './everything';
export { ASTRAY, FALSE_ALARM, readingDensities, SENSITIVITY } from './likelihood';
export { buildModel, type Model, powerMinutes, type Step } from './model';
export { GONE, hidingFrom, MOST_MOMENTS, madeSoFar, moments, timesLeft } from './moments';
export { PATTERN_Q, PATTERNS, type Pattern } from './pattern';
export { benchOf, openMinutes, orderBlocks, paying, walk } from './repair';
export { Search } from './search';
export type * from './types';

const SETS_SHOWN = 200;

/**
 * How many moments a full look at every way on from a request may meet; over 100,000 of them the answer
 * looks ahead instead.
 *
 * @param request as for {@link trace}
 * @returns a number of moments
 * @throws Refusal naming the wrong id and its path
 * @example momentsOf({ elements: [{ id: 'a', weight: 1, repairMinutes: 5 }], checks: [] }) // 2
 */
export function momentsOf(request: TraceRequest): number {
  const model = buildModel(request);
  return moments(model, condition(model).belief, untriedLadders(model));
}

/**
 * Suspicion alone, without ranking what to do next.
 *
 * @param request as for {@link trace}
 * @returns chance per element, 0 to 1, in the order of the request, and whether the log is believable
 * @throws Refusal naming the wrong id and its path
 * @example suspicion({ elements: [{ id: 'a', weight: 3, repairMinutes: 1 }, { id: 'b', weight: 1, repairMinutes: 1 }], checks: [] }).belief[0].p // 0.75
 */
export function suspicion(request: TraceRequest): Pick<TraceAnswer, 'belief' | 'contradiction'> {
  const { belief, contradiction } = condition(buildModel(request));
  const p = marginals(belief);
  return { belief: request.elements.map((e, i) => ({ id: e.id, p: p[i] as number })), contradiction };
}

/**
 * Which element is at fault, and what to do next.
 *
 * Method: Bayes over fault sets with a noisy-OR check model, and a decision-theoretic ranking of
 * checks and repairs by expected minutes (Heckerman, Breese, Rommelse, CACM 38(3), 1995).
 *
 * @param request elements, checks, access, log and options; minutes, chances 0 to 1
 * @returns suspicion per element, the ranked next actions, the minutes when repairing now, and
 *   whether the log contradicts every single explanation
 * @throws Refusal naming the wrong id and its path
 * @example
 * trace({
 *   elements: [{ id: 'a', weight: 1, repairMinutes: 10 }, { id: 'b', weight: 1, repairMinutes: 10 }],
 *   checks: [{ id: 'tap', exercises: ['a'], minutes: 1 }],
 *   log: [{ check: 'tap', outcome: 'bad' }],
 * }).belief[0].p // 0.9706 / 0.9906 = 0.9798
 */
export function trace(request: TraceRequest): TraceAnswer {
  const model = buildModel(request);
  const { belief, contradiction } = condition(model);
  const p = marginals(belief);
  const ids = request.elements.map((e) => e.id);
  const { next, repairNowMinutes, enough, method } = rank(model, belief);
  const answer: TraceAnswer = {
    belief: ids.map((id, i) => ({ id, p: p[i] as number })),
    next: next.slice(0, request.options?.top ?? 5),
    repairNowMinutes,
    enough,
    contradiction,
    ...(method ? { method } : {}),
  };
  if (belief.two || belief.none > 0) {
    const sets = ids.map((id, i) => ({ ids: [id], p: belief.one[i] as number }));
    if (belief.none > 0) sets.push({ ids: [], p: belief.none });
    if (belief.two) {
      for (let i = 0; i < ids.length; i++) {
        for (let j = i + 1; j < ids.length; j++) {
          sets.push({
            ids: [ids[i] as string, ids[j] as string],
            p: belief.two[pairIndex(ids.length, i, j)] as number,
          });
        }
      }
    }
    answer.faultSets = sets
      .filter((s) => s.p > 0)
      .sort((a, b) => b.p - a.p)
      .slice(0, SETS_SHOWN);
  }
  return answer;
}
