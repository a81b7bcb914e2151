import { coversNeeded, type JobState, openAccess, outsOf, plansOf } from '../job';
import { order } from '../order';
import type { MapMove } from '../unit';
import { overlapped, spend } from './spend';

/** Minutes to change the tool and to turn the unit over. Common practice, no source. */
export const TOOL_MINUTES = 0.3;
export const FLIP_MINUTES = 1;

export interface WayIn {
  /** moves still to be done, in the quickest order */
  steps: MapMove[];
  minutes: number;
  toolChanges: number;
  flips: number;
  /** tools to lay out before starting, in the order they are wanted */
  tools: string[];
  /** whether no order is quicker; otherwise none is under `lowerBound` */
  optimal: boolean;
  lowerBound: number;
  /** minutes in the order somebody found, when that is longer */
  asFound: number | null;
  /** minutes in which the hands wait for something to soak or warm */
  waiting: number;
  /** side up now, as far as is known */
  sideUp: string | null;
}

/** Moves that need not be done any more: those followed, and whatever an open cover had before it. */
function doneMoves(state: JobState, moves: MapMove[]): string[] {
  const open = new Set(openAccess(state));
  const byId = new Map(moves.map((m) => [m.id, m]));
  const done = new Set<string>();
  const add = (id: string) => {
    if (done.has(id)) return;
    done.add(id);
    for (const b of byId.get(id)?.after ?? []) add(b);
  };
  for (const id of state.followed) add(id);
  for (const m of moves) if (m.opens && open.has(m.opens)) add(m.id);
  return [...done].filter((id) => byId.has(id));
}

/** Minutes of a list of moves done one after the other, changes of tool and flips counted. */
export function minutesOf(
  list: Pick<MapMove, 'minutes' | 'tool' | 'sideUp'>[],
  start: { tool: string | null; sideUp: string | null },
): number {
  let { tool, sideUp } = start;
  let sum = 0;
  for (const m of list) {
    sum += m.minutes;
    if (m.tool !== null && m.tool !== tool) sum += TOOL_MINUTES;
    if (m.sideUp !== null && m.sideUp !== sideUp) sum += FLIP_MINUTES;
    tool = m.tool ?? tool;
    sideUp = m.sideUp ?? sideUp;
  }
  return sum;
}

/** Steps with their waits overlapped, where that is quicker than the order found without them. */
function overWaits(steps: MapMove[], start: { tool: string | null; sideUp: string | null }) {
  if (!steps.some((m) => m.handsOff)) return { steps, waiting: 0 };
  const list = steps.map((m) => ({
    id: m.id,
    minutes: m.minutes,
    handsOff: m.handsOff ?? 0,
    tool: m.tool,
    sideUp: m.sideUp,
    after: [
      ...(m.after ?? []),
      ...(m.afterAny?.find((g) => g.every((id) => steps.some((s) => s.id === id))) ?? []),
    ],
  }));
  const change = { tool: TOOL_MINUTES, flip: FLIP_MINUTES };
  const best = [list, overlapped(list)]
    .map((l) => ({ list: l, spent: spend(l, start, change) }))
    .reduce((a, b) => (b.spent.minutes < a.spent.minutes - 1e-9 ? b : a));
  const byId = new Map(steps.map((m) => [m.id, m]));
  return { steps: best.list.flatMap((d) => byId.get(d.id) ?? []), waiting: best.spent.waiting };
}

/**
 * The quickest way to what the plan wants reached, by the moves the unit's map knows.
 *
 * @param state a job whose map has moves
 * @param timeLimitMs how long to look for the quickest order
 * @returns the moves left with their figures, or null when the map does not know the way
 * @throws Refusal when the moves wait for each other in a circle
 * @example wayIn(state)?.steps[0].text // '2 x M3x6 PH1 service hatch > cup 1'
 */
export function wayIn(state: JobState, timeLimitMs = 300): WayIn | null {
  const moves = state.map.moves ?? [];
  const needed = coversNeeded(state);
  const wanted = needed.length ? needed : state.map.access.map((a) => a.id);
  const open = new Set(openAccess(state));
  const left = wanted.filter((id) => !open.has(id));
  const covers = left.flatMap((id) => moves.find((m) => m.opens === id)?.id ?? []);
  // Past the last cover: what is done for the planned element itself, until it is out or mended.
  const out = new Set(outsOf(state).map((o) => o.element));
  const elements = state.fix
    ? []
    : plansOf(state).flatMap((p) => (p.element && !out.has(p.element) ? [p.element] : []));
  const followed = new Set(state.followed);
  const deeper = moves.filter((m) => m.reaches?.some((e) => elements.includes(e)) && !followed.has(m.id));
  const goal = [...covers, ...deeper.map((m) => m.id)];
  if (moves.length === 0 || (left.length > 0 && covers.length === 0)) return null;
  const sideUp = state.ledger.moves.findLast((m) => m.sideUp)?.sideUp ?? null;
  const lastDone = moves.find((m) => m.id === state.followed.at(-1));
  const start = { tool: lastDone?.tool ?? null, sideUp };
  if (goal.length === 0)
    return {
      steps: [],
      minutes: 0,
      toolChanges: 0,
      flips: 0,
      tools: [],
      optimal: true,
      lowerBound: 0,
      asFound: null,
      waiting: 0,
      sideUp,
    };
  const answer = order({
    moves: moves.map(({ id, minutes, tool, sideUp: side, after, afterAny }) => ({
      id,
      minutes,
      tool,
      sideUp: side,
      ...(after ? { after } : {}),
      ...(afterAny ? { afterAny } : {}),
    })),
    goal,
    done: doneMoves(state, moves),
    start,
    toolMinutes: TOOL_MINUTES,
    flipMinutes: FLIP_MINUTES,
    timeLimitMs,
  });
  const byId = new Map(moves.map((m) => [m.id, m]));
  const { steps, waiting } = overWaits(
    answer.order.flatMap((id) => byId.get(id) ?? []),
    start,
  );
  const found = minutesOf(
    moves.filter((m) => answer.order.includes(m.id)),
    start,
  );
  return {
    steps,
    minutes: answer.minutes,
    toolChanges: answer.toolChanges,
    flips: answer.flips,
    tools: [...new Set(steps.flatMap((m) => m.tool ?? []))],
    optimal: answer.optimal,
    lowerBound: answer.lowerBound,
    asFound: found > answer.minutes + 0.05 ? found : null,
    waiting,
    sideUp,
  };
}
