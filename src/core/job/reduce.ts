import { demand, Refusal } from '../refusal';
import { beyond } from '../schema/limits';
import type { TSchema } from '../schema/words';
import type { JobEvent } from './event';
import { apart, type BenchEvent, EVENT_KINDS } from './kinds';
import { type JobOpened, open } from './kinds/job-opened';
import { Standing } from './standing';
import type { JobState } from './state';

/** A job as it is kept: its events, and what they amount to. */
export interface JobRecord {
  events: JobEvent[];
  state: JobState;
}

/** State after one more event that counts. */
export function step(state: JobState, event: BenchEvent): JobState {
  const { kind, payload, meta } = apart(event);
  demand(!state.practiceOver, 'this practice is over: nothing more is recorded in it');
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
  return corrected(kept.reverse());
}

/** Moves as they were corrected later, the last correction first. */
function corrected(events: (JobOpened | BenchEvent)[]): (JobOpened | BenchEvent)[] {
  const said = new Map(events.flatMap((e) => (e.type === 'move.corrected' ? [[e.move, e] as const] : [])));
  if (said.size === 0) return events;
  return events.map((e) => {
    const now = e.type === 'move.recorded' ? said.get(e.id) : undefined;
    if (!now || e.type !== 'move.recorded') return e;
    const { verb, text, item, sideUp, on, minutes, tool, note } = now;
    const { id, at, by, move, out } = e;
    return {
      type: e.type,
      id,
      at,
      by,
      verb,
      text,
      item,
      ...(sideUp === undefined ? {} : { sideUp }),
      ...(on === undefined ? {} : { on }),
      ...(minutes === undefined ? {} : { minutes }),
      ...(tool === undefined ? {} : { tool }),
      ...(note === undefined ? {} : { note }),
      ...(move === undefined ? {} : { move }),
      ...(out === undefined ? {} : { out }),
    };
  });
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

/**
 * Folds what came after a record onto it. The answer is that of folding the whole story.
 *
 * @param record a job as it was
 * @param more its later entries, in their order
 * @returns the job with them
 * @throws Refusal as {@link fold} does
 * @example foldOn(fold(events.slice(0, 8)), events.slice(8)).state // as of fold(events)
 */
export function foldOn(record: JobRecord, more: JobEvent[]): JobRecord {
  const events = [...record.events, ...more];
  let { state } = record;
  for (const e of more) {
    // What reaches back is folded from the beginning.
    if (e.type === 'undone' || e.type === 'move.corrected' || e.type === 'job.opened') return fold(events);
    state = step(state, e);
  }
  return { events, state };
}

function undo(record: JobRecord, event: Extract<JobEvent, { type: 'undone' }>): JobRecord {
  new Standing(record.events).demandUndo(event);
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

/** A move reads otherwise from when it was made on, with all that followed; what then held it still holds. */
function correct(record: JobRecord, event: Extract<BenchEvent, { type: 'move.corrected' }>): JobRecord {
  step(record.state, event);
  const at = record.events.findIndex((e) => e.id === event.move);
  const meta = record.events[at];
  demand(
    meta?.type === 'move.recorded',
    'that was not said on the entry line: undo it, and say it anew',
    '/move',
  );
  const { move: _which, type: _type, id: _id, at: _at, by: _by, ...payload } = event;
  const { admit } = EVENT_KINDS['move.recorded'];
  if (admit !== 'always') admit(fold(record.events.slice(0, at)).state, payload, meta);
  try {
    return fold([...record.events, event]);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    throw new Refusal(`It cannot read so: a later entry needs it as it was (${error.message})`, '/text');
  }
}

/** What is too long or too large to be kept is said where it was typed. */
function within(event: JobEvent): void {
  if (event.type === 'job.opened' || event.type === 'undone') return;
  const payload: Record<string, TSchema> = EVENT_KINDS[event.type].payload;
  for (const [name, schema] of Object.entries(payload)) {
    const found = beyond(schema, (event as unknown as Record<string, unknown>)[name], `/${name}`);
    if (found) throw new Refusal(found.reason, found.path);
  }
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
  if (event.type === 'move.corrected') return correct(record, event);
  // What a kind says itself of its fields is said first: it knows better what they are for.
  const next = step(record.state, event);
  within(event);
  const { kind, payload, meta } = apart(event);
  if (kind.admit !== 'always') kind.admit(record.state, payload, meta);
  return { events: [...record.events, event], state: next };
}
