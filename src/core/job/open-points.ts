import { isDone } from './opening';
import { partiesLeft, provingLines } from './proving';
import { goodInARow, repeatsWanted, soakNow } from './soak';
import type { JobState } from './state';
import { ticksLeft } from './ticks';

/** Something that is open when a unit that works is handed over. */
export interface OpenPoint {
  id: string;
  what: string;
}

/** Where open points come from; a further one is a further entry. */
const POINTS: ((state: JobState) => OpenPoint[])[] = [
  (state) => {
    const wanted = repeatsWanted(state);
    const good = goodInARow(state);
    return good < wanted
      ? [
          {
            id: 'repeats',
            what: `the failing check again: ${good} of ${wanted} good in a row, as often as it came`,
          },
        ]
      : [];
  },
  (state) =>
    partiesLeft(state).map((p) => ({
      id: `party: ${p.id}`,
      what: `${p.who} ${p.must === 'allow' ? 'was not asked' : 'was not told'}`,
    })),
  (state) =>
    provingLines(state)
      .filter((l) => state.proving.findLast((p) => p.line === l.id)?.outcome !== 'ok')
      .map((l) => ({ id: `shown: ${l.id}`.slice(0, 120), what: l.ask })),
  (state) => ticksLeft(state).map((t) => ({ id: `tick: ${t.id}`, what: `not ticked: ${t.text}` })),
  (state) => {
    const { soak } = state;
    if (!soak) return [];
    const end = soak.endedAt ?? new Date(Date.parse(soak.startedAt) + soak.minutes * 60_000).toISOString();
    return soakNow(state, end)?.passed
      ? []
      : [{ id: 'soak', what: 'the soak has not run its time with every look good' }];
  },
];

/**
 * What is still open on a unit that is mended: repeats, people to be told, things to be shown, a soak.
 * Each is done, or let go with a reason.
 *
 * @param state a job
 * @returns open points, empty when nothing is
 * @example openPoints(state)[0].what // 'the failing check again: 1 of 5 good in a row, as often as it came'
 */
export function openPoints(state: JobState): OpenPoint[] {
  if (!isDone(state)) return [];
  const passed = new Set(state.passedPoints.map((p) => p.point));
  return POINTS.flatMap((p) => p(state)).filter((p) => !passed.has(p.id));
}
