import { demand } from '../refusal';
import { practised } from '../regret';
import {
  type Expect,
  type Model,
  openMinutes,
  PATTERN_Q,
  type Power,
  powerMinutes,
  type Step,
} from '../trace';
import { normal, stream } from './chance';
import type { SimulateAnswer, SimulatedAct, SimulatedAnswer, SimulateRequest } from './types';

const MOST_HIDDEN = 2;

/** What an act is done on, and what it takes. */
interface Toll {
  /** of the check or the element */
  index: number;
  /** minutes of the act itself */
  own: number;
  /** access that it needs */
  closure: number[];
  wanted: Power | undefined;
  /** the rung, for a remedy */
  step?: Step;
}

/** The unit with what is wrong with it, and how far the work on it has come. */
class Unit {
  readonly opened: boolean[];
  power: Power | undefined;
  private readonly broken: Set<number>;
  private readonly times = new Map<string, number>();

  constructor(
    private readonly model: Model,
    private readonly request: SimulateRequest,
  ) {
    this.opened = model.opened.slice();
    this.power = request.power?.now;
    this.broken = new Set(request.hidden.faults.map((f) => model.indexOf.get(f.id) as number));
  }

  get mended(): boolean {
    return this.broken.size === 0;
  }

  /** One stream for each check and each remedy, and for each time that it is done. */
  private roll(...what: string[]): () => number {
    const key = JSON.stringify(what);
    const n = (this.times.get(key) ?? 0) + 1;
    this.times.set(key, n);
    return stream(this.request.seed, ...what, n);
  }

  /** What an act is done on and with: its own minutes, what it opens, the power it wants. */
  private toll(act: SimulatedAct, path: string): Toll {
    const { model, request } = this;
    if ('check' in act) {
      const index = model.checkOf.get(act.check);
      demand(index !== undefined, `check “${act.check}” is not known`, `${path}/check`);
      const check = request.checks[index] as SimulateRequest['checks'][number];
      return {
        index,
        own: check.minutes,
        closure: model.checkAccess[index] as number[],
        wanted: check.power,
      };
    }
    const id = 'tried' in act ? act.element : act.repaired;
    const index = model.indexOf.get(id);
    demand(
      index !== undefined,
      `element “${id}” is not known`,
      `${path}/${'tried' in act ? 'element' : 'repaired'}`,
    );
    const element = model.request.elements[index];
    const ladder = model.ladders[index] as Model['ladders'][number];
    const step = 'tried' in act ? ladder.find((s) => s.id === act.tried) : ladder.at(-1);
    demand(step, `“${id}” has no remedy “${'tried' in act ? act.tried : ''}”`, `${path}/tried`);
    const own = 'tried' in act ? step.minutes : (element?.repairMinutes ?? step.minutes);
    return { index, own, closure: model.elementAccess[index] as number[], wanted: element?.power, step };
  }

  private charged({ own, closure, wanted }: Toll): number {
    return own + openMinutes(this.model, this.opened, closure) + powerMinutes(this.model, this.power, wanted);
  }

  /** Minutes that an act would take now. */
  minutes(act: SimulatedAct, path: string): number {
    return this.charged(this.toll(act, path));
  }

  /** Does an act: what it opens is open from then on, and the power as it wanted it. */
  does(act: SimulatedAct, path: string): { answer: SimulatedAnswer; minutes: number } {
    const toll = this.toll(act, path);
    const minutes = this.charged(toll);
    for (const a of toll.closure) this.opened[a] = true;
    this.power = toll.wanted ?? this.power;
    return {
      answer: 'check' in act ? this.answered(act.check, toll.index) : this.remedied(act, toll),
      minutes,
    };
  }

  private answered(id: string, c: number): SimulatedAnswer {
    const { expect } = this.request.checks[c] as SimulateRequest['checks'][number];
    const chances = this.chances(c);
    const next = this.roll('check', id);
    const drawn = next();
    if (expect) return { reading: readingOf(expect, drawn < (chances[0] as number), next) };
    let left = drawn;
    const answers = this.model.tables[c]?.answers ?? [];
    // The last answer takes what rounding leaves.
    const said = answers.find((_, a) => {
      left -= chances[a] as number;
      return left < 0;
    });
    return { outcome: said ?? (answers.at(-1) as string) };
  }

  /** Chance of each answer of a check, as `trace` has it, with what is broken now. */
  private chances(c: number): number[] {
    const table = this.model.tables[c] as Model['tables'][number];
    const [a, b] = [...this.broken].map((e) => table.classOf[e] as number);
    return table.answers.map((_, o) =>
      a === undefined
        ? (table.none[o] as number)
        : b === undefined
          ? (table.one[o]?.[a] as number)
          : (table.two[o]?.[a * table.classes + b] as number),
    );
  }

  private remedied(act: Exclude<SimulatedAct, { check: string }>, { index, step }: Toll): SimulatedAnswer {
    const id = 'tried' in act ? act.element : act.repaired;
    const drawn = this.roll('remedy', id, step?.id ?? '')();
    if ('repaired' in act || drawn < (step?.fixes ?? 0)) this.broken.delete(index);
    return { mended: this.mended };
  }
}

function readingOf({ nominal, tolerance, low, high }: Expect, bad: boolean, next: () => number): number {
  return bad ? low + (high - low) * next() : normal(next, nominal, tolerance / 1.96);
}

