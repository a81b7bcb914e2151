import { deriveChecks, isRepeated, type MapCheck } from '../unit';
import { verdictOf } from './answer';
import { coversOn } from './open';
import { isDone } from './opening';
import { isAimed, type JobState, type ProofRecord, type TraceRecord } from './state';

/** A check that failed before the repair, beside its repeat. */
export interface BeforeAfter {
  check: MapCheck;
  before: TraceRecord | { outcome: 'bad' | 'not tried'; at: string };
  after: ProofRecord | null;
  /** names of the covers that are on over its point now */
  under: string[];
}

/** The symptom's check id of a job. */
export const symptomId = (state: JobState): string => `symptom:${state.intake?.function ?? ''}`;

/** Proofs made since the present remedy was done. */
export const currentProofs = (state: JobState): ProofRecord[] =>
  isDone(state) ? state.proofs.slice(state.fix?.proofsBefore ?? 0) : [];

/**
 * The last repeat of the failing function since the remedy.
 *
 * @param state a job
 * @returns the proof, or undefined when it was not repeated yet
 * @example symptomProof(state)?.outcome // 'ok'
 */
export function symptomProof(state: JobState): ProofRecord | undefined {
  return currentProofs(state).findLast((p) => p.check === symptomId(state));
}

/**
 * Every check that came out bad while tracing, the symptom first, beside its last repeat.
 *
 * @param state a job
 * @returns pairs in the order they were recorded
 * @example beforeAfter(state)[0].after?.outcome // 'ok'
 */
export function beforeAfter(state: JobState): BeforeAfter[] {
  const checks = deriveChecks(state.map);
  const proofs = currentProofs(state);
  const pairs: BeforeAfter[] = [];
  const symptom = checks.find((c) => c.id === symptomId(state));
  if (symptom && state.intake) {
    pairs.push({
      check: symptom,
      before: state.trace.find((t) => t.check === symptom.id) ?? {
        outcome: isAimed(state) ? 'not tried' : 'bad',
        at: state.openedAt,
      },
      after: proofs.findLast((p) => p.check === symptom.id) ?? null,
      under: [],
    });
  }
  for (const record of state.trace) {
    const check = checks.find((c) => c.id === record.check);
    if (!check || check.id === symptom?.id || verdictOf(check, record) === 'ok') continue;
    if (!isRepeated(check)) continue;
    if (pairs.some((p) => p.check.id === check.id)) continue;
    const under = coversOn(state, check.trace.needs).map((c) => c.name);
    pairs.push({ check, before: record, after: proofs.findLast((p) => p.check === check.id) ?? null, under });
  }
  return pairs;
}

/** A function of the unit and its last try since the remedy. */
export interface FunctionTried {
  check: MapCheck;
  name: string;
  last: ProofRecord | null;
}

/**
 * Everything the unit should do, each with its last try since the remedy: mending one thing can break
 * another.
 *
 * @param state a job
 * @returns functions in the order of the map
 * @example functionsTried(state).filter((f) => f.last === null).length // how many are still to be tried
 */
export function functionsTried(state: JobState): FunctionTried[] {
  const checks = deriveChecks(state.map);
  const proofs = currentProofs(state);
  return state.map.functions.flatMap((f) => {
    const check = checks.find((c) => c.id === `symptom:${f.id}`);
    return check ? [{ check, name: f.name, last: proofs.findLast((p) => p.check === check.id) ?? null }] : [];
  });
}
