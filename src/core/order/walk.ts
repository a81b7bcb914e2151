import { type Board, Boards, packed } from './board';
import type { Budget } from './budget';
import type { Chosen } from './choices';
import type { Problem, Setup, Variant } from './problem';
import { changeMinutes, moved, setupNumber } from './setup';

interface Step {
  moves: number[];
  /** what is in the hand, up and on while they are done */
  setup: Setup;
  before: Step | null;
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
  private readonly boards: Boards;
  /** moves that begin a keep */
  private readonly froms: Uint8Array;

  constructor(
    private readonly p: Problem,
    private readonly chosen: Chosen,
    private readonly budget: Budget,
  ) {
    this.boards = new Boards(p, chosen);
    this.froms = new Uint8Array(p.ids.length);
    for (const { from } of p.keep) this.froms[from] = 1;
  }

  start = (): State => this.state(null, this.boards.first, this.p.start, null, 0);

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
    const isNew = (setup: Setup) => tried.size < tried.add(setupNumber(this.p.names, setup)).size;
    const list: State[] = [];
    this.budget.spend(board.done.length);
    for (const i of board.free) {
      const begins = this.froms[i] === 1;
      const own = moved(this.boards.ways[i] as Variant, from.setup);
      if (!begins && !isNew(own)) continue;
      for (const setup of begins ? this.begun(board, i, own) : [own]) {
        if (!this.allowed(board.done, setup.side === from.setup.side ? -1 : setup.side)) continue;
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
    s.board = this.boards.after(s.before ? this.boardOf(s.before) : this.boards.first, s.taken);
    // What lies further back is not written out any more.
    s.before = null;
    return s.board;
  }

  /** The setups in which what begins a keep can be done next: its own; under any side, each of its sides. */
  private begun({ done }: Board, i: number, own: Setup): Setup[] {
    if (this.mayBegin(done, i, own.side)) return [own];
    if ((this.boards.ways[i] as Variant).side >= 0) return [];
    const sides = new Set(this.p.keep.flatMap((k) => (k.from === i ? [...k.sides] : [])));
    return [...sides].map((side) => ({ ...own, side })).filter((s) => this.mayBegin(done, i, s.side));
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
    const minutes = taken.reduce((sum, i) => sum + (this.boards.ways[i] as Variant).minutes, 0);
    const now = cost + minutes;
    const left = (before?.left ?? this.chosen.moves.length) - taken.length;
    const ahead = (before?.ahead ?? this.chosen.minutes) - minutes;
    const { changes, wanted } = this.boards.changes(board.wants, setup);
    const key = `${setup.tool} ${setup.side} ${setup.power} ${packed(board.done)}`;
    for (let k = taken.length - 1; k >= 0; k--) this.boards.untake(board, taken[k] as number);
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

  /** Whether a move is done along with others of its setup. */
  private sweeps(i: number, s: Setup): boolean {
    const v = this.boards.ways[i] as Variant;
    return (
      this.froms[i] === 0 &&
      (v.tool < 0 || v.tool === s.tool) &&
      (v.side < 0 || v.side === s.side) &&
      (v.power < 0 || v.power === s.power)
    );
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
      this.boards.take(board, i, freed);
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
}
