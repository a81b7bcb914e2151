import type { JobState } from '../job';
import { readLine } from '../ledger';
import { Refusal } from '../refusal';
import type { MapMove } from '../unit';
import { type WayIn, wayIn } from './way-in';

/** One of several ways in, with what it costs. */
export interface Alternative {
  /** the moves that tell it from the others, in words */
  by: string;
  minutes: number;
  flips: number;
  toolChanges: number;
  moves: number;
  /** the one that the plan takes */
  chosen: boolean;
}

/** Choices beyond this many are not laid side by side. */
const MOST = 12;

const wordsOf = (m: MapMove | undefined) => {
  if (!m) return '';
  const { verb, item } = readLine(m.text);
  return item ? `${verb} ${item.from ?? item.name}` : m.text;
};

/** Every way of settling the moves that can follow one of several groups. */
function settled(moves: MapMove[]): { moves: MapMove[]; by: string[] }[] {
  let list: { moves: MapMove[]; by: string[] }[] = [{ moves, by: [] }];
  for (const m of moves) {
    if (!m.afterAny || m.afterAny.length < 2) continue;
    const groups = m.afterAny;
    list = list.flatMap((l) =>
      groups.map((group) => ({
        moves: l.moves.map((x) => (x.id === m.id ? { ...x, afterAny: [group] } : x)),
        by: [...l.by, group.map((id) => wordsOf(moves.find((x) => x.id === id))).join(' and ')],
      })),
    );
    if (list.length > MOST) return list.slice(0, MOST);
  }
  return list;
}

/**
 * The ways in side by side: out through the back or up through the top, each in its own quickest order.
 *
 * @param state a job whose map has moves that can follow one of several groups
 * @param timeLimitMs how long to look for each
 * @returns the quickest first; empty when there is only one way
 * @example alternatives(state).map((a) => a.by) // ['lift rear cover', 'lift top cover']
 */
export function alternatives(state: JobState, timeLimitMs = 100): Alternative[] {
  const all = settled(state.map.moves ?? []);
  if (all.length < 2) return [];
  const seen = new Set<string>();
  const ways = all.flatMap(({ moves, by }): (Alternative & { key: string })[] => {
    let way: WayIn | null;
    try {
      way = wayIn({ ...state, map: { ...state.map, moves } }, timeLimitMs);
    } catch (error) {
      // This choice goes round in a circle: it is no way in.
      if (error instanceof Refusal) return [];
      throw error;
    }
    if (!way?.steps.length) return [];
    const key = way.steps
      .map((s) => s.id)
      .sort()
      .join(' ');
    if (seen.has(key)) return [];
    seen.add(key);
    const { minutes, flips, toolChanges, steps } = way;
    return [{ key, by: by.join(', '), minutes, flips, toolChanges, moves: steps.length, chosen: false }];
  });
  if (ways.length < 2) return [];
  return ways.sort((a, b) => a.minutes - b.minutes).map(({ key: _, ...a }, i) => ({ ...a, chosen: i === 0 }));
}
