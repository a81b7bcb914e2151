import type { Budget } from './budget';
import { type Found, type State, Walk } from './walk';

interface Node {
  state: State;
  serial: number;
}

/** A heap of nodes, least bound first, the earlier on a tie, so that the same input finds the same order. */
class Heap {
  private readonly list: Node[] = [];

  private static before({ state: a, serial: x }: Node, { state: b, serial: y }: Node) {
    return a.bound < b.bound || (a.bound === b.bound && (a.left < b.left || (a.left === b.left && x < y)));
  }

  push(node: Node) {
    const { list } = this;
    let i = list.push(node) - 1;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (!Heap.before(node, list[up] as Node)) break;
      list[i] = list[up] as Node;
      i = up;
    }
    list[i] = node;
  }

  pop(): Node | undefined {
    const { list } = this;
    const top = list[0];
    const last = list.pop();
    if (top === undefined || last === undefined || list.length === 0) return top;
    let i = 0;
    for (;;) {
      let child = 2 * i + 1;
      if (child >= list.length) break;
      if (child + 1 < list.length && Heap.before(list[child + 1] as Node, list[child] as Node)) child++;
      if (!Heap.before(list[child] as Node, last)) break;
      list[i] = list[child] as Node;
      i = child;
    }
    list[i] = last;
    return top;
  }
}

/** What a search came to: an order under the limit, and what no order of this choice can go under. */
export interface Searched {
  found: Found | null;
  bound: number;
  /** it went to its end */
  whole: boolean;
}

/**
 * Quickest order for one choice of moves: best first, with a bound that counts each tool, side and power
 * still to come once.
 *
 * @param walk of the choice
 * @param start its first state
 * @param under only orders that cost less are of use
 * @param budget work it may do
 * @returns the order, or null when none is under the limit; when stopped, what no order can go under
 * @example searchOrder(walk, walk.start(), Infinity, budget).found?.cost // 3.7
 */
export function searchOrder(walk: Walk, start: State, under: number, budget: Budget): Searched {
  const heap = new Heap();
  const best = new Map<string, number>();
  let serial = 0;
  const add = (state: State) => {
    if (state.bound >= under - 1e-12) return;
    const known = best.get(state.key);
    if (known !== undefined && known <= state.cost + 1e-12) return;
    best.set(state.key, state.cost);
    heap.push({ state, serial: serial++ });
  };
  add(start);
  for (;;) {
    const node = heap.pop();
    if (!node) return { found: null, bound: under, whole: true };
    const { state } = node;
    if (Walk.isEnd(state)) return { found: Walk.orderOf(state), bound: state.cost, whole: true };
    if (budget.isOut) return { found: null, bound: state.bound, whole: false };
    for (const next of walk.next(state)) add(next);
  }
}

/** States that are looked at when nothing else found an order that keeps what must be kept. */
const LAST_LOOKS = 20_000;

/**
 * Any order at all: the most promising successor first, and back again from a dead end.
 *
 * @param walk of the choice
 * @param start its first state
 * @returns an order, or null where none was found in so many looks
 * @example anyOrder(walk, walk.start())?.order.length
 */
export function anyOrder(walk: Walk, start: State): Found | null {
  const stack = [start];
  const seen = new Set<string>();
  for (let looks = 0; looks < LAST_LOOKS; looks++) {
    const state = stack.pop();
    if (!state) return null;
    if (Walk.isEnd(state)) return Walk.orderOf(state);
    if (seen.has(state.key)) continue;
    seen.add(state.key);
    stack.push(...walk.next(state).sort((a, b) => b.bound - a.bound || b.left - a.left));
  }
  return null;
}
