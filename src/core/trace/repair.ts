import { type Belief, marginals, pairIndex, total } from './belief';
import { type Model, powerMinutes, type Step } from './model';
import type { Power } from './types';

/** A run of steps on one ladder that is best done without a break. */
export interface Block {
  element: number;
  /** rungs [from, to) of the element's remaining ladder */
  from: number;
  to: number;
  /** gained probability per minute, for suspicion 1 */
  rate: number;
}

/** What is left to do and what is open: the fixed part of every repair sequence. */
export interface Bench {
  model: Model;
  ladders: Step[][];
  opened: boolean[];
  blocks: Block[];
  /** every ladder is one rung that always lasts, and no repair needs opening or another power */
  plain: boolean;
  /** element and minutes of each block, for the plain case */
  elementOf: Int32Array;
  minutesOf: Float64Array;
  rateOf: Float64Array;
}

/**
 * Minutes still needed to open the given access, each paid once.
 *
 * @param model the model
 * @param opened what is open
 * @param closure access wanted, closed over what it needs
 * @returns minutes
 * @example openMinutes(model, [false], [0]) // minutes of access 0
 */
export function openMinutes(model: Model, opened: boolean[], closure: number[]): number {
  let m = 0;
  for (const a of closure) if (!opened[a]) m += model.accessMinutes[a] as number;
  return m;
}

/**
 * A ladder without the rungs that do not pay: those that take at least as long as they save, which is
 * their share of the least expected minutes of the rungs above.
 *
 * @param ladder rungs, gentlest first
 * @returns the rungs that pay, the last one always
 * @example paying([{ id: 'wipe', minutes: 9, fixes: 0.1 }, { id: 'new', minutes: 20, fixes: 1 }]).length // 1
 */
export function paying(ladder: Step[]): Step[] {
  const kept: Step[] = [];
  let least = 0;
  for (const step of [...ladder].reverse()) {
    if (kept.length > 0 && step.minutes >= step.fixes * least) continue;
    least = step.minutes + (kept.length > 0 ? (1 - step.fixes) * least : 0);
    kept.unshift(step);
  }
  return kept;
}

/** Ladders without the rungs already tried, and without those that do not pay. */
export const remainingLadders = (model: Model): Step[][] => untriedLadders(model).map(paying);

/** Ladders without the rungs already tried: beside another suspect even one that does not pay may be worth it. */
export function untriedLadders(model: Model): Step[][] {
  const tried = new Set<string>();
  for (const entry of model.request.log ?? []) {
    if ('tried' in entry) tried.add(`${model.indexOf.get(entry.element)} ${entry.tried}`);
  }
  return model.ladders.map((l, e) => l.filter((s) => s.id === null || !tried.has(`${e} ${s.id}`)));
}

/**
 * Splits every ladder into runs of falling worth: the prefix with the best ratio of gained
 * probability to minutes first (Sidney, Decomposition algorithms for single-machine sequencing
 * with precedence relations, Operations Research 23(2), 1975; exact for chains). Opening still
 * needed is charged to the first rung.
 *
 * @param model the model
 * @param ladders rungs still to try, per element
 * @param opened what is open
 * @returns the bench from which sequences are built
 * @example benchOf(model, remainingLadders(model), model.opened).blocks.length
 */
export function benchOf(model: Model, ladders: Step[][], opened: boolean[]): Bench {
  const blocks: Block[] = [];
  ladders.forEach((ladder, element) => {
    let from = 0;
    let left = 1;
    while (from < ladder.length) {
      let best = { to: from + 1, rate: -1, left };
      let gained = 0;
      let cost = from === 0 ? openMinutes(model, opened, model.elementAccess[element] as number[]) : 0;
      let rest = left;
      for (let k = from; k < ladder.length; k++) {
        const step = ladder[k] as Step;
        gained += rest * step.fixes;
        rest *= 1 - step.fixes;
        cost += step.minutes;
        if (gained / cost > best.rate) best = { to: k + 1, rate: gained / cost, left: rest };
      }
      blocks.push({ element, from, to: best.to, rate: best.rate });
      from = best.to;
      left = best.left;
    }
  });
  return {
    model,
    ladders,
    opened,
    blocks,
    plain:
      ladders.every((l) => l.length <= 1 && (l[0]?.fixes ?? 1) === 1) &&
      model.elementAccess.every((a) => a.length === 0) &&
      model.request.elements.every((e) => e.power === undefined),
    elementOf: Int32Array.from(blocks, (b) => b.element),
    rateOf: Float64Array.from(blocks, (b) => b.rate),
    minutesOf: Float64Array.from(blocks, (b) => ladders[b.element]?.[b.from]?.minutes ?? 0),
  };
}

/**
 * Order of the blocks by p · rate, largest first, the earlier in the list on a tie. For whole
 * replacements this is p / minutes, optimal for a single fault and independent costs
 * (Heckerman, Breese, Rommelse, Decision-theoretic troubleshooting, CACM 38(3), 1995).
 *
 * @param bench blocks
 * @param p suspicion per element
 * @returns indices into `bench.blocks`
 * @example orderBlocks(bench, p)[0] // what to repair first
 */
export function orderBlocks(bench: Bench, p: Float64Array): Uint32Array {
  const size = bench.blocks.length;
  const worth = new Float64Array(size);
  const order = new Uint32Array(size);
  for (let k = 0; k < size; k++) {
    worth[k] = (p[bench.elementOf[k] as number] as number) * (bench.rateOf[k] as number);
    order[k] = k;
  }
  return order.sort((a, b) => (worth[b] as number) - (worth[a] as number) || a - b);
}

