import { answerFactors, type Belief, marginals, scaled, total, weighed } from './belief';
import { type Dealt, deal, MOST_CLASSES, merge, mergedMinutes, type Ranked, rankBlocks } from './deal';
import { exactActs } from './exact';
import type { AnswerTable } from './likelihood';
import { type Model, powerMinutes } from './model';
import { besideOf, pairMinutes, type Square, square } from './pairs';
import {
  type Bench,
  benchOf,
  openMinutes,
  orderBlocks,
  remainingLadders,
  repairMinutes,
  walk,
  walkHeads,
} from './repair';
import type { NextAction, Power } from './types';

/** Checks looked at two deep: the most informative ones. */
const DEEP = 40;
/** Suspicion from which an intermittent element makes a repeat worth offering. Common practice, no source. */
const WORTH_A_REPEAT = 0.01;

/** A moment of the search: belief, what is open, power, and the order of repairs from here. */
interface Moment {
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
function tells(
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
interface Told {
  p: number[];
  bits: number;
  beside: Float64Array | null;
  /** the present order by class of the check, where every element stands in it once */
  dealt: Dealt | null;
}

class Search {
  private readonly benches = new Map<string, Bench>();
  private readonly ladders;

  constructor(private readonly model: Model) {
    this.ladders = remainingLadders(model);
  }

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
    const whole = ranked && ranked.element.length === belief.one.length && from.bench.plain;
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
      let value = walk(here.bench, after, order);
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

/** Whether a check that was already made may be offered again. */
function offered(model: Model, c: number, p: Float64Array): boolean {
  if (model.request.options?.repeats !== 'intermittent only') return true;
  const check = model.request.checks[c];
  const made = (model.request.log ?? []).some((e) => 'check' in e && e.check === check?.id);
  if (!made) return true;
  return (check?.exercises ?? []).some((id) => {
    const i = model.indexOf.get(id) as number;
    const q = check?.provokes?.[id] ?? model.request.elements[i]?.q ?? 1;
    return q < 1 && (p[i] as number) >= WORTH_A_REPEAT;
  });
}

/**
 * Ranks checks and repairs from the present belief by expected minutes to a finished repair.
 *
 * A check costs its minutes, the opening and the power change it still needs, and then what the
 * best continuation costs after each answer: with lookahead 1 the repair sequence, with 2 the
 * better of repair and one more check (over the 40 most informative).
 *
 * @param model a checked model
 * @param belief weights that sum to 1
 * @returns actions, soonest mended first, and minutes when the repair is begun now
 * @example rank(model, condition(model).belief).next[0].id // what to do next
 */
export function rank(model: Model, belief: Belief): Ranking {
  const exact = model.request.options?.exact ? exactly(model, belief) : null;
  if (exact) return exact;
  const search = new Search(model);
  const p = marginals(belief);
  const mass = total(belief);
  const now = search.moment(scaled(belief, mass), model.opened, model.request.power?.now);
  const lookahead = model.request.options?.lookahead ?? 1;

  const told = (c: number, room?: Uint32Array) => ({ c, ...search.told(now, c, room) });
  const tellsMore = (x: { c: number; bits: number }) => x.bits > 1e-12 && offered(model, x.c, p);
  const action = ({ c, ...told }: Told & { c: number }, deeper: number[] | null): NextAction => {
    const { p: chances, bits } = told;
    const check = model.request.checks[c];
    const power = powerMinutes(model, now.power, check?.power);
    return {
      kind: 'check',
      id: check?.id ?? '',
      expectedMinutes: search.check(now, c, told, deeper),
      ...(check?.outcomes
        ? { pOutcomes: check.outcomes.map((o, k) => ({ id: o.id, p: chances[k] as number })) }
        : { pBad: chances[0] as number }),
      bits,
      openMinutes: openMinutes(model, model.opened, model.checkAccess[c] as number[]),
      ...(power > 0 ? { powerMinutes: power } : {}),
    };
  };
  const checks: NextAction[] = [];
  if (lookahead === 2) {
    const deep = model.tables
      .map((_, c) => told(c))
      .filter(tellsMore)
      .sort((x, y) => y.bits - x.bits || x.c - y.c)
      .slice(0, DEEP);
    const deeper = deep.map((x) => x.c);
    for (const x of deep) checks.push(action(x, deeper));
  } else {
    // One after the other: no check is dealt out again once it is reckoned.
    const room = now.ranked ? new Uint32Array(now.ranked.element.length) : undefined;
    for (let c = 0; c < model.tables.length; c++) {
      const x = told(c, room);
      if (tellsMore(x)) checks.push(action(x, null));
    }
  }
  const headFirst = walkHeads(now.bench, now.belief, now.order);
  const repairs = model.request.elements.flatMap((e, i): NextAction[] => {
    const step = now.bench.ladders[i]?.[0];
    if (!step || !((p[i] as number) > 0)) return [];
    return [
      {
        kind: 'repair',
        id: e.id,
        ...(step.id === null ? {} : { remedy: step.id }),
        expectedMinutes: headFirst(i),
        openMinutes: openMinutes(model, model.opened, model.elementAccess[i] as number[]),
      },
    ];
  });
  const next = [...repairs, ...checks].sort((a, b) => a.expectedMinutes - b.expectedMinutes);
  return {
    next,
    repairNowMinutes: repairMinutes(now.bench, now.belief),
    enough: next[0]?.kind !== 'check',
    ...(model.request.options?.exact ? { method: `lookahead ${lookahead}` as const } : {}),
  };
}

/** What {@link rank} answers. */
interface Ranking {
  next: NextAction[];
  repairNowMinutes: number;
  enough: boolean;
  method?: 'exact' | 'lookahead 1' | 'lookahead 2';
}

/** The ranking by every way on, each element by its best rung; null where there are too many. */
function exactly(model: Model, belief: Belief): Ranking | null {
  const ladders = remainingLadders(model);
  const mass = total(belief);
  const b = scaled(belief, mass);
  const found = exactActs(model, b, ladders);
  if (!found) return null;
  const met = new Set<string>();
  const next = found.acts.flatMap(({ kind, index, rung, minutes }): NextAction[] => {
    if (kind === 'check') {
      const check = model.request.checks[index];
      const { p: chances, bits } = tells(b, model.tables[index] as AnswerTable, null);
      const power = powerMinutes(model, model.request.power?.now, check?.power);
      return [
        {
          kind,
          id: check?.id ?? '',
          expectedMinutes: minutes,
          ...(check?.outcomes
            ? { pOutcomes: check.outcomes.map((o, k) => ({ id: o.id, p: chances[k] as number })) }
            : { pBad: chances[0] as number }),
          bits,
          openMinutes: openMinutes(model, model.opened, model.checkAccess[index] as number[]),
          ...(power > 0 ? { powerMinutes: power } : {}),
        },
      ];
    }
    const id = model.request.elements[index]?.id ?? '';
    // Acts come soonest mended first: the first rung met of an element is its best.
    if (met.has(id)) return [];
    met.add(id);
    const step = ladders[index]?.[rung ?? 0];
    return [
      {
        kind,
        id,
        ...(step?.id === null || step === undefined ? {} : { remedy: step.id }),
        expectedMinutes: minutes,
        openMinutes: openMinutes(model, model.opened, model.elementAccess[index] as number[]),
      },
    ];
  });
  return {
    next,
    repairNowMinutes: found.repairNowMinutes,
    enough: next[0]?.kind !== 'check',
    method: 'exact',
  };
}
