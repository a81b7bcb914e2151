import { demand } from '../refusal';
import type { JobEvent } from './event';
import { open } from './kinds/job-opened';
import { effective, step } from './reduce';
import type { Stop } from './state';

/** Entries of one stop, wherever the job stands after them. */
const DONE_AT: Partial<Record<JobEvent['type'], Stop>> = {
  'intake.recorded': 'take in',
  'plan.chosen': 'plan',
  'job.referred': 'plan',
  'gate.cleared': 'make safe',
  'gate.passed': 'make safe',
  'charge.read': 'make safe',
  'power-down.done': 'make safe',
  'power-down.passed': 'make safe',
  'part.fitted': 'swap',
  'remedy.done': 'swap',
  'remedy.tried': 'prove',
};

/** One entry as the work went: how long after the one before, and at which stop. */
export interface WorkedEntry {
  event: JobEvent;
  /** minutes since the entry before it; 0 for the first, and where the clock went back */
  minutes: number;
  /** the stop it was worked at */
  stop: Stop;
  /** the job was parked, or handed over, until it */
  waited: boolean;
}

/**
 * The entries of a job that count, each with the time that went before it.
 *
 * @param events of one job, from its opening on
 * @returns one for each entry that was not taken back
 * @throws Refusal as {@link fold} does
 * @example worked(events)[1] // { event, minutes: 4, stop: 'trace', waited: false }
 */
export function worked(events: JobEvent[]): WorkedEntry[] {
  const [first, ...rest] = effective(events);
  demand(first?.type === 'job.opened', 'a job begins by being opened', '/0');
  let state = open(first);
  let last = Date.parse(first.at);
  const entries: WorkedEntry[] = [{ event: first, minutes: 0, stop: state.stop, waited: false }];
  for (const event of rest) {
    demand(event.type !== 'job.opened', 'a job is opened once');
    const waited = state.parked !== null || state.handedOver !== null;
    const before = state.stop;
    state = step(state, event);
    const at = Date.parse(event.at);
    const stop = DONE_AT[event.type] ?? (event.type === 'cover.closed' ? before : state.stop);
    entries.push({ event, minutes: Math.max(0, (at - last) / 60_000), stop, waited });
    last = at;
  }
  return entries;
}