/**
 * Minutes expected until repaired when the steps are done in the given order, verifying after each:
 * Σ minutes · P(not whole before the step), opening paid once, the first time it is needed.
 *
 * @param bench blocks and what is open
 * @param b weights of the fault sets that sum to `mass`
 * @param order indices into `bench.blocks`
 * @param how what is done before everything else, if anything, and the power at the start
 * @returns minutes times mass
 * @example walk(bench, belief, orderBlocks(bench, p)) // repairNowMinutes
 */
export function walk(bench: Bench, b: Belief, order: ArrayLike<number>, how: Walk = {}): number {
  return bench.plain ? walkPlain(bench, b, order, how.first) : walkLadders(bench, b, order, how);
}

/** How a sequence of repairs begins. */
export interface Walk {
  /** element of which a rung is done before everything else */
  first?: number;
  /** which one of its ladder, those below are left out; 0 = the next */
  rung?: number;
  /** the power at the start; without it that of the model */
  power?: Power | undefined;
}

const atFault = (b: Belief) => total(b) - b.none;

function walkPlain(bench: Bench, b: Belief, order: ArrayLike<number>, first = -1): number {
  const { elementOf, minutesOf } = bench;
  const { one, two } = b;
  const n = one.length;
  const done = new Int32Array(n);
  let count = 0;
  let left = atFault(b);
  let minutes = 0;
  const firstBlock = first < 0 ? -1 : elementOf.indexOf(first);
  for (let i = firstBlock < 0 ? 0 : -1; i < order.length; i++) {
    const k = i < 0 ? firstBlock : (order[i] as number);
    if (i >= 0 && k === firstBlock) continue;
    const e = elementOf[k] as number;
    minutes += (minutesOf[k] as number) * left;
    let mass = one[e] as number;
    if (two) {
      const row = e * n - (e * (e + 1)) / 2 - e - 1;
      for (let d = 0; d < count; d++) {
        const o = done[d] as number;
        mass += two[o > e ? row + o : o * n - (o * (o + 1)) / 2 + (e - o - 1)] as number;
      }
    }
    done[count++] = e;
    left = Math.max(0, left - mass);
  }
  return minutes;
}

function walkLadders(bench: Bench, b: Belief, order: ArrayLike<number>, how: Walk): number {
  const { model, ladders, blocks } = bench;
  const { first, rung = 0 } = how;
  let power = 'power' in how ? how.power : model.request.power?.now;
  const n = b.one.length;
  const open = bench.opened.slice();
  const fixed = new Float64Array(n);
  let left = atFault(b);
  let minutes = 0;
  const take = (e: number, step: Step) => {
    const closure = model.elementAccess[e] as number[];
    const wanted = model.request.elements[e]?.power;
    minutes += (step.minutes + openMinutes(model, open, closure) + powerMinutes(model, power, wanted)) * left;
    for (const a of closure) open[a] = true;
    power = wanted ?? power;
    let mass = b.one[e] as number;
    if (b.two) {
      for (let o = 0; o < n; o++) {
        const f = fixed[o] as number;
        if (o !== e && f > 0) mass += f * (b.two[pairIndex(n, e, o)] as number);
      }
    }
    const gain = (1 - (fixed[e] as number)) * step.fixes;
    fixed[e] = (fixed[e] as number) + gain;
    left = Math.max(0, left - gain * mass);
  };
  const head = first === undefined ? undefined : ladders[first]?.[rung];
  if (first !== undefined && head) take(first, head);
  for (let i = 0; i < order.length; i++) {
    const { element, from, to } = blocks[order[i] as number] as Block;
    for (let k = from; k < to; k++) {
      if (!(element === first && k <= rung)) take(element, ladders[element]?.[k] as Step);
    }
  }
  return minutes;
}

/**
 * Minutes when one element is done before everything else, for every element of one moment. In the
 * plain case moving a block to the front only costs its wait and saves that of those it overtakes, so
 * no second walk is needed.
 *
 * @param bench blocks and what is open
 * @param b weights of the fault sets
 * @param order present order of the blocks
 * @returns a function from element index to minutes times the mass of `b`
 * @example walkHeads(bench, belief, order)(3)
 */
export function walkHeads(bench: Bench, b: Belief, order: Uint32Array): (element: number) => number {
  if (!bench.plain) return (first) => walk(bench, b, order, { first });
  const n = b.one.length;
  const all = atFault(b);
  const base = walk(bench, b, order);
  const moved = new Float64Array(n);
  let left = all;
  let before = 0;
  for (let m = 0; m < order.length; m++) {
    const k = order[m] as number;
    const e = bench.elementOf[k] as number;
    const minutes = bench.minutesOf[k] as number;
    // What this one takes off the waiting of each it overtakes: itself, and its pairs with those done by then.
    let takes = b.one[e] as number;
    let saved = takes * before;
    if (b.two) {
      saved = 0;
      for (let i = 0; i < m; i++) {
        const o = order[i] as number;
        saved += takes * (bench.minutesOf[o] as number);
        takes += b.two[pairIndex(n, e, bench.elementOf[o] as number)] as number;
      }
    }
    moved[e] = base + minutes * (all - left) - saved;
    left -= takes;
    before += minutes;
  }
  return (e) => moved[e] as number;
}

/**
 * Minutes expected when nothing more is checked and the repair sequence is begun now.
 *
 * @param bench blocks and what is open
 * @param b weights of the fault sets
 * @returns minutes times the mass of `b`
 * @example repairMinutes(bench, belief) // minutes
 */
export function repairMinutes(bench: Bench, b: Belief): number {
  return walk(bench, b, orderBlocks(bench, marginals(b)));
}
