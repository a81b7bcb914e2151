import { type JobState, wayBackOf } from '../job';
import { AS_IT_STOOD, type Item, sidesOf, stepKey, type WayBackStep } from '../ledger';
import { order } from '../order';
import { Refusal } from '../refusal';
import { toolOf } from './recipe';
import { type Doing, overlapped, type Spent, spend } from './spend';
import { FLIP_MINUTES, TOOL_MINUTES } from './way-in';

/** Minutes of one step of the way back, per piece. Common practice, no source. */
const MINUTES: Record<WayBackStep['kind'], number> = {
  return: 1,
  prove: 0.3,
  count: 0.5,
  close: 0.1,
  turn: FLIP_MINUTES,
};
const SCREW_MINUTES = 0.4;
const PLUG_MINUTES = 0.5;
const CHANGE = { tool: TOOL_MINUTES, flip: FLIP_MINUTES };

export interface WayHome {
  /** last off, first on, as it was really done */
  strict: WayBackStep[];
  strictSpent: Spent;
  /** a quicker order, when there is one worth the words */
  quicker: WayBackStep[] | null;
  quickerSpent: Spent | null;
  savedMinutes: number;
  /** no order of these steps is quicker, waits left aside */
  optimal: boolean;
  lowerBound: number;
  /** what can be done while the first long wait lasts, in words */
  meanwhile: { wait: string; minutes: number; steps: string[] } | null;
}

/** Under this nothing is proposed: it would be spent on reading it. */
const WORTH_MINUTES = 0.5;

function minutesOf({ kind, item, left }: WayBackStep): number {
  if (kind !== 'return' || !item) return MINUTES[kind];
  if (item.kind === 'fastener') return SCREW_MINUTES * left;
  return item.kind === 'plug' ? PLUG_MINUTES : MINUTES.return;
}

/**
 * What has to be home before a step: what lies under a cover before the cover, a cover before its own
 * screws, everything of a cover before its close; and things that lie side by side under the same
 * covers, and are no cover with its screws, in the reverse of how they came off.
 */
function before(steps: WayBackStep[]): Map<string, string[]> {
  const parts = new Map<string, string>();
  const inside = new Map<string, string[]>();
  const from = new Map<string, string[]>();
  const coverItem = new Map<string, Item>();
  const note = (map: Map<string, string[]>, at: string, key: string) => {
    const list = map.get(at);
    if (list) list.push(key);
    else map.set(at, [key]);
  };
  for (const s of steps) {
    const { item } = s;
    if (!item) continue;
    const key = stepKey(s);
    if (item.kind === 'part' && !parts.has(plain(item.name))) parts.set(plain(item.name), key);
    for (const c of item.inside) note(inside, c, key);
    if (item.from) note(from, plain(item.from), key);
    if (item.cover) coverItem.set(item.cover, item);
  }
  const after = new Map<string, string[]>();
  const turns = new Map<string, string>();
  const closes = steps.flatMap((s) => (s.cover ? [{ cover: s.cover.id, key: stepKey(s) }] : []));
  for (const s of steps) {
    const list: string[] = [];
    const { item, cover } = s;
    const key = stepKey(s);
    if (item) {
      const own = item.kind === 'fastener' && item.from ? parts.get(plain(item.from)) : undefined;
      if (own) list.push(own);
      else if (!item.cover) {
        // Nothing says what it holds: it keeps its turn among its neighbours.
        const place = item.inside.join('|');
        const previous = turns.get(place);
        if (previous) list.push(previous);
        turns.set(place, key);
      }
      if (item.cover) list.push(...(inside.get(item.cover) ?? []));
    }
    if (cover) {
      const itself = coverItem.get(cover.id);
      if (itself) for (const x of steps) if (x.item === itself) list.push(stepKey(x));
      list.push(...(inside.get(cover.id) ?? []), ...(from.get(plain(cover.name)) ?? []));
      for (const c of closes)
        if (c.cover !== cover.id && coverItem.get(c.cover)?.inside.includes(cover.id)) list.push(c.key);
    }
    after.set(
      key,
      [...new Set(list)].filter((k) => k !== key),
    );
  }
  return after;
}

