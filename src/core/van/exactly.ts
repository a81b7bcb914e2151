import type { VanItem } from './van';

/** Sizes are told apart to this part of a unit. */
const PARTS = 100;
/** Places of the table up to which it is filled. */
const MOST_PLACES = 250_000_000;

/** A size in hundredths; null where it has more than two decimals. */
function hundredths(size: number): number | null {
  const n = Math.round(size * PARTS);
  return Math.abs(size * PARTS - n) < 1e-6 ? n : null;
}

const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));

/**
 * The best choice by a table over the space; null where sizes have more than two decimals, or the table
 * would be too large.
 *
 * @param items that fit by themselves, each worth something
 * @param space left
 * @returns what is chosen, surely the best
 * @example exactly([{ id: 'a', size: 1, gain: 2 }], 1)?.chosen.length // 1
 */
export function exactly(items: VanItem[], space: number): { chosen: VanItem[]; optimal: boolean } | null {
  const sizes = items.map((i) => hundredths(i.size));
  if (sizes.some((s) => s === null)) return null;
  const all = sizes as number[];
  const sum = all.reduce((a, b) => a + b, 0);
  const room = Math.floor(space * PARTS + 1e-6);
  // All of it fits.
  if (sum <= room) return { chosen: items, optimal: true };
  const step = Math.max(1, all.reduce(common, 0));
  const places = Math.floor(room / step) + 1;
  if (places * items.length > MOST_PLACES) return null;
  const best = new Float64Array(places);
  const words = Math.ceil(places / 32);
  const took = items.map(() => new Uint32Array(words));
  items.forEach(({ gain }, i) => {
    const size = (all[i] as number) / step;
    const mine = took[i] as Uint32Array;
    for (let w = places - 1; w >= size; w--) {
      const with_ = (best[w - size] as number) + gain;
      if (with_ > (best[w] as number)) {
        best[w] = with_;
        mine[w >>> 5] = (mine[w >>> 5] as number) | (1 << (w & 31));
      }
    }
  });
  const chosen: VanItem[] = [];
  let at = places - 1;
  for (let i = items.length - 1; i >= 0; i--) {
    if (((took[i] as Uint32Array)[at >>> 5] as number) & (1 << (at & 31))) {
      chosen.push(items[i] as VanItem);
      at -= (all[i] as number) / step;
    }
  }
  return { chosen, optimal: true };
}
