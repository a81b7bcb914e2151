import { type Chosen, ready, wayOf } from './choices';
import type { Problem, Setup, Variant } from './problem';

interface Node {
  setup: Setup;
  done: Uint8Array;
  left: number;
  cost: number;
  bound: number;
  path: Step | null;
  serial: number;
}

interface Step {
  moves: number[];
  before: Step | null;
}

export interface Found {
  order: number[];
  cost: number;
}

/** A heap of nodes, least bound first, the earlier on a tie, so that the same input finds the same order. */
class Heap {
  private readonly list: Node[] = [];

  private static before(a: Node, b: Node) {
    return (
      a.bound < b.bound ||
      (a.bound === b.bound && (a.left < b.left || (a.left === b.left && a.serial < b.serial)))
    );
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

const fits = (v: Variant, s: Setup) =>
  (v.tool < 0 || v.tool === s.tool) &&
  (v.side < 0 || v.side === s.side) &&
  (v.power < 0 || v.power === s.power);

const moved = (v: Variant, s: Setup): Setup => ({
  tool: v.tool < 0 ? s.tool : v.tool,
  side: v.side < 0 ? s.side : v.side,
  power: v.power < 0 ? s.power : v.power,
});

/** Minutes to bring one setup to another. */
export function changeMinutes(p: Problem, from: Setup, to: Setup): number {
  return (
    (to.tool === from.tool ? 0 : p.toolMinutes) +
    (to.side === from.side ? 0 : p.flip(from.side, to.side)) +
    (to.power === from.power ? 0 : p.powerMinutes)
  );
}

/**
 * Quickest order for one choice of moves. Since a move that has to be done is never worse done early,
 * everything that fits the present setup is done at once, and only changes of setup branch; best
 * first with a bound that counts each tool, side and power still to come once.
 *
 * @param p the problem
 * @param chosen moves with their ways
 * @param under only orders that cost less are of use
 * @param until time at which to stop
 * @returns the order, or null when none is under the limit; and, when stopped, what no order can go under
 */
export function searchOrder(
  p: Problem,
  chosen: Chosen,
  under: number,
  until: number,
): { found: Found | null; bound: number } {
  const { way, moves } = chosen;
  const variant = (i: number) => wayOf(p, way, i);
  const froms = new Set(p.keep.map((k) => k.from));
  const total = moves.length;
  let serial = 0;

  const allowed = (done: Uint8Array, side: number) =>
    p.keep.every(
      (k) =>
        !((done[k.from] || p.done[k.from]) && !(done[k.until] || p.done[k.until])) ||
        side < 0 ||
        k.sides.has(side),
    );

  /** What must still be paid: minutes, and each tool, side and power that is not at hand once. */
  const rest = (done: Uint8Array, setup: Setup): number => {
    const tools = new Set<number>();
    const sides = new Set<number>();
    const powers = new Set<number>();
    let minutes = 0;
    for (const i of moves) {
      if (done[i]) continue;
      const v = variant(i);
      minutes += v.minutes;
      if (v.tool >= 0 && v.tool !== setup.tool) tools.add(v.tool);
      if (v.side >= 0 && v.side !== setup.side) sides.add(v.side);
      if (v.power >= 0 && v.power !== setup.power) powers.add(v.power);
    }
    return minutes + tools.size * p.toolMinutes + sides.size * p.leastFlip + powers.size * p.powerMinutes;
  };

  /** Does everything that fits the setup, until nothing more does; what begins a keep waits for its own turn. */
  const sweep = (
    done: Uint8Array,
    setup: Setup,
    first: number | null,
  ): { moves: number[]; minutes: number } => {
    const list: number[] = [];
    let minutes = 0;
    const has = (i: number) => (p.done[i] as boolean) || done[i] === 1;
    const take = (i: number) => {
      done[i] = 1;
      list.push(i);
      minutes += variant(i).minutes;
    };
    if (first !== null) take(first);
    for (let again = true; again; ) {
      again = false;
      for (const i of moves) {
        if (done[i] || froms.has(i) || !fits(variant(i), setup) || !ready(p, way, has, i)) continue;
        take(i);
        again = true;
      }
    }
    return { moves: list, minutes };
  };

  const heap = new Heap();
  const best = new Map<string, number>();
  const add = (before: Node | null, setup: Setup, first: number | null, cost: number) => {
    const done = before ? before.done.slice() : new Uint8Array(p.ids.length);
    const swept = sweep(done, setup, first);
    const now = cost + swept.minutes;
    const left = (before?.left ?? total) - swept.moves.length;
    const key = `${setup.tool} ${setup.side} ${setup.power} ${done.join('')}`;
    const known = best.get(key);
    if (known !== undefined && known <= now + 1e-12) return;
    best.set(key, now);
    const bound = now + rest(done, setup);
    if (bound >= under - 1e-12) return;
    heap.push({
      setup,
      done,
      left,
      cost: now,
      bound,
      path: swept.moves.length
        ? { moves: swept.moves, before: before?.path ?? null }
        : (before?.path ?? null),
      serial: serial++,
    });
  };
  add(null, p.start, null, 0);

  for (let ticks = 0; ; ticks++) {
    const node = heap.pop();
    if (!node) return { found: null, bound: under };
    if (node.left === 0) {
      return { found: { order: orderOf(node), cost: node.cost }, bound: node.cost };
    }
    if ((ticks & 63) === 0 && performance.now() > until) {
      const { bound } = node;
      drain();
      return { found: finish(node), bound };
    }
    expand(node);
  }

  function orderOf(node: Node): number[] {
    const parts: number[][] = [];
    for (let s = node.path; s; s = s.before) parts.push(s.moves);
    return parts.reverse().flat();
  }

  function expand(node: Node): void {
    const has = (i: number) => (p.done[i] as boolean) || node.done[i] === 1;
    const tried = new Set<string>();
    for (const i of moves) {
      if (node.done[i] || !ready(p, way, has, i)) continue;
      const v = variant(i);
      const setup = moved(v, node.setup);
      const key = `${setup.tool} ${setup.side} ${setup.power} ${froms.has(i) ? i : ''}`;
      if (tried.has(key) || !allowed(node.done, setup.side === node.setup.side ? -1 : setup.side)) continue;
      tried.add(key);
      add(node, setup, froms.has(i) ? i : null, node.cost + changeMinutes(p, node.setup, setup));
    }
  }

  /** Gives the front of the search up. */
  function drain(): void {
    while (heap.pop());
  }

  /**
   * Out of time: runs down from the best node, the most promising successor first and back again from
   * a dead end, so that an order is answered wherever there is one.
   */
  function finish(from: Node): Found | null {
    const stack: Node[] = [from];
    // What the search has passed already may be passed again here: it had not come to its end.
    best.clear();
    for (let node = stack.pop(); node; node = stack.pop()) {
      if (node.left === 0) return { order: orderOf(node), cost: node.cost };
      expand(node);
      const next: Node[] = [];
      for (let n = heap.pop(); n; n = heap.pop()) next.push(n);
      stack.push(...next.reverse());
    }
    return null;
  }
}
