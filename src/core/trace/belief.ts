import { demand } from '../refusal';
import { type AnswerTable, readingDensities } from './likelihood';
import type { Model } from './model';
import type { TraceLogEntry } from './types';

/** Weights of the fault sets: none at fault, one element, a pair (upper triangle, row by row). */
export interface Belief {
  none: number;
  one: Float64Array;
  two: Float64Array | null;
}

/**
 * Place of the pair (a, b) in the triangle of n elements.
 *
 * @param n number of elements
 * @param a one index
 * @param b another index
 * @returns index into {@link Belief.two}
 * @example pairIndex(4, 1, 3) // 4
 */
export function pairIndex(n: number, a: number, b: number): number {
  const i = Math.min(a, b);
  const j = Math.max(a, b);
  return i * n - (i * (i + 1)) / 2 + (j - i - 1);
}

/**
 * Sum of all weights of a belief.
 *
 * @param b weights
 * @returns their sum, same unit
 * @example total({ none: 0, one: Float64Array.of(0.5, 0.5), two: null }) // 1
 */
export function total(b: Belief): number {
  let t = b.none;
  for (let i = 0; i < b.one.length; i++) t += b.one[i] as number;
  if (b.two) for (let k = 0; k < b.two.length; k++) t += b.two[k] as number;
  return t;
}

/**
 * Divides a belief by a number.
 *
 * @param b weights
 * @param by divisor, over 0
 * @returns new weights
 * @example scaled({ none: 0, one: Float64Array.of(2), two: null }, 2).one[0] // 1
 */
export function scaled(b: Belief, by: number): Belief {
  return { none: b.none / by, one: b.one.map((x) => x / by), two: b.two ? b.two.map((x) => x / by) : null };
}

/**
 * Multiplies every fault set by a factor that depends on its classes in one check.
 *
 * @param b weights
 * @param table classes of the check
 * @param factor chance of what was seen, per answer table slot: empty set, class, class pair
 * @returns new weights, not normalised
 * @example weighed(b, table, { none: table.none[0]!, one: table.one[0]!, two: table.two[0]! })
 */
export function weighed(
  b: Belief,
  table: AnswerTable,
  factor: { none: number; one: Float64Array; two: Float64Array },
): Belief {
  const { classOf, classes } = table;
  const n = b.one.length;
  const one = new Float64Array(n);
  for (let i = 0; i < n; i++) one[i] = (b.one[i] as number) * (factor.one[classOf[i] as number] as number);
  let two: Float64Array | null = null;
  if (b.two) {
    two = new Float64Array(b.two.length);
    let k = 0;
    for (let i = 0; i < n; i++) {
      const row = (classOf[i] as number) * classes;
      for (let j = i + 1; j < n; j++, k++) {
        two[k] = (b.two[k] as number) * (factor.two[row + (classOf[j] as number)] as number);
      }
    }
  }
  return { none: b.none * factor.none, one, two };
}

/** The factors of one answer, as {@link weighed} wants them. */
export const answerFactors = (t: AnswerTable, answer: number) => ({
  none: t.none[answer] as number,
  one: t.one[answer] as Float64Array,
  two: t.two[answer] as Float64Array,
});

const mapFactors = (t: AnswerTable, f: (chances: (answer: number) => number) => number) => ({
  none: f((a) => t.none[a] as number),
  one: (t.one[0] as Float64Array).map((_, k) => f((a) => t.one[a]?.[k] as number)),
  two: (t.two[0] as Float64Array).map((_, k) => f((a) => t.two[a]?.[k] as number)),
});

/**
 * Prior: every single element by its weight, with two faults also every pair by
 * `pairFactor · w1 · w2 / Σw`, and the empty set by `noFaultWeight`; one normalisation over all.
 *
 * @param model a checked model
 * @returns weights that sum to 1
 * @example prior(model).one // shares by weight
 */
export function prior(model: Model): Belief {
  const { elements, options = {} } = model.request;
  const w = Float64Array.from(elements, (e) => e.weight);
  const sum = w.reduce((a, b) => a + b, 0);
  let two: Float64Array | null = null;
  if (model.pairs) {
    const factor = (options.pairFactor ?? 0.02) / sum;
    two = new Float64Array((model.n * (model.n - 1)) / 2);
    let k = 0;
    for (let i = 0; i < model.n; i++) {
      for (let j = i + 1; j < model.n; j++) two[k++] = factor * (w[i] as number) * (w[j] as number);
    }
  }
  const all: Belief = { none: options.noFaultWeight ?? 0, one: w, two };
  return scaled(all, total(all));
}

