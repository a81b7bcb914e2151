import type { Belief } from './belief';
import type { AnswerTable } from './likelihood';
import { type Model, powerMinutes, type Step } from './model';
import { GONE, hidingFrom, isCertain, madeSoFar, timesLeft } from './moments';
import { openMinutes } from './repair';
import type { Power } from './types';

/** What can be done at one moment, with the minutes it leads to. */
export interface ExactAct {
  kind: 'check' | 'repair';
  /** index of the check or the element */
  index: number;
  /** the rung of the ladder, for a repair */
  rung?: number;
  /** minutes expected until it is mended when this is done now and the best from there */
  minutes: number;
}

export interface Looking {
  /** no check is made any more */
  repairsOnly?: boolean;
  /** told now and then how many moments are known */
  onMoments?: (known: number) => void;
}

/** How often the number of moments is told. */
const TOLD_EVERY = 2000;

/**
 * Looks at every way on from a moment, each moment once. There is one moment at a time: an act changes
 * it, and it is changed back when all that follows was looked at.
 *
 * A moment is known by what was answered and tried, whatever the order: each check and each ladder has a
 * digit of one number. Answers that are certain need no digit, who is still suspected tells them.
 */
export class Everything {
  private known = new Map<number | string, number>();
  private readonly certain: boolean[];
  private readonly anyCertain: boolean;
  private readonly hiding: number[][];
  /** what one step of a digit is worth; 0 for a check that is not made any more */
  private readonly checkUnit: number[] = [];
  private readonly ladderUnit: number[] = [];
  /** suspicion at each depth of the search */
  private readonly rooms: Float64Array[] = [];

  private readonly rungs: number[];
  private readonly made: number[];
  /** answers of a check so far: nothing, one of them, or one and another */
  private readonly digit: number[];
  private readonly opened: boolean[];
  private power: Power | undefined;
  private key = 0;

  constructor(
    private readonly model: Model,
    belief: Belief,
    private readonly ladders: Step[][],
    private readonly looking: Looking = {},
  ) {
    this.certain = model.tables.map(isCertain);
    this.anyCertain = this.certain.some(Boolean);
    this.hiding = hidingFrom(model);
    this.rungs = ladders.map(() => 0);
    this.made = madeSoFar(model);
    this.digit = model.tables.map(() => 0);
    this.opened = model.opened.slice();
    this.power = model.request.power?.now;
    this.rooms.push(belief.one.slice());
    // One for each state of the power; checks and ladders count on from there.
    let unit = 3;
    model.tables.forEach((t, c) => {
      const k = t.answers.length;
      const times = this.certain[c]
        ? 0
        : timesLeft(this.hiding[c] as number[], belief.one, this.made[c] as number);
      this.checkUnit.push(times === 0 ? 0 : unit);
      if (times > 0) unit *= times === 1 ? k + 1 : ((k + 1) * (k + 2)) / 2;
    });
    for (const l of ladders) {
      this.ladderUnit.push(unit);
      unit *= 2 ** l.length;
    }
  }

  /** Every act of the moment with its minutes. */
  acts(depth = 0): ExactAct[] {
    const one = this.rooms[depth] as Float64Array;
    const list: ExactAct[] = [];
    for (let index = 0; index < this.ladders.length; index++) {
      if ((one[index] as number) <= GONE) continue;
      const top = (this.ladders[index] as Step[]).length;
      for (let rung = this.rungs[index] as number; rung < top; rung++)
        list.push({ kind: 'repair', index, rung, minutes: this.repair(index, rung, depth) });
    }
    if (this.looking.repairsOnly) return list;
    for (let index = 0; index < this.certain.length; index++) {
      if (timesLeft(this.hiding[index] as number[], one, this.made[index] as number) === 0) continue;
      // What changes no suspicion is no step of any plan.
      if (this.tellsNothing(index, one)) continue;
      list.push({ kind: 'check', index, minutes: this.check(index, depth) });
    }
    return list;
  }

  /** Minutes of the best way on. */
  least(depth = 0): number {
    const one = this.rooms[depth] as Float64Array;
    let mass = 0;
    for (let i = 0; i < one.length; i++) mass += one[i] as number;
    if (mass <= GONE) return 0;
    const key = this.keyOf(one, mass);
    const seen = this.known.get(key);
    if (seen !== undefined) return seen;
    for (let i = 0; i < one.length; i++) one[i] = (one[i] as number) / mass;
    // Nothing is left to do about what is still suspected: every rung of it was tried.
    const stuck = one.every(
      (p, e) => p <= GONE || (this.rungs[e] as number) >= (this.ladders[e]?.length ?? 0),
    );
    let best = stuck ? 0 : Number.POSITIVE_INFINITY;
    if (!stuck) for (const act of this.acts(depth)) best = Math.min(best, act.minutes);
    this.known.set(key, best);
    if (this.known.size % TOLD_EVERY === 0) this.looking.onMoments?.(this.known.size);
    return best;
  }