function checked(request: SimulateRequest): Model {
  const { hidden, checks, seed, elements } = request;
  demand(Number.isSafeInteger(seed), `the seed is a whole number, not “${seed}”`, '/seed');
  demand(
    hidden.faults.length >= 1 && hidden.faults.length <= MOST_HIDDEN,
    `one or ${MOST_HIDDEN} faults are hidden, not ${hidden.faults.length}`,
    '/hidden/faults',
  );
  hidden.faults.forEach((f, i) => {
    demand(
      elements.some((e) => e.id === f.id),
      `element “${f.id}” is not known`,
      `/hidden/faults/${i}/id`,
    );
    demand(
      hidden.faults.findIndex((x) => x.id === f.id) === i,
      `“${f.id}” is hidden twice`,
      `/hidden/faults/${i}/id`,
    );
  });
  checks.forEach((c, i) => {
    if (!c.expect) return;
    const at = `/checks/${i}/expect`;
    demand(!c.outcomes, `“${c.id}” has several answers and takes no reading`, at);
    demand(c.expect.tolerance > 0, `tolerance at “${c.id}” must be over 0`, `${at}/tolerance`);
    demand(c.expect.low < c.expect.high, `low must lie under high at “${c.id}”`, `${at}/low`);
  });
  const pattern = new Map(hidden.faults.map((f) => [f.id, f.pattern]));
  const { access, opened, power } = request;
  return practised({
    elements: elements.map((e) => {
      const told = pattern.get(e.id);
      return told && e.q === undefined ? { ...e, q: PATTERN_Q[told] } : e;
    }),
    checks: checks.map(({ expect: _told, ...c }) => c),
    ...(access ? { access } : {}),
    ...(opened ? { opened } : {}),
    ...(power ? { power } : {}),
  });
}

const pathOf = (act: SimulatedAct) => ('check' in act ? 'check' : 'tried' in act ? 'tried' : 'repaired');

/**
 * What a unit with hidden faults answers to what is done on it, and the minutes that it takes.
 *
 * A check answers by the likelihood that `trace` reckons with (noisy OR over what is broken now); one with
 * `expect` answers a reading, drawn from the good or the bad law of it. A remedy mends with its `fixes`,
 * the last of a ladder and a replacement for certain. The n-th answer of a check depends on the seed, the
 * check and n alone, that of a remedy on the seed, the element, the remedy and n: another order of acts
 * never changes it. Elements carry the q of their pattern; one that carries none takes it from there.
 * Generator: see {@link stream}.
 *
 * @param request elements, checks, what is hidden, a whole number as seed, acts in their order
 * @returns the answer of each act, its minutes with opening and power, and their sum
 * @throws Refusal naming the wrong id and its path; an act after the unit is mended
 * @example
 * simulate({
 *   elements: [{ id: 'a', weight: 1, repairMinutes: 10 }],
 *   checks: [],
 *   hidden: { faults: [{ id: 'a', pattern: 'always' }] },
 *   seed: 1,
 *   acts: [{ repaired: 'a' }],
 * }) // { answers: [{ mended: true }], minutes: [10], totalMinutes: 10 }
 */
export function simulate(request: SimulateRequest): SimulateAnswer {
  return played(request).answer;
}

/** What a unit stands like after some acts. */
export interface Stood {
  /** access that is open */
  opened: string[];
  power?: Power;
}

/**
 * As {@link simulate}, with what is open and how the power stands before each act and after the last.
 *
 * @param request as for {@link simulate}
 * @returns the answer, and one standing more than there are acts
 * @throws Refusal as {@link simulate} does
 * @example played(request).stood.at(-1).opened // ['lid']
 */
export function played(request: SimulateRequest): { answer: SimulateAnswer; stood: Stood[] } {
  const unit = new Unit(checked(request), request);
  const access = request.access ?? [];
  const stands = (): Stood => ({
    opened: access.filter((_, i) => unit.opened[i]).map((a) => a.id),
    ...(unit.power ? { power: unit.power } : {}),
  });
  const stood = [stands()];
  const done = request.acts.map((act, i) => {
    const path = `/acts/${i}`;
    demand(!unit.mended, 'the unit is mended: nothing comes after it', `${path}/${pathOf(act)}`);
    const said = unit.does(act, path);
    stood.push(stands());
    return said;
  });
  const answer = {
    answers: done.map((d) => d.answer),
    minutes: done.map((d) => d.minutes),
    totalMinutes: done.reduce((sum, d) => sum + d.minutes, 0),
  };
  return { answer, stood };
}

/**
 * Minutes that each of some acts would take after those of a request, each as the next one.
 *
 * @param request as for {@link simulate}
 * @param acts in any order
 * @returns minutes with opening and power, in their order
 * @throws Refusal as {@link simulate} does
 * @example minutesNow(request, [{ check: 'tap' }]) // [3]
 */
export function minutesNow(request: SimulateRequest, acts: SimulatedAct[]): number[] {
  const unit = new Unit(checked(request), request);
  request.acts.forEach((act, i) => {
    unit.does(act, `/acts/${i}`);
  });
  return acts.map((act, i) => unit.minutes(act, `/acts/${request.acts.length + i}`));
}
