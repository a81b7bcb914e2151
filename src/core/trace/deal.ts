import type { Belief } from './belief';
import type { AnswerTable } from './likelihood';
import type { Bench } from './repair';

/** The blocks in their present order, laid out side by side so that a pass over them stays in the cache. */
export interface Ranked {
  block: Uint32Array;
  element: Int32Array;
  /** worth p · rate, suspicion and minutes at each rank */
  worth: Float64Array;
  mass: Float64Array;
  minutes: Float64Array;
  /** every element stands in the order once: none has two blocks, and of none everything was tried */
  once: boolean;
}

/**
 * Lays the present order out by rank.
 *
 * @param bench blocks
 * @param belief single faults only
 * @param order present order of the blocks
 * @returns one entry per rank
 * @example rankBlocks(bench, belief, orderBlocks(bench, p)).element[0] // the element to repair first
 */
export function rankBlocks(bench: Bench, belief: Belief, order: Uint32Array): Ranked {
  const size = order.length;
  const element = new Int32Array(size);
  const worth = new Float64Array(size);
  const mass = new Float64Array(size);
  const minutes = new Float64Array(size);
  const seen = new Uint8Array(belief.one.length);
  let once = size === seen.length;
  for (let i = 0; i < size; i++) {
    const k = order[i] as number;
    const e = bench.elementOf[k] as number;
    if (seen[e]) once = false;
    seen[e] = 1;
    element[i] = e;
    mass[i] = belief.one[e] as number;
    worth[i] = (belief.one[e] as number) * (bench.rateOf[k] as number);
    minutes[i] = bench.minutesOf[k] as number;
  }
  return { block: order, element, worth, mass, minutes, once };
}

/**
 * Ranks dealt out by class of one check. An answer multiplies each class of single faults by one
 * number, so classes stay sorted among themselves and only have to be merged.
 */
export interface Dealt {
  ranked: Ranked;
  /** ranks, class after class */
  ranks: Uint32Array;
  /** where each class begins, and the end */
  starts: Uint32Array;
  /** chance of a fault in each class, 0 to 1, where every element stands in the order once */
  mass: Float64Array;
}

/** Classes up to which dealing and merging beats a full sort. */
export const MOST_CLASSES = 8;

/**
 * Deals the present order out by class.
 *
 * @param ranked present order
 * @param t classes of the check
 * @param ranks where the ranks are dealt to, one place to each; room of its own where nothing is given.
 *   Who deals a thousand checks, one after the other, gives the same room each time
 * @returns ranks, class after class, each class still in order
 * @example deal(ranked, table).starts // [0, 3, 8]
 */
export function deal(
  ranked: Ranked,
  t: AnswerTable,
  ranks: Uint32Array = new Uint32Array(ranked.element.length),
): Dealt {
  const { element, mass } = ranked;
  const { classOf, classes, sizes } = t;
  const size = element.length;
  if (classes === 2 && ranked.once) {
    // The common case: inside the check or not.
    const cut = sizes[0] as number;
    let a = 0;
    let b = cut;
    let outside = 0;
    let inside = 0;
    for (let i = 0; i < size; i++) {
      if (classOf[element[i] as number] === 0) {
        ranks[a++] = i;
        outside += mass[i] as number;
      } else {
        ranks[b++] = i;
        inside += mass[i] as number;
      }
    }
    return { ranked, ranks, starts: Uint32Array.of(0, cut, size), mass: Float64Array.of(outside, inside) };
  }
  const starts = new Uint32Array(classes + 1);
  for (let i = 0; i < size; i++) {
    const k = (classOf[element[i] as number] as number) + 1;
    starts[k] = (starts[k] as number) + 1;
  }
  for (let k = 0; k < classes; k++) starts[k + 1] = (starts[k + 1] as number) + (starts[k] as number);
  const put = starts.slice();
  const sums = new Float64Array(classes);
  for (let i = 0; i < size; i++) {
    const k = classOf[element[i] as number] as number;
    const at = put[k] as number;
    put[k] = at + 1;
    ranks[at] = i;
    sums[k] = (sums[k] as number) + (mass[i] as number);
  }
  return { ranked, ranks, starts, mass: sums };
}

