import { demand } from '../refusal';
import {
  type Belief,
  benchOf,
  Everything,
  GONE,
  hidingFrom,
  MOST_MOMENTS,
  type Model,
  madeSoFar,
  marginals,
  moments,
  orderBlocks,
  paying,
  Search,
  type Step,
  timesLeft,
  walk,
} from '../trace';
import { fromRung } from './model';
import type { Method } from './types';

/** Minutes until mended for each act of one moment: now this, then the best there is. */
export interface Values {
  method: Method;
  /** of a check, by its index */
  check(index: number): number;
  /** of a rung of what is left of a ladder */
  repair(element: number, rung: number): number;
}

/** An act of a moment by its indices. */
export type Indexed = { kind: 'check'; index: number } | { kind: 'repair'; index: number; rung: number };

/**
 * The acts that a moment allows: every rung that is left of what may be at fault, and every check that
 * was not made as often as it can tell something.
 *
 * @param model a model with its log
 * @param belief its present belief
 * @param left rungs left per element
 * @returns acts, repairs before checks, in the order of the lists
 * @example allowed(model, belief, rungsLeft(model)).length
 */
export function allowed(model: Model, belief: Belief, left: Step[][]): Indexed[] {
  const p = marginals(belief);
  const made = madeSoFar(model);
  const hiding = hidingFrom(model);
  return [
    ...left.flatMap((ladder, index) =>
      (p[index] as number) > GONE ? ladder.map((_, rung) => ({ kind: 'repair' as const, index, rung })) : [],
    ),
    ...model.request.checks.flatMap((_, index) =>
      timesLeft(hiding[index] as number[], p, made[index] as number) > 0
        ? [{ kind: 'check' as const, index }]
        : [],
    ),
  ];
}

function exactValues(
  model: Model,
  belief: Belief,
  left: Step[][],
  most: number,
  tell: (share: number) => void,
): Values {
  const everything = new Everything(model, belief, left, {
    onMoments: (known) => tell(Math.min(1, known / most)),
  });
  return {
    method: 'exact',
    check: (index) => everything.check(index),
    repair: (element, rung) => everything.repair(element, rung),
  };
}

/** As `trace` looks two checks ahead, over all checks that may still be made. */
function lookaheadValues(model: Model, belief: Belief, left: Step[][]): Values {
  const ladders = left.map(paying);
  const search = new Search(model, ladders);
  const now = search.moment(belief, model.opened, model.request.power?.now);
  const p = marginals(belief);
  const made = madeSoFar(model);
  const hiding = hidingFrom(model);
  const told = model.request.checks.map((_, c) => search.told(now, c));
  const telling = told.flatMap(({ bits }, c) => (bits > 1e-12 ? [c] : []));
  return {
    method: 'lookahead 2',
    check: (index) =>
      search.check(
        now,
        index,
        told[index] as (typeof told)[number],
        telling.filter(
          (d) => timesLeft(hiding[d] as number[], p, (made[d] as number) + (d === index ? 1 : 0)) > 0,
        ),
      ),
    repair: (element, rung) => {
      const bench = benchOf(model, fromRung(left, element, rung), model.opened);
      return walk(bench, belief, orderBlocks(bench, p), { first: element });
    },
  };
}

/**
 * The minutes of every act of a moment, by every way on where there are at most 100,000 moments to look
 * at, one fault and surely a fault; otherwise by looking two checks ahead.
 *
 * @param model a model with its log
 * @param belief its present belief, summing to 1
 * @param left rungs left per element
 * @param tell told now and then which share of the moments was looked at, 0 to 1
 * @returns the minutes of an act, worked out when asked
 * @throws Refusal where something is suspected that nothing is left to do about
 * @example valuesOf(model, belief, left, () => {}).check(0) // minutes
 */
export function valuesOf(
  model: Model,
  belief: Belief,
  left: Step[][],
  tell: (share: number) => void,
): Values {
  const p = marginals(belief);
  const stuck = left.findIndex((ladder, e) => ladder.length === 0 && (p[e] as number) > GONE);
  demand(
    stuck < 0,
    `every remedy of “${model.request.elements[stuck]?.id}” was tried, and the log leaves it suspected`,
    '/log',
  );
  const most = belief.two || belief.none > 0 ? Number.POSITIVE_INFINITY : moments(model, belief, left);
  return most <= MOST_MOMENTS
    ? exactValues(model, belief, left, most, tell)
    : lookaheadValues(model, belief, left);
}