const plain = (name: string) => name.trim().toLowerCase();

function doings(state: JobState, steps: WayBackStep[]): Doing[] {
  const after = before(steps);
  const sides = sidesOf(state.ledger);
  return steps.map((s) => ({
    id: stepKey(s),
    minutes: minutesOf(s),
    handsOff: s.kind === 'return' ? (s.item?.back?.cureMinutes ?? 0) : 0,
    tool: s.item && s.kind === 'return' ? toolOf(s.item) : null,
    sideUp: s.item ? (sides.get(s.item.id) ?? null) : null,
    after: after.get(stepKey(s)) ?? [],
  }));
}

function quickest(list: Doing[], sideUp: string | null, timeLimitMs: number) {
  try {
    return order({
      moves: list.map(({ id, minutes, tool, sideUp: side, after }) => ({
        id,
        minutes,
        tool,
        sideUp: side,
        after,
      })),
      goal: list.map((d) => d.id),
      start: { tool: null, sideUp },
      toolMinutes: TOOL_MINUTES,
      flipMinutes: FLIP_MINUTES,
      timeLimitMs,
    });
  } catch (error) {
    // Things recorded in an order that cannot be turned round: the strict reverse stands.
    if (error instanceof Refusal) return null;
    throw error;
  }
}

function whileWaiting(list: Doing[], words: Map<string, string>): WayHome['meanwhile'] {
  const i = list.findIndex((d) => d.handsOff > 0);
  const wait = list[i];
  if (!wait) return null;
  const held = new Set([wait.id]);
  const steps: string[] = [];
  for (const d of list.slice(i + 1)) {
    if (d.after.some((a) => held.has(a))) held.add(d.id);
    else steps.push(words.get(d.id) ?? d.id);
  }
  return { wait: words.get(wait.id) ?? wait.id, minutes: wait.handsOff, steps };
}

/**
 * The way home: the strict reverse of what was really done, and a quicker order where there is one,
 * with fewer flips and changes of tool, and with cures and other waits overlapped.
 *
 * @param state a job with things off
 * @param timeLimitMs how long to look for the quickest order
 * @returns both orders with their minutes; what can be done while something cures
 * @example wayHome(state).savedMinutes // 2.3
 */
export function wayHome(state: JobState, timeLimitMs = 200): WayHome {
  const strict = wayBackOf(state);
  const list = doings(state, strict);
  const byKey = new Map(strict.map((s) => [stepKey(s), s]));
  const words = new Map(strict.map((s) => [stepKey(s), s.text]));
  const byId = new Map(list.map((d) => [d.id, d]));
  const up = state.ledger.sideUp;
  const sideUp = up === undefined || up === AS_IT_STOOD ? null : up;
  const start = { tool: null, sideUp };
  const strictSpent = spend(list, start, CHANGE);
  const none: WayHome = {
    strict,
    strictSpent,
    quicker: null,
    quickerSpent: null,
    savedMinutes: 0,
    optimal: true,
    lowerBound: strictSpent.minutes,
    meanwhile: whileWaiting(list, words),
  };
  if (list.length < 2) return none;
  const found = quickest(list, sideUp, timeLimitMs);
  if (!found) return { ...none, optimal: false, lowerBound: 0 };
  const bySetups = found.order.flatMap((id) => byId.get(id) ?? []);
  const tries = [bySetups];
  if (list.some((d) => d.handsOff > 0)) tries.push(overlapped(bySetups, timeLimitMs));
  const best = tries
    .map((t) => ({ list: t, spent: spend(t, start, CHANGE) }))
    .reduce((a, b) => (b.spent.minutes < a.spent.minutes - 1e-9 ? b : a));
  const savedMinutes = strictSpent.minutes - best.spent.minutes;
  if (savedMinutes < WORTH_MINUTES) return { ...none, optimal: found.optimal, lowerBound: found.lowerBound };
  return {
    strict,
    strictSpent,
    quicker: best.list.flatMap((d) => byKey.get(d.id) ?? []),
    quickerSpent: best.spent,
    savedMinutes,
    optimal: found.optimal,
    lowerBound: found.lowerBound,
    meanwhile: whileWaiting(best.list, words),
  };
}
