import { answerFactors, type Belief, marginals, scaled, weighed } from './belief';
import { type Dealt, deal, MOST_CLASSES, merge, mergedMinutes, type Ranked, rankBlocks } from './deal';
import type { AnswerTable } from './likelihood';
import { type Model, powerMinutes, type Step } from './model';
import { besideOf, pairMinutes, type Square, square } from './pairs';
import { type Bench, benchOf, openMinutes, orderBlocks, walk } from './repair';
import type { Power } from './types';

/** A moment of the search: belief, what is open, power, and the order of repairs from here. */
export interface Moment {
  bench: Bench;
  belief: Belief;
  power: Power | undefined;
  order: Uint32Array;
  /** the order laid out by rank, where there are only single faults */
  ranked: Ranked | null;
  /** the pairs as a square, where there are any */
  pairs: Square | null;
}

const entropy = (x: number) => (x > 0 && x < 1 ? -x * Math.log2(x) : 0);

/** Suspicion in each class of a check. */
function massByClass(b: Belief, { classOf, classes }: AnswerTable): Float64Array {
  const one = new Float64Array(classes);
  for (let i = 0; i < b.one.length; i++) {
    const k = classOf[i] as number;
    one[k] = (one[k] as number) + (b.one[i] as number);
  }
  return one;
}

/** Chance of each answer, and the bits it tells of the fault set; `beside` where there are pairs. */
export function tells(
  b: Belief,
  t: AnswerTable,
  beside: Float64Array | null,
  one = massByClass(b, t),
): { p: number[]; bits: number } {
  const n = b.one.length;
  const { classOf, classes } = t;
  const two = beside ? new Float64Array(classes * classes) : null;
  if (two && beside) {
    // Every pair is met twice, once from each side.
    for (let i = 0; i < n; i++) {
      const row = (classOf[i] as number) * classes;
      for (let k = 0; k < classes; k++)
        two[row + k] = (two[row + k] as number) + (beside[i * classes + k] as number) / 2;
    }
  }
  const p: number[] = [];
  let bits = 0;
  t.answers.forEach((_, a) => {
    const none = t.none[a] as number;
    let mean = b.none * none;
    let conditional = b.none * entropy(none);
    const take = (mass: Float64Array, chance: Float64Array) => {
      mass.forEach((m, k) => {
        const c = chance[k] as number;
        mean += m * c;
        conditional += m * entropy(c);
      });
    };
    take(one, t.one[a] as Float64Array);
    if (two) take(two, t.two[a] as Float64Array);
    p.push(mean);
    bits += entropy(mean) - conditional;
  });
  return { p, bits: Math.max(0, bits) };
}

/** What a check would tell from one moment. */
export interface Told {
  p: number[];
  bits: number;
  beside: Float64Array | null;
  /** the present order by class of the check, where every element stands in it once */
  dealt: Dealt | null;
}

/** Looks one check ahead, or two, from moments of one model. */
export class Search {
  private readonly benches = new Map<string, Bench>();

  constructor(
    private readonly model: Model,
    /** rungs still to try, per element */
    private readonly ladders: Step[][],
  ) {}

  bench(opened: boolean[]): Bench {
    const key = opened.map(Number).join('');
    let b = this.benches.get(key);
    if (!b) {
      b = benchOf(this.model, this.ladders, opened);
      this.benches.set(key, b);
    }
    return b;
  }

  moment(belief: Belief, opened: boolean[], power: Power | undefined): Moment {
    const bench = this.bench(opened);
    return this.momentOf(bench, belief, power, orderBlocks(bench, marginals(belief)));
  }

  private momentOf(bench: Bench, belief: Belief, power: Power | undefined, order: Uint32Array): Moment {
    return {
      bench,
      belief,
      power,
      order,
      ranked: belief.two ? null : rankBlocks(bench, belief, order),
      pairs: belief.two ? square(belief) : null,
    };
  }

  /** What check c tells; dealt into `room` where some is given, which the next check may take again. */
  told(from: Moment, c: number, room?: Uint32Array): Told {
    const table = this.model.tables[c] as AnswerTable;
    const { ranked, belief } = from;
    const whole = ranked?.once && from.bench.plain;
    const dealt = whole && table.classes <= MOST_CLASSES ? deal(ranked, table, room) : null;
    const beside = from.pairs ? besideOf(from.pairs, table) : null;
    const told = dealt ? tells(belief, table, beside, dealt.mass) : tells(belief, table, beside);
    return { ...told, beside, dealt };
  }

  /** Minutes of one check from here, and of the best continuation after each answer. */
  check(from: Moment, c: number, told: Told, deeper: number[] | null): number {
    const { model } = this;
    const { p: chances, beside } = told;
    const check = model.request.checks[c];
    const table = model.tables[c] as AnswerTable;
    const closure = model.checkAccess[c] as number[];
    const wanted = check?.power;
    const opens = openMinutes(model, from.bench.opened, closure);
    let here = from;
    if (closure.some((a) => !from.bench.opened[a])) {
      const opened = from.bench.opened.slice();
      for (const a of closure) opened[a] = true;
      here = this.moment(from.belief, opened, from.power);
    }
    const kept = here === from ? told.dealt : null;
    const dealt = kept ?? (here.ranked && table.classes <= MOST_CLASSES ? deal(here.ranked, table) : null);
    let minutes = (check?.minutes ?? 0) + opens + powerMinutes(model, from.power, wanted);
    if (here.bench.plain && !deeper) {
      if (dealt) {
        for (let a = 0; a < table.answers.length; a++) {
          const mass = (chances[a] as number) - here.belief.none * (table.none[a] as number);
          minutes += mergedMinutes(dealt, table.one[a] as Float64Array, mass);
        }
        return minutes;
      }
      if (here.pairs && beside) {
        return pairMinutes(here.bench, here.belief, here.pairs, table, beside).reduce(
          (sum, m) => sum + m,
          minutes,
        );
      }
    }
    const power = wanted ?? from.power;
    table.answers.forEach((_, a) => {
      const p = chances[a] as number;
      if (!(p > 0)) return;
      const after = weighed(here.belief, table, answerFactors(table, a));
      const order = dealt
        ? merge(dealt, table.one[a] as Float64Array)
        : orderBlocks(here.bench, marginals(after));
      let value = walk(here.bench, after, order, { power });
      if (deeper) {
        const then = this.momentOf(here.bench, scaled(after, p), power, order);
        for (const d of deeper) {
          value = Math.min(value, p * this.check(then, d, this.told(then, d), null));
        }
      }
      minutes += value;
    });
    return minutes;
  }
}
