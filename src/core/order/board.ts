import { type Chosen, wayOf } from './choices';
import type { Problem, Setup, Variant } from './problem';

/** What is done and what waits, written out. */
export interface Board {
  done: Uint8Array;
  /** for each move, how much it still waits for */
  waits: Int16Array;
  /** for each tool, side and power, how many moves to come want it */
  wants: Int16Array;
  /** moves that may be done and are not, by their number */
  free: number[];
}

/** Sixteen moves to a sign: equal for equal lists of what is done. */
export function packed(done: Uint8Array): string {
  let key = '';
  for (let i = 0; i < done.length; i += 16) {
    let bits = 0;
    for (let k = 0; k < 16; k++) bits = (bits << 1) | (done[i + k] ?? 0);
    key += String.fromCharCode(bits);
  }
  return key;
}

/** What is done on a board and undone again, for one choice of moves; waiting is counted, not looked up. */
export class Boards {
  /** each move as it is done in this choice */
  readonly ways: Variant[] = [];
  /** nothing is done */
  readonly first: Board;
  /** for each move, those of the choice that come after it */
  private readonly later: number[][];
  /** for each move, those that wait for one of several groups with it in it */
  private readonly maybe: number[][];
  /** where sides and powers begin among what is wanted */
  private readonly sides: number;
  private readonly powers: number;

  constructor(
    private readonly p: Problem,
    { moves, way }: Chosen,
  ) {
    const n = p.ids.length;
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

  /** A board further on: so many moves done from another one, which stays as it is. */
  after(from: Board, taken: number[]): Board {
    const board = { done: from.done.slice(), waits: from.waits.slice(), wants: from.wants.slice() };
    const freed: number[] = [];
    for (const i of taken) this.take(board, i, freed);
    const free = [...from.free, ...freed].filter((i) => board.done[i] === 0).sort((a, b) => a - b);
    return { ...board, free };
  }

  /** A move is done; what it makes possible is put to the list. */
  take({ done, waits, wants }: Omit<Board, 'free'>, i: number, freed: number[]): void {
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
  untake({ done, waits, wants }: Board, i: number): void {
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

  /** What must still be paid beside the moves: each tool, side and power that is not at hand, once. */
  changes(wants: Int16Array, setup: Setup): { changes: number; wanted: number } {
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
