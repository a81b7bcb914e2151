import type { VanItem } from './van';

/** Choices that are looked at before it is left at the best so far. */
const MOST_LOOKS = 3_000_000;

/**
 * The best choice by branch and bound: what is worth most for its size first, and nothing further where
 * even a part of the next would not make it better (Dantzig, Discrete-variable extremum problems, 1957).
 *
 * @param items each worth something
 * @param space left
 * @returns what is chosen, and whether it is surely the best
 * @example within([{ id: 'a', size: 0.123, gain: 2 }], 1).chosen.length // 1
 */
export function within(items: VanItem[], space: number): { chosen: VanItem[]; optimal: boolean } {
  const inOrder = [...items].sort((a, b) => b.gain * a.size - a.gain * b.size);
  let best = { gain: -1, chosen: [] as VanItem[] };
  let looks = 0;
  const bound = (from: number, left: number, gain: number): number => {
    let room = left;
    let sum = gain;
    for (let i = from; i < inOrder.length; i++) {
      const { size, gain: g } = inOrder[i] as VanItem;
      if (size <= room) {
        room -= size;
        sum += g;
      } else return sum + (g * room) / size;
    }
    return sum;
  };
  const chosen: VanItem[] = [];
  const look = (from: number, left: number, gain: number): void => {
    if (gain > best.gain) best = { gain, chosen: [...chosen] };
    if (from >= inOrder.length || looks++ >= MOST_LOOKS) return;
    if (bound(from, left, gain) <= best.gain + 1e-12) return;
    const item = inOrder[from] as VanItem;
    if (item.size <= left) {
      chosen.push(item);
      look(from + 1, left - item.size, gain + item.gain);
      chosen.pop();
    }
    look(from + 1, left, gain);
  };
  look(0, space, 0);
  return { chosen: best.chosen, optimal: looks < MOST_LOOKS };
}