/** The class whose next block is worth most after the answer; the earlier block on a tie. */
function head(d: Dealt, heads: Uint32Array, chance: Float64Array): number {
  const { worth, block } = d.ranked;
  let best = -1;
  let most = -1;
  let first = 0;
  for (let k = 0; k < heads.length; k++) {
    const at = heads[k] as number;
    if (at >= (d.starts[k + 1] as number)) continue;
    const r = d.ranks[at] as number;
    const w = (worth[r] as number) * (chance[k] as number);
    const b = block[r] as number;
    if (w > most || (w === most && b < first)) {
      best = k;
      most = w;
      first = b;
    }
  }
  return best;
}

/**
 * The order of repairs after an answer, by merging the classes; ties as in a full sort.
 *
 * @param d dealt ranks
 * @param chance chance of the answer per class
 * @returns indices of the blocks
 * @example merge(dealt, table.one[0]) // order after "bad"
 */
export function merge(d: Dealt, chance: Float64Array): Uint32Array {
  const order = new Uint32Array(d.ranks.length);
  const heads = d.starts.slice(0, -1);
  for (let i = 0; i < order.length; i++) {
    const best = head(d, heads, chance);
    order[i] = d.ranked.block[d.ranks[heads[best] as number] as number] as number;
    heads[best] = (heads[best] as number) + 1;
  }
  return order;
}

/**
 * Minutes of the repair sequence after an answer where every repair is one whole replacement that
 * needs no opening: merging and adding up in one pass, without building the order.
 *
 * @param d dealt ranks
 * @param chance chance of the answer per class
 * @param mass chance of the answer together with a fault, over all elements
 * @returns minutes times the chance of the answer
 * @example mergedMinutes(dealt, table.one[0], 0.4) // as walk() of the merged order
 */
export function mergedMinutes(d: Dealt, chance: Float64Array, mass: number): number {
  return chance.length === 2 ? mergedTwo(d, chance, mass) : mergedMany(d, chance, mass);
}

function mergedMany(d: Dealt, chance: Float64Array, all: number): number {
  const { mass, minutes } = d.ranked;
  const heads = d.starts.slice(0, -1);
  let left = all;
  let sum = 0;
  for (let i = 0; i < d.ranks.length; i++) {
    const k = head(d, heads, chance);
    const r = d.ranks[heads[k] as number] as number;
    heads[k] = (heads[k] as number) + 1;
    sum += (minutes[r] as number) * left;
    left -= (mass[r] as number) * (chance[k] as number);
  }
  return sum;
}

function mergedTwo(d: Dealt, chance: Float64Array, all: number): number {
  const { ranks, starts } = d;
  const { worth, mass, minutes, block } = d.ranked;
  const ca = chance[0] as number;
  const cb = chance[1] as number;
  const endA = starts[1] as number;
  const endB = ranks.length;
  let a = 0;
  let b = endA;
  let left = all;
  let sum = 0;
  if (a < endA && b < endB) {
    let ra = ranks[a] as number;
    let rb = ranks[b] as number;
    let wa = (worth[ra] as number) * ca;
    let wb = (worth[rb] as number) * cb;
    for (;;) {
      if (wa > wb || (wa === wb && (block[ra] as number) < (block[rb] as number))) {
        sum += (minutes[ra] as number) * left;
        left -= (mass[ra] as number) * ca;
        if (++a === endA) break;
        ra = ranks[a] as number;
        wa = (worth[ra] as number) * ca;
      } else {
        sum += (minutes[rb] as number) * left;
        left -= (mass[rb] as number) * cb;
        if (++b === endB) break;
        rb = ranks[b] as number;
        wb = (worth[rb] as number) * cb;
      }
    }
  }
  for (; a < endA; a++) {
    const r = ranks[a] as number;
    sum += (minutes[r] as number) * left;
    left -= (mass[r] as number) * ca;
  }
  for (; b < endB; b++) {
    const r = ranks[b] as number;
    sum += (minutes[r] as number) * left;
    left -= (mass[r] as number) * cb;
  }
  return sum;
}
