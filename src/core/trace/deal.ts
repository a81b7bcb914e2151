import type { Belief } from './belief';
import type { AnswerTable } from './likelihood';
import type { Bench } from './repair';

/**
 * The present order of repairs, dealt out by class of one check. An answer multiplies each class of
 * single faults by one number, so classes stay sorted among themselves and only have to be merged.
 */
export interface Dealt {
  /** block indices, class after class */
  blocks: Uint32Array;
  /** where each class begins, and the end */
  starts: Uint32Array;
  /** worth p · rate, suspicion and minutes of each dealt block before the answer */
  worth: Float64Array;
  mass: Float64Array;
  minutes: Float64Array;
}

/** Classes up to which dealing and merging beats a full sort. */
export const MOST_CLASSES = 8;

/**
 * Deals the present order out by class.
 *
 * @param bench blocks
 * @param belief single faults only
 * @param order present order of the blocks
 * @param t classes of the check
 * @returns the blocks, class after class, each class still in order
 * @example deal(bench, belief, order, table).starts // [0, 3, 8]
 */
export function deal(bench: Bench, belief: Belief, order: Uint32Array, t: AnswerTable): Dealt {
  const { elementOf, minutesOf, rateOf } = bench;
  const { classOf, classes } = t;
  const size = order.length;
  const starts = new Uint32Array(classes + 1);
  for (let i = 0; i < size; i++) {
    const k = (classOf[elementOf[i] as number] as number) + 1;
    starts[k] = (starts[k] as number) + 1;
  }
  for (let k = 0; k < classes; k++) starts[k + 1] = (starts[k + 1] as number) + (starts[k] as number);
  const put = starts.slice();
  const blocks = new Uint32Array(size);
  const worth = new Float64Array(size);
  const mass = new Float64Array(size);
  const minutes = new Float64Array(size);
  for (let i = 0; i < size; i++) {
    const block = order[i] as number;
    const e = elementOf[block] as number;
    const k = classOf[e] as number;
    const at = put[k] as number;
    put[k] = at + 1;
    blocks[at] = block;
    mass[at] = belief.one[e] as number;
    worth[at] = (mass[at] as number) * (rateOf[block] as number);
    minutes[at] = minutesOf[block] as number;
  }
  return { blocks, starts, worth, mass, minutes };
}

/**
 * The order of repairs after an answer, by merging the classes; ties as in a full sort.
 *
 * @param d dealt blocks
 * @param chance chance of the answer per class
 * @returns indices of the blocks
 * @example merge(dealt, table.one[0]) // order after "bad"
 */
export function merge(d: Dealt, chance: Float64Array): Uint32Array {
  const order = new Uint32Array(d.blocks.length);
  const heads = d.starts.slice(0, -1);
  for (let i = 0; i < order.length; i++) {
    const best = head(d, heads, chance);
    order[i] = d.blocks[heads[best] as number] as number;
    heads[best] = (heads[best] as number) + 1;
  }
  return order;
}

function head(d: Dealt, heads: Uint32Array, chance: Float64Array): number {
  let best = -1;
  let most = -1;
  let block = 0;
  for (let k = 0; k < heads.length; k++) {
    const at = heads[k] as number;
    if (at >= (d.starts[k + 1] as number)) continue;
    const w = (d.worth[at] as number) * (chance[k] as number);
    const b = d.blocks[at] as number;
    if (w > most || (w === most && b < block)) {
      best = k;
      most = w;
      block = b;
    }
  }
  return best;
}

/**
 * Minutes of the repair sequence after an answer where every repair is one whole replacement that
 * needs no opening: merging and adding up in one pass, without building the order.
 *
 * @param d dealt blocks
 * @param chance chance of the answer per class
 * @returns minutes times the chance of the answer
 * @example mergedMinutes(dealt, table.one[0]) // as walk() of the merged order
 */
export function mergedMinutes(d: Dealt, chance: Float64Array): number {
  const { starts, worth, mass, minutes, blocks } = d;
  let left = 0;
  for (let k = 0; k < chance.length; k++) {
    const c = chance[k] as number;
    for (let i = starts[k] as number; i < (starts[k + 1] as number); i++) left += (mass[i] as number) * c;
  }
  let sum = 0;
  if (chance.length > 2) {
    const heads = starts.slice(0, -1);
    for (let i = 0; i < blocks.length; i++) {
      const k = head(d, heads, chance);
      const at = heads[k] as number;
      heads[k] = at + 1;
      sum += (minutes[at] as number) * left;
      left -= (mass[at] as number) * (chance[k] as number);
    }
    return sum;
  }
  const ca = chance[0] as number;
  const cb = chance.length > 1 ? (chance[1] as number) : 0;
  const endA = starts[1] as number;
  const endB = blocks.length;
  let a = 0;
  let b = endA;
  let wa = a < endA ? (worth[a] as number) * ca : -1;
  let wb = b < endB ? (worth[b] as number) * cb : -1;
  for (let i = 0; i < endB; i++) {
    if (wa > wb || (wa === wb && (blocks[a] as number) < (blocks[b] as number))) {
      sum += (minutes[a] as number) * left;
      left -= (mass[a] as number) * ca;
      a++;
      wa = a < endA ? (worth[a] as number) * ca : -1;
    } else {
      sum += (minutes[b] as number) * left;
      left -= (mass[b] as number) * cb;
      b++;
      wb = b < endB ? (worth[b] as number) * cb : -1;
    }
  }
  return sum;
}
