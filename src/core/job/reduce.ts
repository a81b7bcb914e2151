import { demand, Refusal } from '../refusal';
import type { JobEvent } from './event';
import { apart, type BenchEvent } from './kinds';
import { type JobOpened, open } from './kinds/job-opened';
import type { JobState } from './state';

/** A job as it is kept: its events, and what they amount to. */
export interface JobRecord {
  events: JobEvent[];
  state: JobState;
}

/** State after one more event that counts. */
export function step(state: JobState, event: BenchEvent): JobState {
  const { kind, payload, meta } = apart(event);
  const wakes = kind.whileParked === 'wakes';
  if (wakes) demand(!state.handedOver, 'this job is handed over. Undo the hand over first');
  const next = kind.apply(state, payload, meta);
  return wakes && state.parked && next.parked === state.parked ? { ...next, parked: null } : next;
}

/**
 * Events that count: those not taken back. An `undone` that was itself taken back does not count.
 *
 * @param events in their order
 * @returns the events without `undone` and without what they take back
 * @example effective([opened, check, { type: 'undone', event: check.id }]).length // 1
 */
export function effective(events: JobEvent[]): (JobOpened | BenchEvent)[] {
  const gone = new Set<string>();
  const kept: (JobOpened | BenchEvent)[] = [];
  for (let i = events.length - 1; i >= 0; i--) {
    const e = events[i] as JobEvent;
    if (gone.has(e.id)) continue;
    if (e.type === 'undone') gone.add(e.event);
    else kept.push(e);
  }
  return kept.reverse();
}

/**
 * Folds a whole history into the state of the job.
 *
 * @param events from `job.opened` on
 * @returns the job
 * @throws Refusal with the path of the event that breaks a rule
 * @example fold(events).ledger.items.length
 */
export function fold(events: JobEvent[]): JobRecord {
  const [first, ...rest] = effective(events);
  demand(first?.type === 'job.opened', 'a job begins by being opened', '/0');
  let state = open(first);
  const place = new Map(events.map((e, i) => [e.id, i]));
  for (const e of rest) {
    try {
      demand(e.type !== 'job.opened', 'a job is opened once');
      state = step(state, e);
    } catch (error) {
      if (error instanceof Refusal) throw new Refusal(error.message, `/${place.get(e.id)}${error.path}`);
      throw error;
    }
  }
  return { events, state };
}

function undo(record: JobRecord, event: Extract<JobEvent, { type: 'undone' }>): JobRecord {
  const target = record.events.find((e) => e.id === event.event);
  demand(target, 'there is no such entry to undo', '/event');
  demand(target.type !== 'job.opened', 'a job cannot be un-opened: hand it over as it was', '/event');
  const wasGone = record.events.some(
    (e) => e.type === 'undone' && e.event === target.id && counts(record.events, e.id),
  );
  demand(!wasGone, 'that entry is undone already', '/event');
  const events = [...record.events, event];
  try {
    return fold(events);
  } catch (error) {
    if (error instanceof Refusal) {
      throw new Refusal(
        `That entry cannot be undone: a later one needs it (${error.message}). Undo the later one first`,
        '/event',
      );
    }
    throw error;
  }
}

/** Whether an `undone` entry itself still counts. */
function counts(events: JobEvent[], id: string): boolean {
  return !events.some((e) => e.type === 'undone' && e.event === id && counts(events, e.id));
}

/**
 * Judges one more event. The same rule runs in the browser, at once, and on the server, for good.
 *
 * @param record the job so far, null before it is opened
 * @param event the new event
 * @returns the job with it
 * @throws Refusal with the reason and the path of the field; nothing has changed then
 * @example judge(record, { type: 'note.added', text: 'smells of salt', id, at, by })
 */
export function judge(record: JobRecord | null, event: JobEvent): JobRecord {
  demand(Number.isFinite(Date.parse(event.at)), 'the time is not an ISO date', '/at');
  if (!record) {
    demand(event.type === 'job.opened', 'a job begins by being opened', '/type');
    return { events: [event], state: open(event) };
  }
  demand(event.type !== 'job.opened', 'this job is open already', '/type');
  demand(!record.events.some((e) => e.id === event.id), 'that entry is there already', '/id');
  if (event.type === 'undone') return undo(record, event);
  const next = step(record.state, event);
  const { kind, payload, meta } = apart(event);
  if (kind.admit !== 'always') kind.admit(record.state, payload, meta);
  return { events: [...record.events, event], state: next };
}
