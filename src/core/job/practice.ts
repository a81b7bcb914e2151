import { demand } from '../refusal';
import type { Chosen, Decision } from '../regret';
import {
  minutesNow,
  played,
  type SimulatedAct,
  type SimulatedAnswer,
  type SimulateRequest,
  type Stood,
} from '../simulate';
import type { TraceLogEntry } from '../trace';
import { deriveChecks } from '../unit';
import type { Payload } from './kinds';
import type { JobState } from './state';
import { POWER_MINUTES, traceRequest } from './trace-of';

/** Digits of a reading of a simulated unit, as many as a bench meter shows. */
const DIGITS = 4;

/** What was done on a simulated unit, in its order. */
export type PracticeAct = Exclude<SimulatedAct, { repaired: string }>;

/**
 * What was decided in a practice run so far: checks and remedies.
 *
 * @param state a practice job
 * @returns acts in their order, each with the entry it was recorded by
 * @example actsOf(state) // [{ entry, act: { check: 'tap:TP1' } }]
 */
export function actsOf(state: JobState): { entry: string; act: PracticeAct }[] {
  const acts = state.trace.flatMap((r): { entry: string; act: PracticeAct }[] => {
    if (r.tried) return [{ entry: r.id, act: { tried: r.tried.remedy, element: r.tried.element } }];
    return r.check ? [{ entry: r.id, act: { check: r.check } }] : [];
  });
  const { mendedBy } = state;
  return mendedBy
    ? [...acts, { entry: mendedBy.id, act: { tried: mendedBy.remedy, element: mendedBy.element } }]
    : acts;
}

/** The unit before anything was done: as it was taken in, shut and running, with its symptom. */
function fromTheStart(state: JobState): Decision {
  const { options, ...request } = traceRequest({ ...state, trace: [] });
  const two = state.practice?.hidden.faults.length === 2;
  return {
    ...request,
    opened: [],
    power: { now: 'on', ...POWER_MINUTES },
    options: { ...options, ...(two ? { maxFaults: 2 } : {}) },
  };
}

function simulated(state: JobState, acts: PracticeAct[]): SimulateRequest {
  const { practice } = state;
  demand(practice, 'this is no practice');
  const taps = new Map(deriveChecks(state.map).flatMap((c) => (c.tap?.expect ? [[c.id, c.tap.expect]] : [])));
  const { elements, checks, access = [], power } = fromTheStart(state);
  return {
    elements,
    checks: checks.map((c) => {
      const expect = taps.get(c.id);
      if (!expect) return c;
      const { nominal, tolerance, low, high } = expect;
      return { ...c, expect: { nominal, tolerance, low, high } };
    }),
    access,
    ...(power ? { power } : {}),
    hidden: practice.hidden,
    seed: practice.seed,
    acts,
  };
}

/**
 * What a simulated unit answers to one more act.
 *
 * @param state a practice job that has been taken in
 * @param act the check or the remedy
 * @returns its answer; a reading as a bench meter would show it
 * @throws Refusal when the act is not known on this unit, or the unit is mended
 * @example practised(state, { check: 'tap:TP1' }) // { reading: 3.312 }
 */
export function practised(state: JobState, act: PracticeAct): SimulatedAnswer {
  const acts = [...actsOf(state).map((a) => a.act), act];
  const answer = played(simulated(state, acts)).answer.answers.at(-1) as SimulatedAnswer;
  return 'reading' in answer ? { reading: Number(answer.reading.toPrecision(DIGITS)) } : answer;
}

/** An act with the unit’s answer, as it is recorded. */
export type Practised =
  | { type: 'check.recorded'; payload: Payload<'check.recorded'> }
  | { type: 'remedy.practised'; payload: Payload<'remedy.practised'> };

/**
 * The entry of one more act, with what the unit answers to it.
 *
 * @param state a practice job that has been taken in
 * @param act the check or the remedy
 * @returns the entry, to be recorded
 * @throws Refusal as {@link practised} does
 * @example entryOf(state, { check: 'tap:TP1' }) // { type: 'check.recorded', payload: { check: 'tap:TP1', reading: 3.312, source: 'meter' } }
 */
export function entryOf(state: JobState, act: PracticeAct): Practised {
  const said = practised(state, act);
  if ('tried' in act)
    return {
      type: 'remedy.practised',
      payload: { element: act.element, remedy: act.tried, mended: 'mended' in said && said.mended },
    };
  const leaves = deriveChecks(state.map).find((c) => c.id === act.check)?.leaves;
  return {
    type: 'check.recorded',
    payload: {
      check: act.check,
      ...('reading' in said ? { reading: said.reading, source: 'meter' } : { source: 'eye' }),
      ...('outcome' in said ? { outcome: said.outcome } : {}),
      ...(leaves ? { leaves } : {}),
    },
  };
}

/**
 * Simulated minutes of a practice run: of each act, with what it opened and switched, and in all.
 *
 * @param state a practice job that has been taken in
 * @returns minutes
 * @example practiceClock(state).total // 14
 */
export function practiceClock(state: JobState): { minutes: number[]; total: number } {
  const { minutes, totalMinutes } = played(
    simulated(
      state,
      actsOf(state).map((a) => a.act),
    ),
  ).answer;
  return { minutes, total: totalMinutes };
}

/**
 * Minutes that each of some acts would take now, opening and power included.
 *
 * @param state a practice job that has been taken in
 * @param acts each on its own, as the next one
 * @returns minutes, in the order of the acts
 * @throws Refusal when an act is not known on this unit
 * @example practiceMinutes(state, [{ check: 'tap:TP1' }]) // [2]
 */
export const practiceMinutes = (state: JobState, acts: PracticeAct[]): number[] =>
  minutesNow(
    simulated(
      state,
      actsOf(state).map((a) => a.act),
    ),
    acts,
  );

/** One decision of a run: the unit as it stood, and what was chosen. */
export interface Decided {
  entry: string;
  act: PracticeAct;
  request: Decision;
  chosen: Chosen;
}

const chosenOf = (act: PracticeAct): Chosen =>
  'check' in act ? { check: act.check } : { repair: act.element, remedy: act.tried };

/**
 * The decisions of a run, each with what was known when it was made.
 *
 * @param state a practice job that has been taken in
 * @returns one for each check and remedy, in their order
 * @example decisionsOf(state)[0].chosen // { check: 'tap:TP1' }
 */
export function decisionsOf(state: JobState): Decided[] {
  const acts = actsOf(state);
  const { stood } = played(
    simulated(
      state,
      acts.map((a) => a.act),
    ),
  );
  const start = fromTheStart(state);
  const whole = traceRequest(state).log ?? [];
  const symptoms = start.log?.length ?? 0;
  return acts.map(({ entry, act }, k) => ({
    entry,
    act,
    request: decision(start, whole.slice(0, symptoms + k), stood[k] as Stood),
    chosen: chosenOf(act),
  }));
}

/**
 * The decision a run stands before.
 *
 * @param state a practice job that has been taken in
 * @returns the unit as it stands, with its log
 * @example regret({ ...decisionNow(state), chosen: { check: 'tap:TP1' } }).best
 */
export function decisionNow(state: JobState): Decision {
  const acts = actsOf(state).map((a) => a.act);
  const { stood } = played(simulated(state, acts));
  return decision(fromTheStart(state), traceRequest(state).log ?? [], stood.at(-1) as Stood);
}

const decision = (start: Decision, log: TraceLogEntry[], { opened, power }: Stood): Decision => ({
  ...start,
  opened,
  ...(start.power && power ? { power: { ...start.power, now: power } } : {}),
  log,
});