/** Element e is whole again with chance `share`: its sets pass that share on to what is left of them. */
function mended(b: Belief, e: number, share: number): Belief {
  const n = b.one.length;
  const one = b.one.slice();
  one[e] = (one[e] as number) * (1 - share);
  const two = b.two ? b.two.slice() : null;
  if (two) {
    for (let o = 0; o < n; o++) {
      if (o === e) continue;
      const k = pairIndex(n, e, o);
      const passed = (two[k] as number) * share;
      two[k] = (two[k] as number) - passed;
      one[o] = (one[o] as number) + passed;
    }
  }
  return { none: b.none, one, two };
}

function readLog(model: Model, entry: TraceLogEntry, at: string) {
  const element = (id: string, path: string) => {
    const i = model.indexOf.get(id);
    demand(i !== undefined, `element “${id}” is not known`, path);
    return i;
  };
  if ('repaired' in entry) return { mend: element(entry.repaired, `${at}/repaired`), share: 1 };
  if ('tried' in entry) {
    const e = element(entry.element, `${at}/element`);
    const step = model.ladders[e]?.find((s) => s.id === entry.tried);
    demand(step, `“${entry.element}” has no remedy “${entry.tried}”`, `${at}/tried`);
    return { mend: e, share: step.fixes };
  }
  const c = model.checkOf.get(entry.check);
  demand(c !== undefined, `check “${entry.check}” is not known`, `${at}/check`);
  const table = model.tables[c] as AnswerTable;
  if ('reading' in entry) {
    const { reading, expect } = entry;
    demand(
      !model.request.checks[c]?.outcomes,
      `“${entry.check}” has several answers and takes no reading`,
      `${at}/reading`,
    );
    demand(Number.isFinite(reading), `the reading at “${entry.check}” is not a number`, `${at}/reading`);
    demand(expect.tolerance > 0, `tolerance at “${entry.check}” must be over 0`, `${at}/expect/tolerance`);
    demand(expect.low < expect.high, `low must lie under high at “${entry.check}”`, `${at}/expect/low`);
    const d = readingDensities(reading, expect);
    const verdict = d.good >= d.bad ? 1 : 0;
    return { table, seen: mapFactors(table, (p) => p(0) * d.bad + p(1) * d.good), verdict };
  }
  const answer = table.answers.indexOf(entry.outcome);
  demand(answer >= 0, `“${entry.outcome}” is no answer of check “${entry.check}”`, `${at}/outcome`);
  return { table, seen: answerFactors(table, answer), verdict: answer };
}

/**
 * Takes the log, one entry after the other, into the prior (Bayes' rule), and watches whether the
 * whole log is believable: it is called contradictory when
 * `Σ prior·Π L(seen) / Σ prior·Π max L` falls under 1 in 1,000.
 *
 * @param model a checked model
 * @returns weights that sum to 1, and the contradiction flag; a log of probability 0 leaves the prior
 * @throws Refusal naming an unknown check, answer, element or remedy, or a wrong expectation
 * @example condition(model).contradiction // false
 */
export function condition(model: Model): { belief: Belief; contradiction: boolean } {
  const start = prior(model);
  let belief = start;
  let seen = start;
  let most = start;
  let impossible = false;
  let ratio = 1;
  (model.request.log ?? []).forEach((entry, i) => {
    const step = readLog(model, entry, `/log/${i}`);
    if (step.mend !== undefined) {
      belief = mended(belief, step.mend, step.share);
      seen = mended(seen, step.mend, step.share);
      most = mended(most, step.mend, step.share);
    } else {
      belief = weighed(belief, step.table, step.seen);
      seen = weighed(seen, step.table, answerFactors(step.table, step.verdict));
      most = weighed(
        most,
        step.table,
        mapFactors(step.table, (p) => Math.max(...step.table.answers.map((_, a) => p(a)))),
      );
    }
    const t = total(belief);
    const ts = total(seen);
    const tm = total(most);
    if (!(t > 0 && tm > 0)) {
      impossible = true;
      belief = seen = most = start;
      return;
    }
    ratio *= ts / tm;
    belief = scaled(belief, t);
    seen = ts > 0 ? scaled(seen, ts) : seen;
    most = scaled(most, tm);
  });
  return impossible ? { belief: start, contradiction: true } : { belief, contradiction: ratio < 1e-3 };
}

/**
 * Suspicion of each element: the sum over the fault sets that contain it.
 *
 * @param b weights that sum to 1
 * @returns chance per element, 0 to 1
 * @example marginals({ none: 0, one: Float64Array.of(0.4, 0.5), two: Float64Array.of(0.1) }) // [0.5, 0.6]
 */
export function marginals(b: Belief): Float64Array {
  const p = b.one.slice();
  if (b.two) {
    const n = p.length;
    let k = 0;
    for (let i = 0; i < n; i++) {
      for (let j = i + 1; j < n; j++, k++) {
        const w = b.two[k] as number;
        p[i] = (p[i] as number) + w;
        p[j] = (p[j] as number) + w;
      }
    }
  }
  return p;
}
