import { stream } from '../simulate';

/** Draws from one stream: what an exercise is made of, the same for the same seed. */
export interface Draw {
  /** a whole number from 0 up to, not including, n */
  below(n: number): number;
  chance(p: number): boolean;
  pick<T>(list: readonly T[]): T;
  /** one of a list, the likelier the more it weighs */
  weighted<T>(list: readonly T[], weight: (x: T) => number): T;
  shuffled<T>(list: readonly T[]): T[];
}

/**
 * A stream to draw from.
 *
 * @param key seed and what it is drawn for
 * @returns draws that depend on the key alone
 * @example drawing(7, 'way back').below(6) // always the same
 */
export function drawing(...key: (string | number)[]): Draw {
  const next = stream(...key);
  const below = (n: number) => Math.floor(next() * n);
  const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;
  return {
    below,
    pick,
    chance: (p) => next() < p,
    weighted(list, weight) {
      let at = next() * list.reduce((sum, x) => sum + weight(x), 0);
      for (const x of list) {
        at -= weight(x);
        if (at < 0) return x;
      }
      return list.at(-1) as (typeof list)[number];
    },
    shuffled(list) {
      // Fisher and Yates, as in Knuth, The Art of Computer Programming 2, 3.4.2.
      const all = [...list];
      for (let i = all.length - 1; i > 0; i--) {
        const j = below(i + 1);
        const x = all[i] as (typeof list)[number];
        all[i] = all[j] as (typeof list)[number];
        all[j] = x;
      }
      return all;
    },
  };
}
