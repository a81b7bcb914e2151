import { demand } from '../refusal';
import type { Expect, TraceCheck } from './types';

/** Sensitivity of a check that states none. Common practice, no source. */
export const SENSITIVITY = 0.97;
/** False alarms of a check that states none. Common practice, no source. */
export const FALSE_ALARM = 0.02;
/** Weight of an answer that points at no member of the fault set. Common practice, no source. */
export const ASTRAY = 0.03;

/**
 * Chances of every answer of one check under every fault set. Elements that act alike in this check
 * share a class, so that a set of two needs only a class pair.
 */
export interface AnswerTable {
  answers: string[];
  /** class of each element */
  classOf: Uint16Array;
  classes: number;
  /** how many elements each class has */
  sizes: Uint32Array;
  /** [answer] chance under the empty set */
  none: Float64Array;
  /** [answer][class] chance under a single fault */
  one: Float64Array[];
  /** [answer][class a × classes + class b] chance under a pair */
  two: Float64Array[];
}

/** The elements side by side, laid out once for all checks: a million exercised ids pass by them. */
export interface Suspects {
  ids: string[];
  /** chance that a fault of each shows at all, 0 to 1 */
  q: Float64Array;
  /** the element of an id */
  indexOf: Map<string, number>;
}

/**
 * Builds the table of answers: noisy OR for ok/bad, `P(bad|S) = 1 − (1−f)·Π(1 − s·q_e)`; for several
 * answers 1 where an answer points at a member of S, ε = 0.03 elsewhere, normalised.
 * Source: noisy OR, Pearl, Probabilistic Reasoning in Intelligent Systems, 1988 (from memory).
 *
 * @param check a checked check
 * @param suspects all elements
 * @param classOf room for the class of each element, all zero
 * @param at path of the check, for a refusal
 * @throws Refusal naming an exercised element that is not known
 * @returns chances per answer and class, 0 to 1
 * @example answerTable(check, suspects, new Uint16Array(9), '/checks/0').one[0] // chances of "bad" per class
 */
export function answerTable(
  check: TraceCheck,
  suspects: Suspects,
  classOf: Uint16Array,
  at: string,
): AnswerTable {
  return check.outcomes
    ? severalAnswers(check.outcomes, classOf, suspects.indexOf)
    : twoAnswers(check, suspects, classOf, at);
}

function sizesOf(classOf: Uint16Array, classes: number): Uint32Array {
  const sizes = new Uint32Array(classes);
  for (let i = 0; i < classOf.length; i++)
    sizes[classOf[i] as number] = (sizes[classOf[i] as number] as number) + 1;
  return sizes;
}

function twoAnswers(
  check: TraceCheck,
  { ids, q: shows, indexOf }: Suspects,
  classOf: Uint16Array,
  at: string,
): AnswerTable {
  const s = check.sensitivity ?? SENSITIVITY;
  const f = check.falseAlarm ?? FALSE_ALARM;
  const hidden = [1];
  const { exercises = [], provokes } = check;
  // How many elements each class has: all in the first, until one is met.
  const sizes = [ids.length];
  let last = -1;
  let shown = 0;
  let k = 0;
  for (let m = 0; m < exercises.length; m++) {
    const id = exercises[m] as string;
    // Cones are written in the order of the map: most often the next id is the next element.
    const next = last + 1;
    const i = ids[next] === id ? next : (indexOf.get(id) ?? -1);
    if (i < 0) demand(false, `element “${id}” is not known`, `${at}/exercises/${m}`);
    last = i;
    const own = shows[i] as number;
    const q = provokes ? (provokes[id] ?? own) : own;
    if (q !== shown) {
      shown = q;
      const hides = 1 - s * q;
      k = hidden.indexOf(hides);
      if (k < 0) {
        k = hidden.push(hides) - 1;
        sizes.push(0);
      }
    }
    const was = classOf[i] as number;
    if (was !== k) {
      sizes[was] = (sizes[was] as number) - 1;
      sizes[k] = (sizes[k] as number) + 1;
      classOf[i] = k;
    }
  }
  const c = hidden.length;
  const bad1 = new Float64Array(c);
  const ok1 = new Float64Array(c);
  const bad2 = new Float64Array(c * c);
  const ok2 = new Float64Array(c * c);
  for (let a = 0; a < c; a++) {
    const hides = (1 - f) * (hidden[a] as number);
    bad1[a] = 1 - hides;
    ok1[a] = hides;
    for (let b = 0; b < c; b++) {
      const both = hides * (hidden[b] as number);
      bad2[a * c + b] = 1 - both;
      ok2[a * c + b] = both;
    }
  }
  return {
    answers: ['bad', 'ok'],
    classOf,
    classes: c,
    sizes: Uint32Array.from(sizes),
    none: Float64Array.of(f, 1 - f),
    one: [bad1, ok1],
    two: [bad2, ok2],
  };
}

function severalAnswers(
  outcomes: { id: string; points: string[] }[],
  classOf: Uint16Array,
  indexOf: Map<string, number>,
): AnswerTable {
  const pointed: Set<number>[] = outcomes.map(
    (o) => new Set(o.points.map((id) => indexOf.get(id) as number)),
  );
  const classAt = new Map<string, number>();
  const patterns: boolean[][] = [];
  for (let e = 0; e < classOf.length; e++) {
    const pattern = pointed.map((set) => set.has(e));
    const key = pattern.map(Number).join('');
    let k = classAt.get(key);
    if (k === undefined) {
      k = patterns.push(pattern) - 1;
      classAt.set(key, k);
    }
    classOf[e] = k;
  }
  const c = patterns.length;
  const chances = (hits: boolean[]) => {
    const w = hits.map((h) => (h ? 1 : ASTRAY));
    const sum = w.reduce((a, b) => a + b, 0);
    return w.map((x) => x / sum);
  };
  const one = outcomes.map(() => new Float64Array(c));
  const two = outcomes.map(() => new Float64Array(c * c));
  patterns.forEach((a, i) => {
    chances(a).forEach((p, o) => {
      (one[o] as Float64Array)[i] = p;
    });
    patterns.forEach((b, j) => {
      chances(a.map((hit, o) => hit || (b[o] ?? false))).forEach((p, o) => {
        (two[o] as Float64Array)[i * c + j] = p;
      });
    });
  });
  return {
    answers: outcomes.map((o) => o.id),
    classOf,
    classes: c,
    sizes: sizesOf(classOf, c),
    none: Float64Array.from(chances(outcomes.map(() => false))),
    one,
    two,
  };
}

/**
 * Densities of one reading when all is well and when something is wrong: normal about the nominal
 * with σ = tolerance / 1.96 (so that 95 % of good readings lie within the tolerance), uniform over
 * [low, high] otherwise. A reading outside widens the interval to itself.
 * Source: normal quantile 1.96, any table of the normal distribution.
 *
 * @param reading in the unit of `expect`
 * @param expect nominal, tolerance, low and high in one unit
 * @returns densities per unit
 * @example readingDensities(0.775, { nominal: 0.775, tolerance: 0.1, low: 0, high: 1 }).good // 7.819
 */
export function readingDensities(reading: number, expect: Expect): { good: number; bad: number } {
  const sigma = expect.tolerance / 1.96;
  const z = (reading - expect.nominal) / sigma;
  const width = Math.max(expect.high, reading) - Math.min(expect.low, reading);
  return { good: Math.exp((-z * z) / 2) / (sigma * Math.sqrt(2 * Math.PI)), bad: 1 / width };
}
