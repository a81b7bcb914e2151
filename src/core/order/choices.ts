import { demand } from '../refusal';
import type { Problem, Variant } from './problem';

/** One choice of groups and ways: the moves to be done, each with its way. */
export interface Chosen {
  /** move index to way; −1 = not done */
  way: Int16Array;
  moves: number[];
  minutes: number;
}

/** Choices looked at before the search says that it may have missed a better one. */
const MOST = 4000;

/** A choice on its way: moves taken so far, moves still to be taken, moves whose groups are to be looked at. */
interface Half {
  way: Int16Array;
  wait: number[];
  groups: number[];
}

/** Takes what can only be taken one way; answers the first move that can be done in several. */
function closed(p: Problem, half: Half): number | undefined {
  const { way, wait, groups } = half;
  for (let next = wait.pop(); next !== undefined; next = wait.pop()) {
    if (p.done[next] || (way[next] as number) >= 0) continue;
    const variants = p.variants[next] as Variant[];
    if (variants.length !== 1) return next;
    way[next] = 0;
    wait.push(...(variants[0] as Variant).after);
    if (p.groups[next]?.length) groups.push(next);
  }
  return undefined;
}

/**
 * Every minimal set of moves that reaches the goal: the closure over `after`, and for each `afterAny`
 * one of its groups, for each move one of its ways.
 *
 * @param p the problem
 * @returns choices, least minutes first, and whether all were listed
 * @throws Refusal naming the moves of a loop that cannot be avoided
 * @example listChoices(problem).choices[0].moves
 */
export function listChoices(p: Problem): { choices: Chosen[]; complete: boolean } {
  const found = new Map<string, Chosen>();
  let complete = true;
  let budget = MOST * 20;
  const looped = new Set<number>();

  const settle = (way: Int16Array) => {
    const moves = [...way.keys()].filter((i) => (way[i] as number) >= 0);
    const cycle = stuck(p, way, moves);
    if (cycle.length) {
      for (const i of cycle) looped.add(i);
      return;
    }
    const key = way.join(',');
    if (!found.has(key)) {
      found.set(key, {
        way: way.slice(),
        moves,
        minutes: moves.reduce((m, i) => m + wayOf(p, way, i).minutes, 0),
      });
    }
  };

  // A walk with its own stack: a long chain of moves is no reason to run out of one.
  const stack: Half[] = [{ way: new Int16Array(p.ids.length).fill(-1), wait: [...p.goal], groups: [] }];
  for (let half = stack.pop(); half; half = stack.pop()) {
    if (budget-- <= 0 || found.size >= MOST) {
      complete = false;
      break;
    }
    const { way, groups } = half;
    const branch = closed(p, half);
    if (branch !== undefined) {
      const variants = p.variants[branch] as Variant[];
      for (let k = variants.length - 1; k >= 0; k--) {
        const w = way.slice();
        w[branch] = k;
        stack.push({
          way: w,
          wait: [...half.wait, ...(variants[k] as Variant).after],
          // Each goes on with a list of its own.
          groups: p.groups[branch]?.length ? [...groups, branch] : [...groups],
        });
      }
      continue;
    }
    // A group that stands in the set by chance is one of its choices, not the only one: another may be quicker.
    const open = groups[0];
    if (open === undefined) {
      settle(way);
      continue;
    }
    const lists = (p.groups[open] as number[][]).some((list) => list.every((i) => p.done[i]))
      ? [[]]
      : (p.groups[open] as number[][]);
    for (let k = lists.length - 1; k >= 0; k--)
      stack.push({ way: way.slice(), wait: [...(lists[k] as number[])], groups: groups.slice(1) });
  }
  const names = [...looped].map((i) => p.ids[i]);
  demand(
    found.size > 0,
    names.length
      ? `these moves wait for each other in a loop: ${names.join(', ')}`
      : 'the goal cannot be reached',
    '/moves',
  );
  const choices = [...found.values()].sort(
    (a, b) => a.minutes - b.minutes || a.moves.length - b.moves.length,
  );
  return { choices, complete };
}

/**
 * Minutes that no way to the goal goes under: those of the moves that every choice has.
 *
 * @param p the problem
 * @returns minutes, each move by its quickest way
 * @example leastMinutes(problem) // 12.5
 */
export function leastMinutes(p: Problem): number {
  const taken = new Set<number>();
  const wait = [...p.goal];
  let minutes = 0;
  for (let i = wait.pop(); i !== undefined; i = wait.pop()) {
    if (p.done[i] || taken.has(i)) continue;
    taken.add(i);
    const variants = p.variants[i] as Variant[];
    minutes += Math.min(...variants.map((v) => v.minutes));
    if (variants.length === 1) wait.push(...(variants[0] as Variant).after);
  }
  return minutes;
}

/** A move as it is done in this choice. */
export const wayOf = (p: Problem, way: Int16Array, i: number): Variant =>
  p.variants[i]?.[way[i] as number] as Variant;

/** Whether a move may be done now, with its chosen way, given what is done. */
function ready(p: Problem, way: Int16Array, has: (i: number) => boolean, i: number): boolean {
  const v = wayOf(p, way, i);
  if (!v.after.every(has)) return false;
  const groups = p.groups[i] as number[][];
  return groups.length === 0 || groups.some((g) => g.every(has));
}

/** Moves that can never be done in this choice, because they wait for each other. */
function stuck(p: Problem, way: Int16Array, moves: number[]): number[] {
  const done = new Set<number>();
  const has = (i: number) => (p.done[i] as boolean) || done.has(i);
  const waiters = new Map<number, number[]>();
  for (const i of moves) {
    const on = new Set([...wayOf(p, way, i).after, ...(p.groups[i] as number[][]).flat()]);
    for (const j of on) {
      const list = waiters.get(j);
      if (list) list.push(i);
      else waiters.set(j, [i]);
    }
  }
  const queue = moves.filter((i) => ready(p, way, has, i));
  for (let i = queue.pop(); i !== undefined; i = queue.pop()) {
    if (done.has(i)) continue;
    done.add(i);
    for (const w of waiters.get(i) ?? []) if (!done.has(w) && ready(p, way, has, w)) queue.push(w);
  }
  return moves.filter((i) => !done.has(i));
}
