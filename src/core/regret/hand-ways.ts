import { demand } from '../refusal';
import {
  benchOf,
  type Model,
  openMinutes,
  orderBlocks,
  paying,
  powerMinutes,
  type Step,
  walk,
} from '../trace';
import { practised } from './model';
import { valued } from './regret';
import type { HandWaysAnswer, HandWaysRequest } from './types';
import { believed } from './ways/believing';
import { BY_HAND, WAYS } from './ways/registry';
import type { Stand, Way } from './ways/way';

/** A story less likely than this is ended as if nothing more were checked: what is left is mended in the best order. */
const UNLIKELY = 1e-6;
/** The same on a unit with more elements than {@link FEW}: there are more stories, each less likely. */
const UNLIKELY_OF_MANY = 1e-5;
const FEW = 20;
/** A story that is not met at all. */
const NEVER = 1e-15;
/** Moments that a way may be followed through. */
const MOST_STANDS = 200_000;

/** What stands after some access was opened for an act. */
function opening(stand: Stand, closure: number[], wanted: Stand['power']) {
  const { model } = stand;
  const minutes = openMinutes(model, stand.opened, closure) + powerMinutes(model, stand.power, wanted);
  const opened = stand.opened.slice();
  for (const a of closure) opened[a] = true;
  return { minutes, opened, power: wanted ?? stand.power };
}

/** Follows one way through all faults and answers. */
class Follow {
  private stands = 0;
  private readonly known = new Map<string, number>();

  constructor(
    private readonly model: Model,
    private readonly way: Way,
  ) {}

  /** Minutes from here, times the mass of the faults that lead here. */
  from(stand: Stand, mass: Float64Array): number {
    const all = mass.reduce((a, b) => a + b, 0);
    if (all < NEVER) return 0;
    const usual = this.model.n > FEW ? UNLIKELY_OF_MANY : UNLIKELY;
    if (all < (this.way.unlikely ?? usual)) return this.mending(stand, mass);
    const key = this.way.unordered
      ? `${stand.log.map((e) => JSON.stringify(e)).sort()} ${stand.opened.map(Number)} ${stand.power}`
      : null;
    const seen = key === null ? undefined : this.known.get(key);
    if (seen !== undefined) return seen;
    demand(
      ++this.stands <= MOST_STANDS,
      `“${this.way.name}” meets more than ${MOST_STANDS} moments on this unit: it is too large to be compared`,
      '/checks',
    );
    const act = this.way.next(stand);
    const minutes =
      act.kind === 'check' ? this.check(stand, mass, all, act.index) : this.repair(stand, mass, all, act);
    if (key !== null) this.known.set(key, minutes);
    return minutes;
  }

  /** Minutes, times the mass, when what is left is mended in the best order and nothing more is checked. */
  private mending({ rungs, opened, power }: Stand, mass: Float64Array): number {
    const ladders = this.model.ladders.map((l, e) => paying(l.slice(rungs[e])));
    const bench = benchOf(this.model, ladders, opened);
    return walk(bench, { none: 0, one: mass, two: null }, orderBlocks(bench, mass), { power });
  }

  private check(stand: Stand, mass: Float64Array, all: number, index: number): number {
    const { model } = this;
    const check = model.request.checks[index];
    const table = model.tables[index];
    const { minutes, ...now } = opening(stand, model.checkAccess[index] as number[], check?.power);
    const made = stand.made.slice();
    made[index] = (made[index] as number) + 1;
    return (table?.answers ?? []).reduce(
      (sum, outcome, a) => {
        const chances = table?.one[a] as Float64Array;
        const then = mass.map((m, e) => m * (chances[table?.classOf[e] as number] as number));
        const log = [...stand.log, { check: check?.id ?? '', outcome }];
        return (
          sum + this.from({ ...stand, ...now, made, log, suspects: believed(stand, index, outcome) }, then)
        );
      },
      ((check?.minutes ?? 0) + minutes) * all,
    );
  }

