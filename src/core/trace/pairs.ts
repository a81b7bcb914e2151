import { type Belief, pairIndex } from './belief';
import type { AnswerTable } from './likelihood';
import { type Bench, orderBlocks } from './repair';

/** The pairs of a belief as a full square, so that a row can be read without reckoning its place. */
export type Square = Float64Array;

/**
 * Writes the triangle of pairs out as a square.
 *
 * @param b a belief with pairs
 * @returns n × n weights, symmetric, zero on the diagonal
 * @example square(belief)[1 * n + 3] // weight of the pair (1, 3)
 */
export function square(b: Belief): Square {
  const n = b.one.length;
  const s = new Float64Array(n * n);
  if (!b.two) return s;
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const w = b.two[pairIndex(n, i, j)] as number;
      s[i * n + j] = w;
      s[j * n + i] = w;
    }
  }
  return s;
}

/**
 * Of each element, the weight of its pairs by the class of the other.
 *
 * @param pairs pairs as a square
 * @param t classes of the check
 * @returns [element × classes + class] weights
 * @example besideOf(square(belief), table)[3 * table.classes + 1]
 */
export function besideOf(pairs: Square, t: AnswerTable): Float64Array {
  const { classOf, classes } = t;
  const n = classOf.length;
  const beside = new Float64Array(n * classes);
  const sums = new Float64Array(classes);
  for (let i = 0; i < n; i++) {
    sums.fill(0);
    const row = i * n;
    for (let j = 0; j < n; j++) {
      const k = classOf[j] as number;
      sums[k] = (sums[k] as number) + (pairs[row + j] as number);
    }
    beside.set(sums, i * classes);
  }
  return beside;
}

/**
 * Minutes of the repair sequence after each answer of a check, in the pair model, where every repair
 * is one whole replacement that needs no opening. The weights after the answer are never written
 * down: a pair counts its weight before, times the chance of its two classes.
 *
 * @param bench plain blocks
 * @param b weights before the answer
 * @param pairs the same pairs as a square
 * @param t chances of the check
 * @param beside as {@link besideOf} answers it
 * @returns minutes times the chance of each answer
 * @example pairMinutes(bench, belief, pairs, table, besideOf(pairs, table))[0] // after "bad"
 */
export function pairMinutes(
  bench: Bench,
  b: Belief,
  pairs: Square,
  t: AnswerTable,
  beside: Float64Array,
): number[] {
  const n = b.one.length;
  const { classOf, classes } = t;
  return t.answers.map((_, a) => {
    const one = t.one[a] as Float64Array;
    const two = t.two[a] as Float64Array;
    const p = new Float64Array(n);
    let left = 0;
    for (let e = 0; e < n; e++) {
      const c = classOf[e] as number;
      const alone = (b.one[e] as number) * (one[c] as number);
      let paired = 0;
      for (let k = 0; k < classes; k++)
        paired += (beside[e * classes + k] as number) * (two[c * classes + k] as number);
      p[e] = alone + paired;
      left += alone + paired / 2;
    }
    const order = orderBlocks(bench, p);
    const done = Array.from({ length: classes }, () => new Int32Array(n));
    const count = new Int32Array(classes);
    let minutes = 0;
    for (let i = 0; i < order.length; i++) {
      const block = order[i] as number;
      const e = bench.elementOf[block] as number;
      const c = classOf[e] as number;
      minutes += (bench.minutesOf[block] as number) * left;
      let mass = (b.one[e] as number) * (one[c] as number);
      const row = e * n;
      for (let k = 0; k < classes; k++) {
        const list = done[k] as Int32Array;
        const many = count[k] as number;
        let sum = 0;
        for (let d = 0; d < many; d++) sum += pairs[row + (list[d] as number)] as number;
        mass += sum * (two[c * classes + k] as number);
      }
      (done[c] as Int32Array)[count[c] as number] = e;
      count[c] = (count[c] as number) + 1;
      left = Math.max(0, left - mass);
    }
    return minutes;
  });
}
