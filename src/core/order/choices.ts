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

  const grow = (way: Int16Array, wait: number[], groups: number[]): void => {
    if (budget-- <= 0 || found.size >= MOST) {
      complete = false;
      return;
    }
    const next = wait.pop();
    if (next !== undefined) {
      if (p.done[next] || (way[next] as number) >= 0) {
        grow(way, wait, groups);
        return;
      }
      (p.variants[next] as Variant[]).forEach((v, k) => {
        const w = way.slice();
        w[next] = k;
        grow(w, [...wait, ...v.after], p.groups[next]?.length ? [...groups, next] : groups);
      });
      return;
    }
    const open = groups.find(
      (g) =>
        !(p.groups[g] as number[][]).some((list) => list.every((i) => p.done[i] || (way[i] as number) >= 0)),
    );
    if (open === undefined) {
      settle(way);
      return;
    }
    for (const list of p.groups[open] as number[][]) grow(way.slice(), [...list], groups);
  };
  grow(new Int16Array(p.ids.length).fill(-1), [...p.goal], []);
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

/** A move as it is done in this choice. */
export const wayOf = (p: Problem, way: Int16Array, i: number): Variant =>
  p.variants[i]?.[way[i] as number] as Variant;

/** Whether a move may be done now, with its chosen way, given what is done. */
export function ready(p: Problem, way: Int16Array, has: (i: number) => boolean, i: number): boolean {
  const v = wayOf(p, way, i);
  if (!v.after.every(has)) return false;
  const groups = p.groups[i] as number[][];
  return groups.length === 0 || groups.some((g) => g.every(has));
}

/** Moves that can never be done in this choice, because they wait for each other. */
function stuck(p: Problem, way: Int16Array, moves: number[]): number[] {
  const done = new Set<number>();
  const has = (i: number) => (p.done[i] as boolean) || done.has(i);
  let left = moves;
  for (;;) {
    const now = left.filter((i) => ready(p, way, has, i));
    if (now.length === 0) return left;
    for (const i of now) done.add(i);
    left = left.filter((i) => !done.has(i));
    if (left.length === 0) return [];
  }
}
