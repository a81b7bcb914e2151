import type { Belief } from './belief';
import type { AnswerTable } from './likelihood';
import { type Model, powerMinutes, type Step } from './model';
import { openMinutes } from './repair';
import type { Power } from './types';

/** Moments up to which every way on is looked at. */
export const MOST_MOMENTS = 100_000;
/** Under this share of its mass a fault set is taken for cleared. */
const GONE = 1e-12;

/** What can be done at one moment, with the minutes it leads to. */
export interface ExactAct {
  kind: 'check' | 'repair';
  /** index of the check or the element */
  index: number;
  /** the rung of the ladder, for a repair */
  rung?: number;
  /** minutes expected until it is mended when this is done now and the best from there */
  minutes: number;
}

/** How often a check may still be made: once, and once more while it may not show what it exercises. */
function timesLeft(model: Model, c: number, one: Float64Array, made: number): number {
  const check = model.request.checks[c];
  const doubtful = (check?.exercises ?? []).some((id) => {
    const i = model.indexOf.get(id) as number;
    const q = check?.provokes?.[id] ?? model.request.elements[i]?.q ?? 1;
    return q < 1 && (one[i] as number) > GONE;
  });
  return Math.max(0, (doubtful ? 2 : 1) - made);
}

const madeSoFar = (model: Model): number[] =>
  model.request.checks.map(
    (c) => (model.request.log ?? []).filter((e) => 'check' in e && e.check === c.id).length,
  );

/** Every answer is certain under every fault: what it said is told by who is still suspect. */
const isCertain = (t: AnswerTable): boolean =>
  t.one.every((chances) => chances.every((x) => x === 0 || x === 1));

/**
 * How many moments a full look at every way on may meet: for a check that may be made once one more than
 * its answers, for one that may be made twice the pairs of that, 1 where its answers are certain; 2 for
 * every remedy.
 *
 * @param model a checked model
 * @param belief the present belief
 * @param ladders rungs still to try, per element
 * @returns a number of moments, never too small
 * @example moments(model, belief, ladders) // 3 ** 4 * 2 ** 5
 */
export function moments(model: Model, belief: Belief, ladders: Step[][]): number {
  const made = madeSoFar(model);
  let all = 1;
  model.tables.forEach((t, c) => {
    const k = t.answers.length;
    const times = isCertain(t) ? 0 : timesLeft(model, c, belief.one, made[c] as number);
    all *= times === 0 ? 1 : times === 1 ? 1 + k : ((k + 1) * (k + 2)) / 2;
  });
  for (const l of ladders) all *= 2 ** l.length;
  return all;
}

/** Looks at every way on from a moment, each moment once. */
class Everything {
  private readonly known = new Map<string, number>();
  private readonly certain: boolean[];

  constructor(
    private readonly model: Model,
    private readonly ladders: Step[][],
    /** no check is made any more */
    private readonly repairsOnly: boolean,
  ) {
    this.certain = model.tables.map(isCertain);
  }

  acts(at: At): ExactAct[] {
    const { model, ladders } = this;
    const list: ExactAct[] = [];
    ladders.forEach((ladder, index) => {
      const p = at.one[index] as number;
      if (p <= GONE) return;
      const closure = model.elementAccess[index] as number[];
      const opening = openMinutes(model, at.opened, closure);
      for (let rung = at.rungs[index] as number; rung < ladder.length; rung++) {
        const step = ladder[rung] as Step;
        // The last of a ladder is what mends it for certain: nothing comes after it.
        const fixes = rung === ladder.length - 1 ? 1 : step.fixes;
        const one = at.one.slice();
        one[index] = p * (1 - fixes);
        const rungs = at.rungs.slice();
        rungs[index] = rung + 1;
        // Which rungs were tried tells how much suspicion is left; how far the ladder was climbed does not.
        const said = [...at.said, `tried ${index}:${rung};`];
        const left = this.least({ ...at, one, rungs, said, opened: withAll(at.opened, closure) });
        list.push({ kind: 'repair', index, rung, minutes: step.minutes + opening + left * (1 - p * fixes) });
      }
    });
    if (this.repairsOnly) return list;
    model.tables.forEach((table, index) => {
      if (timesLeft(model, index, at.one, at.made[index] as number) === 0) return;
      const after = table.answers.map((_, a) => answered(at, table, a));
      // What changes no suspicion is no step of any plan.
      if (after.every(({ one, mass }) => mass <= GONE || alike(one, mass, at.one))) return;
      const check = model.request.checks[index];
      const closure = model.checkAccess[index] as number[];
      let minutes =
        (check?.minutes ?? 0) +
        openMinutes(model, at.opened, closure) +
        powerMinutes(model, at.power, check?.power);
      const made = at.made.slice();
      made[index] = (made[index] as number) + 1;
      after.forEach(({ one, mass }, a) => {
        if (mass <= GONE) return;
        const said = this.certain[index] ? at.said : told(at.said, index, a);
        minutes +=
          mass *
          this.least({
            ...at,
            one: one.map((x) => x / mass),
            made,
            said,
            opened: withAll(at.opened, closure),
            power: check?.power ?? at.power,
          });
      });
      list.push({ kind: 'check', index, minutes });
    });
    return list;
  }

  /** Minutes of the best way on; `one` need not sum to 1. */
  least(at: At): number {
    const mass = at.one.reduce((s, x) => s + x, 0);
    if (mass <= GONE) return 0;
    const here = { ...at, one: at.one.map((x) => x / mass) };
    const key = this.key(here);
    const seen = this.known.get(key);
    if (seen !== undefined) return seen;
    let best = Number.POSITIVE_INFINITY;
    for (const act of this.acts(here)) best = Math.min(best, act.minutes);
    this.known.set(key, best);
    return best;
  }

  private key(at: At): string {
    const who = [...at.one].map((x) => (x > GONE ? 1 : 0)).join('');
    const done = at.made.map((m, c) => (this.certain[c] ? '' : m)).join('');
    return `${who} ${at.rungs.join('')} ${done} ${[...at.said].sort().join('')} ${at.opened.map(Number).join('')} ${at.power ?? ''}`;
  }
}

/** A moment: suspicion, how far ladders are climbed, checks made, what was said and tried, what is open, the power. */
interface At {
  one: Float64Array;
  rungs: number[];
  made: number[];
  said: string[];
  opened: boolean[];
  power: Power | undefined;
}

const told = (said: string[], check: number, answer: number): string[] => [...said, `${check}:${answer};`];

function withAll(opened: boolean[], closure: number[]): boolean[] {
  if (closure.every((a) => opened[a])) return opened;
  const all = opened.slice();
  for (const a of closure) all[a] = true;
  return all;
}

function answered(at: At, table: AnswerTable, answer: number): { one: Float64Array; mass: number } {
  const chances = table.one[answer] as Float64Array;
  const one = at.one.map((x, i) => x * (chances[table.classOf[i] as number] as number));
  return { one, mass: one.reduce((s, x) => s + x, 0) };
}

const alike = (one: Float64Array, mass: number, before: Float64Array): boolean =>
  one.every((x, i) => Math.abs(x / mass - (before[i] as number)) < 1e-12);

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
  const at: At = {
    one: belief.one,
    rungs: model.ladders.map(() => 0),
    made: madeSoFar(model),
    said: [],
    opened: model.opened,
    power: model.request.power?.now,
  };
  return {
    acts: new Everything(model, ladders, false).acts(at).sort((a, b) => a.minutes - b.minutes),
    repairNowMinutes: new Everything(model, ladders, true).least(at),
  };
}
