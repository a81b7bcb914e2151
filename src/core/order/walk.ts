import type { Budget } from './budget';
import { type Chosen, wayOf } from './choices';
import type { Problem, Setup, Variant } from './problem';

interface Step {
  moves: number[];
  /** what is in the hand, up and on while they are done */
  setup: Setup;
  before: Step | null;
}

/** What is done and what waits, written out. */
interface Board {
  done: Uint8Array;
  /** for each move, how much it still waits for */
  waits: Int16Array;
  /** for each tool, side and power, how many moves to come want it */
  wants: Int16Array;
  /** moves that may be done and are not, by their number */
  free: number[];
}

/** How far an order has come. */
export interface State {
  setup: Setup;
  left: number;
  cost: number;
  /** minutes of the moves still to come */
  ahead: number;
  /** cost, and what must still be paid at least */
  bound: number;
  /** tools, sides and powers still wanted that are not at hand */
  wanted: number;
  path: Step | null;
  /** states that are the same have the same key */
  key: string;
  /** written out when it is walked on from: most states never are */
  board: Board | null;
  /** the state it comes from, and what is done in this one */
  before: State | null;
  taken: number[];
}

export interface Found {
  order: number[];
  /** the setup of each move of the order */
  setups: Setup[];
  cost: number;
}

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

/** Puts a number into a list that is in order. */
function insert(list: number[], i: number): void {
  let at = list.length;
  while (at > 0 && (list[at - 1] as number) > i) at--;
  list.splice(at, 0, i);
}

/**
 * The walk through one choice of moves, setup by setup. Since a move that has to be done is never worse
 * done early, everything that fits a setup is done at once, and only changes of setup branch.
 */
export class Walk {
  /** moves that begin a keep */
  private readonly froms: Uint8Array;
  private readonly ways: Variant[] = [];
  /** for each move, those of the choice that come after it */
  private readonly later: number[][];
  /** for each move, those that wait for one of several groups with it in it */
  private readonly maybe: number[][];
  private readonly sides: number;
  private readonly powers: number;
  private readonly first: Board;

  constructor(
    private readonly p: Problem,
    private readonly chosen: Chosen,
    private readonly budget: Budget,
  ) {
    const n = p.ids.length;
    const { moves, way } = chosen;
    this.froms = new Uint8Array(n);
    for (const { from } of p.keep) this.froms[from] = 1;
    this.later = p.ids.map(() => []);
    this.maybe = p.ids.map(() => []);
    for (const i of moves) this.ways[i] = wayOf(p, way, i);
    const ways = moves.map((i) => this.ways[i] as Variant);
    this.sides = 1 + ways.reduce((most, v) => Math.max(most, v.tool), -1);
    this.powers = this.sides + 1 + ways.reduce((most, v) => Math.max(most, v.side), -1);
    const none = new Uint8Array(n);
    const waits = new Int16Array(n);
    const wants = new Int16Array(this.powers + 1 + ways.reduce((most, v) => Math.max(most, v.power), -1));
    for (const i of moves) {
      for (const a of new Set((this.ways[i] as Variant).after)) {
        if (p.done[a]) continue;
        waits[i] = (waits[i] as number) + 1;
        this.later[a]?.push(i);
      }
      if (!this.grouped(i, none)) {
        waits[i] = (waits[i] as number) + 1;
        for (const a of new Set(p.groups[i]?.flat())) this.maybe[a]?.push(i);
      }
      this.want(wants, i, 1);
    }
    this.first = {
      done: none,
      waits,
      wants,
      free: moves.filter((i) => waits[i] === 0),
    };
  }

