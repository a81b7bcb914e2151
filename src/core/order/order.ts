import { demand } from '../refusal';
import { beam } from './beam';
import { Budget, UNITS_PER_MS } from './budget';
import { type Chosen, leastMinutes, listChoices, wayOf } from './choices';
import { type Problem, readProblem } from './problem';
import { anyOrder, searchOrder } from './search';
import { changeMinutes } from './setup';
import type { OrderAnswer, OrderRequest } from './types';
import { type Found, Walk } from './walk';

const TIME_LIMIT_MS = 150;

/**
 * The quickest order of the moves that a goal needs: minutes, changes of tool, flips and changes of
 * power together least.
 *
 * Method: for every choice of groups and ways, best-first search over the sequence of setups with an
 * admissible bound (A*: Hart, Nilsson, Raphael, IEEE Transactions on Systems Science and Cybernetics
 * 4(2), 1968), under what a beam search finds first; within a setup everything that can be done is done
 * at once. What may be spent is counted, not timed: the same request has the same answer.
 *
 * @param request moves, goal, what is done, the setup at the start; minutes throughout
 * @returns the order with its minutes and changes; whether it is the quickest there is, and otherwise
 *   what no order can go under
 * @throws Refusal naming every move concerned: an empty goal, an unknown or double id, negative
 *   minutes, a loop that no other group avoids
 * @example
 * order({
 *   moves: [{ id: 'screws', minutes: 2, tool: 'PH1', sideUp: 'top' }, { id: 'lid', minutes: 1, tool: null, sideUp: null, after: ['screws'] }],
 *   goal: ['lid'], toolMinutes: 0.2, flipMinutes: 0.5,
 * }).minutes // 3.7
 */
export function order(request: OrderRequest): OrderAnswer {
  demand(
    request.timeLimitMs === undefined || request.timeLimitMs > 0,
    'timeLimitMs must be over 0',
    '/timeLimitMs',
  );
  const budget = new Budget((request.timeLimitMs ?? TIME_LIMIT_MS) * UNITS_PER_MS);
  const p = readProblem(request);
  let found: Ordered | null = null;
  const solved: Solved[] = [];
  // What ends a keep may be worth doing even where the goal does not need it.
  for (const goal of [p.goal, ...ends(p)]) {
    const next = solve({ ...p, goal }, budget, found?.cost ?? Number.POSITIVE_INFINITY);
    solved.push(next);
    found = next.best ?? found;
  }
  demand(
    found,
    solved.every((s) => s.whole)
      ? `no order keeps what must be kept${named(p)}`
      : `no order was found that keeps what must be kept${named(p)}`,
    '/keep',
  );
  const open = Math.min(...solved.map((s) => s.open));
  const optimal = open >= found.cost - 1e-9;
  return { ...counted(p, found), optimal, lowerBound: optimal ? found.cost : open };
}

/** An order of one choice of groups and ways. */
interface Ordered extends Found {
  chosen: Chosen;
}

interface Solved {
  best: Ordered | null;
  /** what was not looked at to its end can still be this cheap */
  open: number;
  whole: boolean;
}

/** The quickest order to the goal of a problem that takes less than is known already, as far as the budget goes. */
function solve(p: Problem, budget: Budget, known: number): Solved {
  const { choices, complete } = listChoices(p);
  let best: Ordered | null = null;
  let whole = complete;
  let open = complete ? Number.POSITIVE_INFINITY : leastMinutes(p);
  const better = (chosen: Chosen, found: Found | null) => {
    if (found && found.cost < limit() - 1e-12) best = { chosen, ...found };
  };
  const limit = () => (best as Ordered | null)?.cost ?? known;
  for (const chosen of choices) {
    if (chosen.minutes >= limit() - 1e-12) break;
    if (limit() < Number.POSITIVE_INFINITY && budget.isOut) {
      whole = false;
      open = Math.min(open, chosen.minutes);
      break;
    }
    const walk = new Walk(p, chosen, budget);
    const start = walk.start();
    if (start.bound >= limit() - 1e-12) continue;
    better(chosen, beam(walk, start, budget));
    const searched = searchOrder(walk, start, limit(), budget);
    better(chosen, searched.found);
    if (!searched.whole) {
      whole = false;
      open = Math.min(open, searched.bound);
      if (limit() === Number.POSITIVE_INFINITY) better(chosen, anyOrder(walk, start));
    }
  }
  return { best, open, whole };
}

/** Keeps that are ended in every combination up to this many; beyond, all of them or none. */
const MOST_ENDS = 3;

/** Further goals: what ends a keep, where the goal itself does not say so. One order may do it by chance, another not. */
function ends(p: Problem): number[][] {
  const untils = [
    ...new Set(p.keep.filter((k) => !p.done[k.until] && !p.goal.includes(k.until)).map((k) => k.until)),
  ];
  if (untils.length === 0) return [];
  const sets =
    untils.length > MOST_ENDS
      ? [untils]
      : Array.from({ length: 2 ** untils.length - 1 }, (_, n) => untils.filter((_, i) => (n + 1) & (1 << i)));
  return sets.map((set) => [...new Set([...p.goal, ...set])]);
}

/** The keeps of a problem by the moves between which they hold. */
const named = (p: Problem): string =>
  p.keep.length
    ? `: ${p.keep.map((k) => `from “${p.ids[k.from]}” until “${p.ids[k.until]}”`).join(', ')}`
    : '';

/** Minutes and changes of an order, counted over once more by its own setups. */
function counted(p: Problem, { chosen, order: list, setups }: Ordered) {
  let setup = p.start;
  let minutes = 0;
  let toolChanges = 0;
  let flips = 0;
  let powerChanges = 0;
  for (const [k, i] of list.entries()) {
    const next = setups[k] ?? setup;
    minutes += wayOf(p, chosen.way, i).minutes + changeMinutes(p, setup, next);
    toolChanges += next.tool === setup.tool ? 0 : 1;
    flips += next.side === setup.side ? 0 : 1;
    powerChanges += next.power === setup.power ? 0 : 1;
    setup = next;
  }
  const power = p.powerMinutes > 0 || powerChanges > 0;
  return {
    order: list.map((i) => p.ids[i] as string),
    minutes,
    toolChanges,
    flips,
    ...(power ? { powerChanges } : {}),
  };
}
