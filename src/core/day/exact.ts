import { bounds } from './bound';
import type { Problem } from './problem';
import type { DayValue } from './types';
import { atStart, compare, step, type Walk, worthOf } from './walk';

interface Node {
  w: Walk;
  from: Node | null;
  n: number;
}

/** A day as the steps and appointments in their order, and what it comes to. */
export interface Plan {
  order: number[];
  value: DayValue;
}

/** Steps and appointments up to which a set of them is one number. */
export const MOST_IN_A_SET = 30;

/** Whether nothing that follows from b could not follow from a as early and as near. */
function dominates(p: Problem, a: Walk, b: Walk): boolean {
  if (a.at > b.at || a.travel > b.travel) return false;
  if (Math.max(a.stay, a.at) > Math.max(b.stay, b.at)) return false;
  for (const [i, s] of p.steps.entries()) {
    if (!Number.isNaN(b.ends[i] as number)) continue;
    for (const k of s.before) {
      const over = a.ends[k] as number;
      if (over > b.at && over > (b.ends[k] as number)) return false;
    }
  }
  return true;
}

function orderOf(node: Node): number[] {
  const order: number[] = [];
  for (let at: Node | null = node; at?.from; at = at.from) order.push(at.n);
  return order.reverse();
}

/**
 * The best day, by going over all sets of what was done, one thing more each time: of the ways to the same
 * set and place, those that another is not worse than are let go, and those whose bound is no better than the
 * best day known (Held and Karp, A dynamic programming approach to sequencing problems, SIAM Journal 10(1),
 * 1962, with the several figures of each way kept apart).
 *
 * @param p a day of at most 30 steps and appointments
 * @param known the best day so far
 * @param budget of things tried
 * @param late asks whether the time is over
 * @returns the best day, and whether all of them were gone over
 */
export function exact(
  p: Problem,
  known: Plan,
  budget: number,
  late: () => boolean,
): { plan: Plan; whole: boolean } {
  const bound = bounds(p);
  const all = p.steps.length + p.fixed.length;
  let best = known;
  let tried = 0;
  let layer = new Map<number, Node[]>([[0, [{ w: atStart(p), from: null, n: -1 }]]]);
  for (let depth = 0; depth < all && layer.size > 0; depth++) {
    const next = new Map<number, Node[]>();
    for (const [key, nodes] of layer) {
      const set = Math.floor(key / (2 * p.places.length));
      for (const node of nodes) {
        for (let n = 0; n < all; n++) {
          if (set & (1 << n)) continue;
          tried++;
          const w = step(p, node.w, n);
          if (!w) continue;
          const value = worthOf(p, w);
          const made: Node = { w, from: node, n };
          if (value && compare(value, best.value) < 0) best = { order: orderOf(made), value };
          const least = bound(w, best.value);
          if (!least || compare(least, best.value) >= 0) continue;
          const id = ((set | (1 << n)) * p.places.length + w.place) * 2 + (w.gone ? 1 : 0);
          const there = next.get(id);
          if (!there) next.set(id, [made]);
          else if (!there.some((o) => dominates(p, o.w, w))) {
            let kept = 0;
            for (const o of there) if (!dominates(p, w, o.w)) there[kept++] = o;
            there.length = kept;
            there.push(made);
          }
        }
      }
      if (tried > budget || late()) return { plan: best, whole: false };
    }
    layer = next;
  }
  return { plan: best, whole: true };
}
