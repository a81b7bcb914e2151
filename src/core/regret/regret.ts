import { demand } from '../refusal';
import { condition, type Model, type Step } from '../trace';
import { practised, rungsLeft } from './model';
import type { Act, Chosen, RegretAnswer, RegretRequest, Valued } from './types';
import { allowed, type Indexed, type Values, valuesOf } from './values';

function indexed(model: Model, left: Step[][], chosen: Chosen): Indexed {
  if ('check' in chosen) {
    const index = model.checkOf.get(chosen.check);
    demand(index !== undefined, `check “${chosen.check}” is not known`, '/chosen/check');
    return { kind: 'check', index };
  }
  const index = model.indexOf.get(chosen.repair);
  demand(index !== undefined, `element “${chosen.repair}” is not known`, '/chosen/repair');
  const ladder = left[index] as Step[];
  demand(ladder.length > 0, `every remedy of “${chosen.repair}” was tried`, '/chosen/repair');
  if (chosen.remedy === undefined) return { kind: 'repair', index, rung: 0 };
  const rung = ladder.findIndex((s) => s.id === chosen.remedy);
  const there = model.ladders[index]?.some((s) => s.id === chosen.remedy);
  demand(
    rung >= 0,
    there
      ? `“${chosen.remedy}” of “${chosen.repair}” lies below what was tried last: a ladder is not gone back down`
      : `“${chosen.repair}” has no remedy “${chosen.remedy}”`,
    '/chosen/remedy',
  );
  return { kind: 'repair', index, rung };
}

function named(model: Model, left: Step[][], act: Indexed): Act {
  if (act.kind === 'check') return { kind: 'check', id: model.request.checks[act.index]?.id ?? '' };
  const remedy = left[act.index]?.[act.rung]?.id ?? null;
  return {
    kind: 'repair',
    id: model.request.elements[act.index]?.id ?? '',
    ...(remedy === null ? {} : { remedy }),
  };
}

const minutesOf = (values: Values, act: Indexed): number =>
  act.kind === 'check' ? values.check(act.index) : values.repair(act.index, act.rung);

const same = (a: Indexed, b: Indexed): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Every act that a moment allows with its minutes, soonest mended first.
 *
 * @param request a unit with its log
 * @param chosen an act to be valued too, allowed or not
 * @param tell told now and then which share of the work is done, 0 to 1
 * @returns acts, which of them was chosen, and how far ahead was looked
 * @throws Refusal naming the wrong id and its path
 * @example valued({ elements: [{ id: 'a', weight: 1, repairMinutes: 5 }], checks: [] }).acts[0].minutes // 5
 */
export function valued(
  request: Omit<RegretRequest, 'chosen'>,
  chosen?: Chosen,
  tell: (share: number) => void = () => {},
): { acts: Valued[]; own: Valued | undefined; method: RegretAnswer['method'] } {
  const model = practised(request);
  const { belief } = condition(model);
  const left = rungsLeft(model);
  const mine = chosen && indexed(model, left, chosen);
  const values = valuesOf(model, belief, left, tell);
  const list = allowed(model, belief, left);
  if (mine && !list.some((a) => same(a, mine))) list.push(mine);
  const acts = list.map((a) => ({ ...named(model, left, a), minutes: minutesOf(values, a) }));
  const own = mine && acts[list.findIndex((a) => same(a, mine))];
  return { acts: [...acts].sort((a, b) => a.minutes - b.minutes), own, method: values.method };
}

/**
 * What a decision cost: the minutes expected from what was chosen, less those of the best there was.
 * Luck is no part of it.
 *
 * Method: backward induction over all moments that can be met (Bellman, Dynamic Programming, 1957) up to
 * 100,000 of them, with one fault; otherwise two checks ahead, as `trace` does. The run ends when the
 * symptom is gone, which is known for certain after each remedy and lies in its minutes. A check is made
 * once, and once more while something it exercises may hide. The last remedy of a ladder mends for
 * certain. Openings are paid once by what needs them, a change of power each time.
 *
 * @param request unit, log and the act that was chosen; minutes, chances 0 to 1
 * @param tell told now and then which share of the work is done, 0 to 1
 * @returns every act allowed with its minutes, the best, and the regret in minutes
 * @throws Refusal naming the wrong id and its path; an act that a ladder does not allow
 * @example
 * regret({
 *   elements: [{ id: 'a', weight: 1, repairMinutes: 10 }, { id: 'b', weight: 1, repairMinutes: 10 }],
 *   checks: [{ id: 'tap', exercises: ['a'], minutes: 1, sensitivity: 1, falseAlarm: 0 }],
 *   chosen: { repair: 'a' },
 * }).regret // 15 − 11 = 4
 */
export function regret(request: RegretRequest, tell?: (share: number) => void): RegretAnswer {
  const { chosen, ...rest } = request;
  const { acts, own, method } = valued(rest, chosen, tell);
  const [best] = acts;
  demand(best && own, 'there is nothing to decide here', '/elements');
  const { minutes, ...act } = best;
  return { q: acts, best: act, regret: Math.max(0, own.minutes - minutes), method };
}

/**
 * The score of a run: 1 for whoever always did the best, whatever the dice did.
 *
 * @param optimum minutes expected of the best way from the start, over 0
 * @param regrets minutes of each decision
 * @returns a share, over 0 to 1
 * @example score(30, [10, 0]) // 0.75
 */
export const score = (optimum: number, regrets: number[]): number =>
  optimum / (optimum + regrets.reduce((a, b) => a + b, 0));
