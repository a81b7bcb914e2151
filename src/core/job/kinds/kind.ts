import type { Static, TObject, TSchema } from '../../schema/words';
import type { JobState } from '../state';

/** Who recorded an event, when at the bench, and under which id (ULID, made where it was recorded). */
export interface Meta {
  id: string;
  /** ISO 8601 */
  at: string;
  by: string;
}

/** Sections of the report, in the order of the work. */
export const SECTIONS = [
  'Taken in',
  'Found',
  'Planned',
  'Made safe',
  'Done',
  'Proven, before and after',
  'Everything it should do',
  'Shown beside it',
  'Came off and went back',
  'Notes',
  'Handed over',
] as const;

/** A line of the report. */
export interface Reported {
  under: (typeof SECTIONS)[number];
  /** ISO time, where one belongs to it */
  at?: string;
  text: string;
  /** what came of it */
  result?: string;
}

/** What surrounds an entry, for its line in the report. */
export interface Around<P> {
  /** entries of the same kind after it */
  later: P[];
  /** everybody who recorded something */
  people: string[];
}

type Shape = Record<string, TSchema>;
type Told<S extends Shape> = Static<TObject<S>>;

/**
 * One kind of event, whole: what it carries, what it does to a job or why it is refused, how the log
 * and the report word it, and what it means to a job that waits. A kind is one file and one line of the
 * registry; everything else is derived from there.
 */
export interface EventKind<T extends string, S extends Shape> {
  type: T;
  /** properties beside id, time and author */
  payload: S;
  /**
   * What is asked of an entry as it is made, beyond what the story needs to hold together; `always`
   * asks nothing. Entries kept earlier are not judged by it again: a rule that came later does not
   * make an old job unreadable.
   *
   * @throws Refusal when it may not be made now
   */
  admit: 'always' | ((state: JobState, payload: Told<S>, meta: Meta) => void);
  /** @throws Refusal when a rule forbids it */
  apply(state: JobState, payload: Told<S>, meta: Meta): JobState;
  /** its line in the log */
  says(payload: Told<S>, state: JobState): string;
  /** its lines in the report, from the job as it stands at the end */
  reports:
    | 'nothing'
    | ((payload: Told<S>, state: JobState, meta: Meta, around: Around<Told<S>>) => Reported[]);
  /** a job that is parked or handed over takes it as it lies, or is woken by it (refuses it once handed over) */
  whileParked: 'taken' | 'wakes';
}

/** Gives an event kind the types of its payload. */
export const kind = <T extends string, S extends Shape>(k: EventKind<T, S>): EventKind<T, S> => k;
