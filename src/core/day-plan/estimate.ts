import { type JobState, PATTERN_Q, STOPS, type Stop } from '../job';
import { lognormal, normalQuantile } from '../stats';
import type { DayOffer, OfferedTask } from './types';

/** The share of cases in which a task is done within the minutes planned. */
export const PLANNED_SHARE = 0.7;

/** Minutes at each stop while the record knows too few. Common practice, no source. */
export const USUAL_MINUTES: Record<Stop, number> = {
  'take in': 5,
  trace: 20,
  plan: 5,
  'make safe': 5,
  'open up': 15,
  swap: 15,
  'close up': 15,
  prove: 10,
  'hand over': 5,
};
/** A fault that comes and goes is watched for so long. Common practice, no source. */
const SOAK_MINUTES = 60;

interface Spread {
  median: number;
  sigma: number;
}

/**
 * The lognormal that has the mean and the deviation of a sum of lognormals apart from each other (Fenton, The
 * sum of log-normal probability distributions in scatter transmission systems, IRE Transactions on
 * Communications Systems 8, 1960; from memory).
 *
 * @param parts medians in any unit, deviations of the logarithm
 * @returns the same of their sum; 0 and 0 where there are none
 * @example sumOf([{ median: 10, sigma: 0 }, { median: 5, sigma: 0 }]).median // 15
 */
export function sumOf(parts: Spread[]): Spread {
  let mean = 0;
  let variance = 0;
  for (const { median, sigma } of parts) {
    const m = median * Math.exp(sigma ** 2 / 2);
    mean += m;
    variance += m ** 2 * Math.expm1(sigma ** 2);
  }
  if (mean === 0) return { median: 0, sigma: 0 };
  const s2 = Math.log1p(variance / mean ** 2);
  return { median: mean * Math.exp(-s2 / 2), sigma: Math.sqrt(s2) };
}

/** Minutes of jobs of the same model, by stop. */
export type StopMinutes = Partial<Record<Stop, number[]>>;

/** What was planned says how long the opening, the swap and the way back take together. */
function usualOf(state: JobState, stop: Stop): number {
  const between: Stop[] = ['open up', 'swap', 'close up'];
  const planned = state.plan?.kind === 'remedy' ? state.plan.minutes : undefined;
  if (!planned || !between.includes(stop)) return USUAL_MINUTES[stop];
  return planned / between.length;
}

function taskOf(state: JobState, id: string, words: string, stops: Stop[], known: StopMinutes): OfferedTask {
  const { median, sigma } = sumOf(
    stops.map((stop) =>
      lognormal({ minutes: known[stop] ?? [], quantiles: [], default: usualOf(state, stop) }),
    ),
  );
  const planned = median * Math.exp(sigma * normalQuantile(PLANNED_SHARE));
  return { id, words, handsOn: Math.ceil(planned), handsOff: 0, sigma };
}

/** Whether a fault comes and goes, so that one good look at the end proves little. */
const comesAndGoes = ({ intake }: JobState): boolean =>
  intake !== null && (PATTERN_Q[intake.pattern] ?? 1) < 1;

/**
 * What is left of a job as tasks of a day: the work up to closing, then proving, then handing over, with the
 * waits between them.
 *
 * @param state a job
 * @param known minutes at each stop of earlier jobs on its model
 * @param now the moment, ISO
 * @returns tasks in their order, what runs already, how many durations stand behind them
 * @example tasksLeft(state, {}, now).tasks.map((t) => t.id) // ['work', 'prove']
 */
export function tasksLeft(
  state: JobState,
  known: StopMinutes,
  now: string,
): Pick<DayOffer, 'tasks' | 'runs' | 'known'> {
  if (state.handedOver) return { tasks: [], known: 0 };
  const left = STOPS.slice(STOPS.indexOf(state.stop));
  const referred = state.plan?.kind === 'refer';
  const work = referred ? [] : left.filter((s) => STOPS.indexOf(s) < STOPS.indexOf('prove'));
  const cure = Math.max(0, ...(state.map.moves ?? []).map((m) => m.back?.cureMinutes ?? 0));
  const soaks = comesAndGoes(state) && !state.soak && left.includes('prove');
  const tasks: OfferedTask[] = [];
  const add = (task: OfferedTask) => {
    const before = tasks.at(-1);
    tasks.push({ ...task, ...(before ? { after: [before.id] } : {}) });
  };
  if (work.length > 0)
    add({
      ...taskOf(state, 'work', [...new Set([work[0], work.at(-1)])].join(' to '), work, known),
      ...(cure > 0 ? { handsOff: cure, wait: 'it cures' } : {}),
    });
  if (!referred && left.includes('prove') && soaks) {
    add({
      ...taskOf(state, 'prove', 'prove', ['prove'], known),
      handsOff: SOAK_MINUTES,
      wait: 'soak: the fault comes and goes',
    });
    add(taskOf(state, 'hand over', 'hand over', ['hand over'], known));
  } else if (!referred && left.includes('prove'))
    add(taskOf(state, 'prove', 'prove and hand over', ['prove', 'hand over'], known));
  else add(taskOf(state, 'hand over', 'hand over', ['hand over'], known));
  const running = state.timers
    .filter((t) => !t.endedAt)
    .map((t) => ({ what: t.what, until: Date.parse(t.startedAt) + t.minutes * 60_000 }))
    .filter((t) => t.until > Date.parse(now))
    .sort((a, b) => b.until - a.until)[0];
  return {
    tasks,
    known: Math.min(...left.map((s) => known[s]?.length ?? 0)),
    ...(running ? { runs: { what: running.what, until: new Date(running.until).toISOString() } } : {}),
  };
}