  private repair(
    stand: Stand,
    mass: Float64Array,
    all: number,
    { index, rung }: { index: number; rung: number },
  ): number {
    const { model } = this;
    const element = model.request.elements[index];
    const ladder = model.ladders[index] as Step[];
    const step = ladder[rung] as Step;
    const last = rung === ladder.length - 1;
    const { minutes, ...now } = opening(stand, model.elementAccess[index] as number[], element?.power);
    const then = mass.slice();
    then[index] = (then[index] as number) * (1 - step.fixes);
    const rungs = stand.rungs.slice();
    rungs[index] = rung + 1;
    const id = element?.id ?? '';
    const log = [...stand.log, step.id === null ? { repaired: id } : { tried: step.id, element: id }];
    const stay = last ? stand.suspects.filter((e) => e !== index) : stand.suspects;
    // Whoever believed a wrong answer and has mended all that was left begins again with what was not mended.
    const suspects = stay.length
      ? stay
      : model.ladders.flatMap((l, e) => ((rungs[e] as number) < l.length ? [e] : []));
    return (step.minutes + minutes) * all + this.from({ ...stand, ...now, rungs, log, suspects }, then);
  }
}

/**
 * What the usual ways of finding a fault cost on a unit, beside the best there is: minutes as a mean over
 * all faults, by their weight, and all answers.
 *
 * Method: every way is followed through all its answers. By hand every answer is believed, unless nobody
 * would be left: *from the source on* takes the splitting check that exercises fewest, *halving* the one
 * that cuts most evenly for its minutes (half-split), *most likely first* none; then the suspect of the
 * largest weight, rung by rung. *Mulch* does the first that `trace` names, two checks ahead. Common
 * practice, no source.
 *
 * @param request a unit with nothing checked; minutes, chances 0 to 1
 * @returns the optimum, and for each way its minutes and its share of the optimum, over 0 to 1. Where the
 *   unit is too large for the exact optimum, the best that is known stands for it.
 * @throws Refusal naming the wrong id and its path; two faults, or maybe none; a unit too large
 * @example handWays({ elements: [{ id: 'a', weight: 1, repairMinutes: 10 }], checks: [] }).optimum.minutes // 10
 */
export function handWays(request: HandWaysRequest): HandWaysAnswer {
  return compared(request, WAYS);
}

/**
 * As {@link handWays}, without what Mulch does: in a moment on any unit.
 *
 * @param request as for {@link handWays}
 * @returns the optimum and the ways by hand
 * @throws Refusal as {@link handWays} does
 * @example byHand({ elements: [{ id: 'a', weight: 1, repairMinutes: 10 }], checks: [] }).ways.length // 3
 */
export const byHand = (request: HandWaysRequest): HandWaysAnswer => compared(request, BY_HAND);

function compared(request: HandWaysRequest, list: Way[]): HandWaysAnswer {
  const { options } = request;
  demand(options?.maxFaults !== 2, 'the ways are compared with one fault', '/options/maxFaults');
  demand(
    !options?.noFaultWeight,
    'the ways are compared with a fault that is there',
    '/options/noFaultWeight',
  );
  const model = practised(request);
  const weights = Float64Array.from(request.elements, (e) => e.weight);
  const sum = weights.reduce((a, b) => a + b, 0);
  const start: Stand = {
    model,
    suspects: request.elements.map((_, e) => e),
    made: request.checks.map(() => 0),
    rungs: request.elements.map(() => 0),
    opened: model.opened,
    power: request.power?.now,
    log: [],
  };
  const ways = list.map((way) => ({
    name: way.name,
    minutes: new Follow(model, way).from(
      start,
      weights.map((w) => w / sum),
    ),
  }));
  const { acts, method } = valued(request);
  const ahead = acts[0]?.minutes as number;
  const minutes = method === 'exact' ? ahead : Math.min(ahead, ...ways.map((w) => w.minutes));
  return {
    optimum: { minutes, method },
    // The least over 1 is what sums of many fractions are off by.
    ways: ways.map((w) => ({ ...w, score: Math.min(1, minutes / w.minutes) })),
  };
}
