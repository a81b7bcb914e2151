import { demand } from '../refusal';
import { practised } from '../regret';
import { type Expect, type Model, openMinutes, PATTERN_Q, type Power, powerMinutes } from '../trace';
import { normal, stream } from './chance';
import type { SimulateAnswer, SimulatedAct, SimulatedAnswer, SimulateRequest } from './types';

const MOST_HIDDEN = 2;

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

  /** Minutes of what an act opens and of the power it changes; both are so from then on. */
  private ready(closure: number[], wanted: Power | undefined): number {
    const minutes =
      openMinutes(this.model, this.opened, closure) + powerMinutes(this.model, this.power, wanted);
    for (const a of closure) this.opened[a] = true;
    this.power = wanted ?? this.power;
    return minutes;
  }

  check(id: string, path: string): { answer: SimulatedAnswer; minutes: number } {
    const { model, request } = this;
    const c = model.checkOf.get(id);
    demand(c !== undefined, `check “${id}” is not known`, path);
    const check = request.checks[c] as SimulateRequest['checks'][number];
    const minutes = check.minutes + this.ready(model.checkAccess[c] as number[], check.power);
    const chances = this.chances(c);
    const next = this.roll('check', id);
    const drawn = next();
    if (check.expect) {
      const bad = drawn < (chances[0] as number);
      return { answer: { reading: readingOf(check.expect, bad, next) }, minutes };
    }
    let left = drawn;
    const answers = model.tables[c]?.answers ?? [];
    // The last answer takes what rounding leaves.
    const said = answers.find((_, a) => {
      left -= chances[a] as number;
      return left < 0;
    });
    return { answer: { outcome: said ?? (answers.at(-1) as string) }, minutes };
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

  mend(id: string, remedy: string | null, path: string): { answer: SimulatedAnswer; minutes: number } {
    const { model } = this;
    const e = model.indexOf.get(id);
    demand(
      e !== undefined,
      `element “${id}” is not known`,
      remedy === null ? `${path}/repaired` : `${path}/element`,
    );
    const element = model.request.elements[e];
    const ladder = model.ladders[e] as Model['ladders'][number];
    const step = remedy === null ? ladder.at(-1) : ladder.find((s) => s.id === remedy);
    demand(step, `“${id}” has no remedy “${remedy}”`, `${path}/tried`);
    const minutes = remedy === null ? (element?.repairMinutes ?? step.minutes) : step.minutes;
    const ready = this.ready(model.elementAccess[e] as number[], element?.power);
    const drawn = this.roll('remedy', id, step.id ?? '')();
    if (remedy === null || drawn < step.fixes) this.broken.delete(e);
    return { answer: { mended: this.mended }, minutes: minutes + ready };
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
    const said =
      'check' in act
        ? unit.check(act.check, `${path}/check`)
        : 'tried' in act
          ? unit.mend(act.element, act.tried, path)
          : unit.mend(act.repaired, null, path);
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
