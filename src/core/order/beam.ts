import type { Budget } from './budget';
import { type Found, type State, Walk } from './walk';

/** So many states of each length are followed. */
const WIDTH = 8;
/** What a move still to be done weighs against a minute, beside what it costs. */
const LEFT = 0.2;

type Rank = (s: State) => number;

/** How states are ranked; a further ranking is a further entry. Found by trial on drawn units. */
const RANKS: Rank[] = [(s) => s.bound + LEFT * s.left, (s) => s.cost + LEFT * s.left + s.wanted];

function follow(walk: Walk, start: State, rank: Rank): Found | null {
  let best: Found | null = null;
  let front = [start];
  const seen = new Map<string, number>();
  while (front.length > 0) {
    const next = new Map<string, State>();
    for (const s of front) {
      if (Walk.isEnd(s)) {
        if (!best || s.cost < best.cost - 1e-12) best = Walk.orderOf(s);
        continue;
      }
      for (const t of walk.next(s)) {
        if (best && t.bound >= best.cost - 1e-12) continue;
        if ((seen.get(t.key) ?? Number.POSITIVE_INFINITY) <= t.cost + 1e-12) continue;
        seen.set(t.key, t.cost);
        next.set(t.key, t);
      }
    }
    front = [...next.values()]
      .map((s, k) => ({ s, k, at: rank(s) }))
      .sort((a, b) => a.at - b.at || a.k - b.k)
      .slice(0, WIDTH)
      .map(({ s }) => s);
  }
  return best;
}

/**
 * A good order, quickly: setup by setup, the most promising states of each length. What the exact search
 * finds afterwards has to be under it.
 *
 * Method: beam search, equal states merged. Common practice, no source.
 *
 * @param walk of one choice of moves
 * @param start its first state
 * @param budget when it is out, one ranking has to do
 * @returns the quicker of two rankings, or null where both end nowhere
 * @example beam(walk, walk.start(), budget)?.cost // 41.2
 */
export function beam(walk: Walk, start: State, budget: Budget): Found | null {
  return RANKS.reduce<Found | null>((best, rank) => {
    if (best && budget.isOut) return best;
    const found = follow(walk, start, rank);
    return found && (!best || found.cost < best.cost - 1e-12) ? found : best;
  }, null);
}
