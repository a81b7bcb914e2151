import { firstHazards } from '../hazard';
import { EMPTY_LEDGER } from '../ledger';
import { demand, Refusal } from '../refusal';
import { validateMap } from '../unit';
import type { JobEvent, JobOpened } from './event';
import { type BenchEvent, EVENT_KINDS, type EventKind, type Meta } from './events/index';
import type { JobState } from './state';

/** A job as it is kept: its events, and what they amount to. */
export interface JobRecord {
  events: JobEvent[];
  state: JobState;
}

/** Kinds still welcome after a job was handed over, or while it is parked, without waking it. */
const ALWAYS = new Set([
  'note.added',
  'photo.added',
  'pin.placed',
  'pin.removed',
  'face.added',
  'timer.started',
  'timer.ended',
]);

/** State of a job that has just been opened. */
export function open(e: JobOpened): JobState {
  validateMap(e.map);
  return {
    id: e.job,
    tag: e.tag,
    openedAt: e.at,
    map: e.map,
    whole: e.map,
    ...(e.learned ? { learned: e.learned } : {}),
    ...(e.unit ? { unit: e.unit } : {}),
    ...(e.place ? { place: e.place } : {}),
    intake: null,
    stop: 'take in',
    parked: null,
    power: 'unknown',
    hazards: firstHazards(e.map.hazards),
    trace: [],
    plan: null,
    out: null,
    fix: null,
    failed: [],
    ledger: EMPTY_LEDGER,
    proofs: [],
    handedOver: null,
    notes: [],
    photos: [],
    followed: [],
    timers: [],
    holes: {},
    poweredDown: { done: [] },
    charges: {},
    swap: { mode: 'all off', prepared: [], across: [] },
    subUnits: [],
    told: [],
    proving: [],
    soak: null,
    consumables: [],
    batteries: {},
    boards: {},
  };
}

/** An event taken apart: its kind, who made it when, and what it says. */
function apart(event: BenchEvent) {
  const { id, at, by, type, ...payload } = event;
  return { kind: EVENT_KINDS[type] as EventKind<object>, meta: { id, at, by } satisfies Meta, payload };
}

/** State after one more event that counts. */
export function step(state: JobState, event: BenchEvent): JobState {
  if (!ALWAYS.has(event.type)) demand(!state.handedOver, 'this job is handed over. Undo the hand over first');
  const { kind, payload, meta } = apart(event);
  const next = kind.apply(state, payload, meta);
  const wakes = state.parked && next.parked === state.parked && !ALWAYS.has(event.type);
  return wakes ? { ...next, parked: null } : next;
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
  kind.admit?.(record.state, payload, meta);
  return { events: [...record.events, event], state: next };
}
