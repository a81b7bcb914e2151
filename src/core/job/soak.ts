import { demand } from '../refusal';
import { currentProofs, symptomId } from './proofs';
import { type JobState, PATTERN_Q, type ProofRecord } from './state';

/** Share of faults that a check shows when they are there: the default of trace. */
const SENSITIVITY = 0.97;
/** How sure one wants to be. Common practice, no source. */
const SURE = 0.95;

/**
 * Good repeats in a row after which a fault that is still there would have shown itself with the
 * wanted certainty.
 *
 * Method: a fault that shows in one try with chance s·q stays hidden in n tries with (1 − s·q)^n.
 *
 * @param q chance that one try shows it, over 0 and up to 1
 * @param sure wanted certainty, 0 to 1 without the ends
 * @param sensitivity of the check
 * @returns tries, a whole number from 1 up
 * @throws Refusal outside those bounds
 * @example repeatsFor(0.5) // 5
 */
export function repeatsFor(q: number, sure = SURE, sensitivity = SENSITIVITY): number {
  demand(q > 0 && q <= 1, 'the chance that one try shows it lies over 0 and up to 1', '/q');
  demand(sure > 0 && sure < 1, 'the certainty lies between 0 and 1', '/sure');
  demand(sensitivity > 0 && sensitivity <= 1, 'sensitivity lies over 0 and up to 1', '/sensitivity');
  const hidden = 1 - sensitivity * q;
  return hidden <= 0 ? 1 : Math.max(1, Math.ceil(Math.log(1 - sure) / Math.log(hidden) - 1e-12));
}

export interface SoakNow {
  running: boolean;
  /** minutes since it began, up to its end */
  minutes: number;
  left: number;
  /** looks made during it, and how many were wanted by now */
  looks: ProofRecord[];
  wantedByNow: number;
  /** a look is due now */
  due: boolean;
  /** minutes until the next look; 0 when it is due */
  nextIn: number;
  failed: boolean;
  /** it ran its time with every look good */
  passed: boolean;
}

/**
 * How a soak stands: the looks made, the ones wanted, whether one is due.
 *
 * @param state a job
 * @param now ISO time; before the start counts as the start
 * @returns null when none was begun
 * @example soakNow(state, '2026-11-26T10:00:00Z')?.due // true
 */
export function soakNow(state: JobState, now: string): SoakNow | null {
  const { soak } = state;
  if (!soak) return null;
  const until = soak.endedAt ?? now;
  const gone = Math.max(0, (Date.parse(until) - Date.parse(soak.startedAt)) / 60_000);
  const minutes = Math.min(gone, soak.minutes);
  const looks = state.proofs.slice(soak.proofsBefore).filter((p) => p.check === symptomId(state));
  const wantedByNow = Math.floor(minutes / soak.everyMinutes + 1e-9);
  const running = !soak.endedAt && gone < soak.minutes;
  const failed = looks.some((p) => p.outcome === 'bad');
  const due = !soak.endedAt && looks.length < wantedByNow;
  return {
    running,
    minutes,
    left: Math.max(0, soak.minutes - gone),
    looks,
    wantedByNow,
    due,
    nextIn: due ? 0 : Math.max(0, (looks.length + 1) * soak.everyMinutes - gone),
    failed,
    passed: !failed && gone >= soak.minutes && looks.length >= Math.floor(soak.minutes / soak.everyMinutes),
  };
}

/**
 * How many good repeats this job's symptom asks for, by how often it came.
 *
 * @param state a job
 * @returns tries, 1 for a fault that was always there
 * @example repeatsWanted(state) // 5 for one that came now and then
 */
export const repeatsWanted = (state: JobState): number =>
  repeatsFor(PATTERN_Q[state.intake?.pattern ?? 'always']);

/**
 * How many tries of the failing check were good since it was last bad.
 *
 * @param state a job
 * @returns tries in a row, of the remedy that is in now
 * @example goodInARow(state) // 2
 */
export function goodInARow(state: JobState): number {
  const tries = currentProofs(state).filter((p) => p.check === symptomId(state));
  return tries.length - 1 - tries.findLastIndex((p) => p.outcome === 'bad');
}