  /** Minutes expected when a rung is tried now and the best is done from there. */
  repair(index: number, rung: number, depth = 0): number {
    const { model, rungs } = this;
    const ladder = this.ladders[index] as Step[];
    const step = ladder[rung] as Step;
    const one = this.rooms[depth] as Float64Array;
    const p = one[index] as number;
    // The last of a ladder is what mends it for certain: nothing comes after it.
    const fixes = rung === ladder.length - 1 ? 1 : step.fixes;
    const then = this.room(depth + 1);
    then.set(one);
    then[index] = p * (1 - fixes);
    const before = rungs[index] as number;
    const key = this.key;
    rungs[index] = rung + 1;
    this.key += (this.ladderUnit[index] as number) * 2 ** rung;
    const wanted = model.request.elements[index]?.power;
    const minutes = this.ready(model.elementAccess[index] as number[], wanted, () => {
      const left = 1 - p * fixes;
      return left > GONE ? left * this.least(depth + 1) : 0;
    });
    rungs[index] = before;
    this.key = key;
    return step.minutes + minutes;
  }

  /** Minutes expected when a check is made now and the best is done from there. */
  check(index: number, depth = 0): number {
    const { model } = this;
    const check = model.request.checks[index];
    const table = model.tables[index] as AnswerTable;
    const one = this.rooms[depth] as Float64Array;
    const { key, known } = this;
    const said = this.digit[index] as number;
    const unit = this.checkUnit[index] as number;
    this.made[index] = (this.made[index] as number) + 1;
    const minutes = this.ready(model.checkAccess[index] as number[], check?.power, () => {
      let sum = 0;
      for (let a = 0; a < table.answers.length; a++) {
        const then = this.room(depth + 1);
        const chances = table.one[a] as Float64Array;
        let mass = 0;
        for (let i = 0; i < one.length; i++) {
          const x = (one[i] as number) * (chances[table.classOf[i] as number] as number);
          then[i] = x;
          mass += x;
        }
        if (mass <= GONE) continue;
        if (!this.certain[index]) {
          const now = answeredAlso(said, a, table.answers.length);
          this.digit[index] = now;
          this.key = key + (now - said) * unit;
          // One more time than it is of use has no digit: what follows is looked at by itself.
          if (unit === 0) this.known = new Map();
        }
        sum += mass * this.least(depth + 1);
      }
      return sum;
    });
    this.made[index] = (this.made[index] as number) - 1;
    this.digit[index] = said;
    this.key = key;
    this.known = known;
    return (check?.minutes ?? 0) + minutes;
  }

  private room(depth: number): Float64Array {
    let room = this.rooms[depth];
    if (!room) {
      room = new Float64Array(this.ladders.length);
      this.rooms[depth] = room;
    }
    return room;
  }

  /** Minutes of opening and power for an act, and of what `then` finds while it is open and powered so. */
  private ready(closure: number[], wanted: Power | undefined, then: () => number): number {
    const { opened, power } = this;
    const minutes = openMinutes(this.model, opened, closure) + powerMinutes(this.model, power, wanted);
    const news = closure.filter((a) => !opened[a]);
    for (const a of news) opened[a] = true;
    this.power = wanted ?? power;
    const rest = then();
    for (const a of news) opened[a] = false;
    this.power = power;
    return minutes + rest;
  }

  private tellsNothing(index: number, one: Float64Array): boolean {
    const { one: chances, classOf } = this.model.tables[index] as AnswerTable;
    return chances.every((chance) => {
      let mass = 0;
      for (let i = 0; i < one.length; i++)
        mass += (one[i] as number) * (chance[classOf[i] as number] as number);
      if (mass <= GONE) return true;
      for (let i = 0; i < one.length; i++) {
        const x = one[i] as number;
        if (Math.abs((x * (chance[classOf[i] as number] as number)) / mass - x) >= GONE) return false;
      }
      return true;
    });
  }

  private keyOf(one: Float64Array, mass: number): number | string {
    const key = this.key + (this.power === undefined ? 0 : this.power === 'on' ? 1 : 2);
    if (!this.anyCertain) return key;
    // What is open follows from what was done, unless what was done has no digit.
    let who = '';
    for (let i = 0; i < one.length; i++) who += (one[i] as number) / mass > GONE ? 1 : 0;
    return `${key} ${who} ${this.opened.map(Number).join('')}`;
  }
}

/** The digit of a check after one more answer: first one of `k`, then one of their pairs, in any order. */
function answeredAlso(before: number, answer: number, k: number): number {
  if (before === 0) return 1 + answer;
  const low = Math.min(before - 1, answer);
  const high = Math.max(before - 1, answer);
  return 1 + k + (high * (high + 1)) / 2 + low;
}
