import type { Budget } from './budget';
import { type Chosen, ready, wayOf } from './choices';
import type { Problem, Setup, Variant } from './problem';

interface Step {
  moves: number[];
  /** what is in the hand, up and on while they are done */
  setup: Setup;
  before: Step | null;
}

/** How far an order has come. */
export interface State {
  setup: Setup;
  done: Uint8Array;
  left: number;
  cost: number;
  /** cost, and what must still be paid at least */
  bound: number;
  /** tools, sides and powers still wanted that are not at hand */
  wanted: number;
  path: Step | null;
  /** states that are the same have the same key */
  key: string;
}

export interface Found {
  order: number[];
  /** the setup of each move of the order */
  setups: Setup[];
  cost: number;
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

/** Sixteen moves to a sign: equal for equal lists of what is done. */
function packed(done: Uint8Array): string {
  let key = '';
  for (let i = 0; i < done.length; i += 16) {
    let bits = 0;
    for (let k = 0; k < 16; k++) bits = (bits << 1) | (done[i + k] ?? 0);
    key += String.fromCharCode(bits);
  }
  return key;
}

/**
 * The walk through one choice of moves, setup by setup. Since a move that has to be done is never worse
 * done early, everything that fits a setup is done at once, and only changes of setup branch.
 */
export class Walk {
  private readonly froms: Set<number>;
  private readonly moves: number[];

  constructor(
    private readonly p: Problem,
    private readonly chosen: Chosen,
    private readonly budget: Budget,
  ) {
    this.froms = new Set(p.keep.map((k) => k.from));
    this.moves = chosen.moves;
  }

  start = (): State => this.state(null, this.p.start, null, 0);

  /** Whether everything is done. */
  static isEnd = (s: State): boolean => s.left === 0;

  static orderOf(s: State): Found {
    const parts: Step[] = [];
    for (let step = s.path; step; step = step.before) parts.push(step);
    parts.reverse();
    return {
      order: parts.flatMap((part) => part.moves),
      setups: parts.flatMap((part) => part.moves.map(() => part.setup)),
      cost: s.cost,
    };
  }

  /** States after one change of setup, each setup once. */
  next(from: State): State[] {
    const { p } = this;
    const { way } = this.chosen;
    const has = (i: number) => (p.done[i] as boolean) || from.done[i] === 1;
    const tried = new Set<string>();
    const list: State[] = [];
    this.budget.spend(this.moves.length);
    for (const i of this.moves) {
      if (from.done[i] || !ready(p, way, has, i)) continue;
      const begins = this.froms.has(i);
      for (const setup of this.setups(from, i)) {
        const key = `${setup.tool} ${setup.side} ${setup.power} ${begins ? i : ''}`;
        if (tried.has(key)) continue;
        tried.add(key);
        if (!this.allowed(from.done, setup.side === from.setup.side ? -1 : setup.side)) continue;
        if (begins && !this.mayBegin(from.done, i, setup.side)) continue;
        list.push(
          this.state(from, setup, begins ? i : null, from.cost + changeMinutes(p, from.setup, setup)),
        );
      }
    }
    return list;
  }

  /** The setups in which a move can be done next: its own; what begins a keep under any side, under each of its sides. */
  private setups(from: State, i: number): Setup[] {
    const { p } = this;
    const v = wayOf(p, this.chosen.way, i);
    const own = moved(v, from.setup);
    if (!this.froms.has(i) || v.side >= 0 || this.mayBegin(from.done, i, own.side)) return [own];
    const sides = new Set(p.keep.flatMap((k) => (k.from === i ? [...k.sides] : [])));
    return [...sides].map((side) => ({ ...own, side }));
  }

  /** What begins a keep is itself done with one of its sides up. */
  private mayBegin(done: Uint8Array, from: number, side: number): boolean {
    const { p } = this;
    return p.keep.every(
      (k) => k.from !== from || done[k.until] || p.done[k.until] || side < 0 || k.sides.has(side),
    );
  }

  private allowed(done: Uint8Array, side: number): boolean {
    const { p } = this;
    return p.keep.every(
      (k) =>
        !((done[k.from] || p.done[k.from]) && !(done[k.until] || p.done[k.until])) ||
        side < 0 ||
        k.sides.has(side),
    );
  }

  private state(before: State | null, setup: Setup, first: number | null, cost: number): State {
    const done = before ? before.done.slice() : new Uint8Array(this.p.ids.length);
    const swept = this.sweep(done, setup, first);
    const now = cost + swept.minutes;
    const { minutes, wanted } = this.rest(done, setup);
    return {
      setup,
      done,
      left: (before?.left ?? this.moves.length) - swept.moves.length,
      cost: now,
      bound: now + minutes,
      wanted,
      path: swept.moves.length
        ? { moves: swept.moves, setup, before: before?.path ?? null }
        : (before?.path ?? null),
      key: `${setup.tool} ${setup.side} ${setup.power} ${packed(done)}`,
    };
  }

  /** Does everything that fits the setup, until nothing more does; what begins a keep waits for its own turn. */
  private sweep(done: Uint8Array, setup: Setup, first: number | null): { moves: number[]; minutes: number } {
    const { p } = this;
    const { way } = this.chosen;
    const list: number[] = [];
    let minutes = 0;
    const has = (i: number) => (p.done[i] as boolean) || done[i] === 1;
    const take = (i: number) => {
      done[i] = 1;
      list.push(i);
      minutes += wayOf(p, way, i).minutes;
    };
    if (first !== null) take(first);
    // What fits this setup, looked at again only as long as something more of it becomes possible.
    let wait = this.moves.filter((i) => !done[i] && !this.froms.has(i) && fits(wayOf(p, way, i), setup));
    this.budget.spend(this.moves.length);
    for (let again = true; again; ) {
      again = false;
      this.budget.spend(wait.length);
      const later: number[] = [];
      for (const i of wait) {
        if (ready(p, way, has, i)) {
          take(i);
          again = true;
        } else later.push(i);
      }
      wait = later;
    }
    return { moves: list, minutes };
  }

  /** What must still be paid: minutes, and each tool, side and power that is not at hand once. */
  private rest(done: Uint8Array, setup: Setup): { minutes: number; wanted: number } {
    const { p } = this;
    const tools = new Set<number>();
    const sides = new Set<number>();
    const powers = new Set<number>();
    let minutes = 0;
    this.budget.spend(this.moves.length);
    for (const i of this.moves) {
      if (done[i]) continue;
      const v = wayOf(p, this.chosen.way, i);
      minutes += v.minutes;
      if (v.tool >= 0 && v.tool !== setup.tool) tools.add(v.tool);
      if (v.side >= 0 && v.side !== setup.side) sides.add(v.side);
      if (v.power >= 0 && v.power !== setup.power) powers.add(v.power);
    }
    return {
      minutes: minutes + tools.size * p.toolMinutes + sides.size * p.leastFlip + powers.size * p.powerMinutes,
      wanted: tools.size + sides.size + powers.size,
    };
  }
}