  start = (): State => this.state(null, this.first, this.p.start, null, 0);

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
    const board = this.boardOf(from);
    const tried = new Set<number>();
    const list: State[] = [];
    this.budget.spend(board.done.length);
    for (const i of board.free) {
      const begins = this.froms[i] === 1;
      if (!begins && tried.has(this.number(from.setup, this.ways[i]))) continue;
      for (const setup of this.setups(from, board, i)) {
        const key = this.number(setup) + (begins ? (i + 1) * (this.p.names + 2) ** 3 : 0);
        if (tried.has(key)) continue;
        tried.add(key);
        if (!this.allowed(board.done, setup.side === from.setup.side ? -1 : setup.side)) continue;
        if (begins && !this.mayBegin(board.done, i, setup.side)) continue;
        list.push(
          this.state(
            from,
            board,
            setup,
            begins ? i : null,
            from.cost + changeMinutes(this.p, from.setup, setup),
          ),
        );
      }
    }
    return list;
  }

  /** The board of a state, from that of the state before. */
  private boardOf(s: State): Board {
    if (s.board) return s.board;
    const from = s.before ? this.boardOf(s.before) : this.first;
    const board = { done: from.done.slice(), waits: from.waits.slice(), wants: from.wants.slice() };
    const freed: number[] = [];
    for (const i of s.taken) this.take(board, i, freed);
    const free = [...from.free, ...freed].filter((i) => board.done[i] === 0).sort((a, b) => a - b);
    s.board = { ...board, free };
    // What lies further back is not written out any more.
    s.before = null;
    return s.board;
  }

  /** A number for each setup, or for what a move makes of it. */
  private number(from: Setup, by: Setup = from): number {
    const all = this.p.names + 2;
    const tool = by.tool < 0 ? from.tool : by.tool;
    const side = by.side < 0 ? from.side : by.side;
    const power = by.power < 0 ? from.power : by.power;
    return ((power + 1) * all + side + 1) * all + tool + 1;
  }

  /** The setups in which a move can be done next: its own; what begins a keep under any side, under each of its sides. */
  private setups(from: State, { done }: Board, i: number): Setup[] {
    const { p } = this;
    const v = this.ways[i] as Variant;
    const own = moved(v, from.setup);
    if (this.froms[i] === 0 || v.side >= 0 || this.mayBegin(done, i, own.side)) return [own];
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

  private state(before: State | null, board: Board, setup: Setup, first: number | null, cost: number): State {
    const taken = this.sweep(board, setup, first);
    const minutes = taken.reduce((sum, i) => sum + (this.ways[i] as Variant).minutes, 0);
    const now = cost + minutes;
    const left = (before?.left ?? this.chosen.moves.length) - taken.length;
    const ahead = (before?.ahead ?? this.chosen.minutes) - minutes;
    const { changes, wanted } = this.changes(board.wants, setup);
    const key = `${setup.tool} ${setup.side} ${setup.power} ${packed(board.done)}`;
    for (let k = taken.length - 1; k >= 0; k--) this.untake(board, taken[k] as number);
    return {
      setup,
      left,
      cost: now,
      ahead,
      bound: left === 0 ? now : now + ahead + changes,
      wanted,
      path: taken.length ? { moves: taken, setup, before: before?.path ?? null } : (before?.path ?? null),
      key,
      board: null,
      before,
      taken,
    };
  }

  /** A move is done; what it makes possible is put to the list. */
  private take({ done, waits, wants }: Omit<Board, 'free'>, i: number, freed: number[]): void {
    const held = this.held(i, done);
    done[i] = 1;
    this.want(wants, i, -1);
    for (const k of this.later[i] as number[]) {
      waits[k] = (waits[k] as number) - 1;
      if (waits[k] === 0) freed.push(k);
    }
    for (const k of held) {
      if (!this.grouped(k, done)) continue;
      waits[k] = (waits[k] as number) - 1;
      if (waits[k] === 0) freed.push(k);
    }
  }

  /** The other way round. */
  private untake({ done, waits, wants }: Board, i: number): void {
    const met = (this.maybe[i] as number[]).filter((k) => this.grouped(k, done));
    done[i] = 0;
    this.want(wants, i, 1);
    for (const k of this.later[i] as number[]) waits[k] = (waits[k] as number) + 1;
    for (const k of met) if (!this.grouped(k, done)) waits[k] = (waits[k] as number) + 1;
  }

  /** Moves with this one in a group that wait for a group still. */
  private held(i: number, done: Uint8Array): number[] {
    const list = this.maybe[i] as number[];
    return list.length === 0 ? list : list.filter((k) => !this.grouped(k, done));
  }

  /** Whether a move is done along with others of its setup. */
  private sweeps(i: number, s: Setup): boolean {
    const v = this.ways[i] as Variant;
    return (
      this.froms[i] === 0 &&
      (v.tool < 0 || v.tool === s.tool) &&
      (v.side < 0 || v.side === s.side) &&
      (v.power < 0 || v.power === s.power)
    );
  }

  /** Counts what a move wants, up or down. */
  private want(wants: Int16Array, i: number, by: 1 | -1): void {
    const { tool, side, power } = this.ways[i] as Variant;
    if (tool >= 0) wants[tool] = (wants[tool] as number) + by;
    if (side >= 0) wants[this.sides + side] = (wants[this.sides + side] as number) + by;
    if (power >= 0) wants[this.powers + power] = (wants[this.powers + power] as number) + by;
  }

  /** Whether one of the groups of a move is done; one without groups waits for none. */
  private grouped(i: number, done: Uint8Array): boolean {
    const groups = this.p.groups[i] as number[][];
    return groups.length === 0 || groups.some((g) => g.every((k) => this.p.done[k] || done[k] === 1));
  }

  /**
   * Does everything that fits the setup, until nothing more does, by rounds in the order of the moves;
   * what begins a keep waits for its own turn. The board is left as it is then.
   */
  private sweep(board: Board, setup: Setup, first: number | null): number[] {
    const taken: number[] = [];
    let round: number[] = [];
    for (const i of board.free) if (i !== first && this.sweeps(i, setup)) round.push(i);
    let after: number[] = [];
    const freed: number[] = [];
    let i = first ?? round.shift();
    let by = first === null ? (i ?? -1) : -1;
    while (i !== undefined) {
      taken.push(i);
      freed.length = 0;
      this.take(board, i, freed);
      for (const k of freed) if (this.sweeps(k, setup)) insert(k > by ? round : after, k);
      if (round.length === 0) {
        round = after;
        after = [];
      }
      i = round.shift();
      by = i ?? -1;
    }
    this.budget.spend(board.free.length + taken.length);
    return taken;
  }

  /** What must still be paid beside the moves: each tool, side and power that is not at hand, once. */
  private changes(wants: Int16Array, setup: Setup): { changes: number; wanted: number } {
    const { p } = this;
    let tools = 0;
    let sides = 0;
    let powers = 0;
    for (let k = 0; k < wants.length; k++) {
      if (wants[k] === 0) continue;
      if (k < this.sides) tools += k === setup.tool ? 0 : 1;
      else if (k < this.powers) sides += k - this.sides === setup.side ? 0 : 1;
      else powers += k - this.powers === setup.power ? 0 : 1;
    }
    return {
      changes: tools * p.toolMinutes + sides * p.leastFlip + powers * p.powerMinutes,
      wanted: tools + sides + powers,
    };
  }
}
