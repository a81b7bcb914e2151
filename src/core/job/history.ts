import type { JobEvent } from './event';
import { apart, type BenchEvent } from './kinds';
import { open } from './kinds/job-opened';
import { effective, step } from './reduce';
import type { JobState } from './state';

const said = (e: BenchEvent, before: JobState) => {
  const { kind, payload } = apart(e);
  return kind.says(payload, before);
};

/**
 * One entry in words, as the log would say it of this job.
 *
 * @param event any entry
 * @param state the job it was meant for
 * @returns its line
 * @example inWords({ type: 'note.added', text: 'smells of salt', ... }, state) // 'Note: smells of salt'
 */
export function inWords(event: JobEvent, state: JobState): string {
  if (event.type === 'job.opened') return `Opened as ${event.tag}`;
  return event.type === 'undone' ? 'Undo' : said(event, state);
}

export interface HistoryLine {
  id: string;
  at: string;
  by: string;
  type: string;
  text: string;
}

/**
 * The story of a job in words: every entry that counts, oldest first.
 *
 * @param events all events
 * @returns one line per entry
 * @example history(events)[1].text // 'Taken in: “drops out on the left”, now and then'
 */
export function history(events: JobEvent[]): HistoryLine[] {
  let state: JobState | null = null;
  return effective(events).map((e) => {
    const line = { id: e.id, at: e.at, by: e.by, type: e.type };
    if (e.type === 'job.opened') {
      state = open(e);
      return { ...line, text: `Opened as ${e.tag}` };
    }
    const before = state as JobState;
    state = step(before, e);
    return { ...line, text: said(e, before) };
  });
}

/** One entry as it stands in the whole story, taken back or not. */
export interface StoryLine extends HistoryLine {
  /** it was taken back and does not count */
  undone: boolean;
  /** it can be taken back: it counts and is not the opening */
  canUndo: boolean;
  /** whole minutes by which it is dated before an entry above it, where that is more than clocks differ */
  minutesBehind?: number;
}

/** Clocks of devices differ by this much, and nobody has to be told. Common practice, no source. */
const CLOCKS_DIFFER_MS = 5 * 60_000;

/** How far an entry is dated before one that was taken before it: it came in late, or its clock was set back. */
function behind(at: string, latest: number): Pick<StoryLine, 'minutesBehind'> {
  const ms = latest - Date.parse(at);
  return ms > CLOCKS_DIFFER_MS ? { minutesBehind: Math.floor(ms / 60_000) } : {};
}

/**
 * Every entry ever made, what was taken back among them: nothing in a job is rubbed out.
 *
 * @param events all events
 * @returns one line per entry, oldest first; an undo says what it took back
 * @example story(events).filter((l) => l.undone).length
 */
export function story(events: JobEvent[]): StoryLine[] {
  // As they count: a move in the words of its last correction.
  const counting = new Map(effective(events).map((e) => [e.id, e]));
  const text = new Map<string, string>();
  let state: JobState | null = null;
  let latest = Number.NEGATIVE_INFINITY;
  return events.map((e) => {
    const line = { id: e.id, at: e.at, by: e.by, type: e.type, ...behind(e.at, latest) };
    latest = Math.max(latest, Date.parse(e.at));
    if (e.type === 'undone') {
      const what = text.get(e.event) ?? 'an entry';
      text.set(
        e.id,
        what.startsWith('Undone: ') ? what.replace('Undone', 'Brought back') : `Undone: ${what}`,
      );
      return { ...line, text: text.get(e.id) as string, undone: false, canUndo: false };
    }
    const counts = counting.get(e.id);
    const before = state;
    if (counts) state = counts.type === 'job.opened' ? open(counts) : step(before as JobState, counts);
    const words = inWords(counts ?? e, before ?? (state as JobState));
    text.set(e.id, words);
    return { ...line, text: words, undone: !counts, canUndo: Boolean(counts) && e.type !== 'job.opened' };
  });
}

/**
 * The entry that Undo would take back: the last one that counts, never the opening.
 *
 * @param events all events
 * @returns its line, or null when there is nothing to undo
 * @example undoTarget(events)?.text // 'unplug 1 × J7, kept left in the part'
 */
export function undoTarget(events: JobEvent[]): HistoryLine | null {
  const last = history(events).at(-1);
  return last && last.type !== 'job.opened' ? last : null;
}

/**
 * The entry that Redo would bring again: the last undo that counts, if nothing was recorded since.
 *
 * @param events all events
 * @returns id of the `undone` event, or null
 * @example redoTarget(events)
 */
export function redoTarget(events: JobEvent[]): string | null {
  const gone = new Set<string>();
  for (let i = events.length - 1; i >= 0; i--) {
    const e = events[i] as JobEvent;
    if (gone.has(e.id)) continue;
    if (e.type !== 'undone') return null;
    const target = events.find((x) => x.id === e.event);
    if (target?.type === 'undone') gone.add(target.id);
    else return e.id;
  }
  return null;
}
