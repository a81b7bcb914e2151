import type { JobState } from '../state';

/** Who recorded an event, when at the bench, and under which id (ULID, made where it was recorded). */
export interface Meta {
  id: string;
  /** ISO 8601 */
  at: string;
  by: string;
}

/** One kind of event: what it does to a job, or why it is refused, and how the log words it. */
export interface EventKind<P extends object> {
  /**
   * What is asked of an entry as it is made, beyond what the story needs to hold together. Entries
   * kept earlier are not judged by it again: a rule that came later does not make an old job unreadable.
   *
   * @throws Refusal when it may not be made now
   */
  admit?(state: JobState, payload: P, meta: Meta): void;
  /** @throws Refusal when a rule forbids it */
  apply(state: JobState, payload: P, meta: Meta): JobState;
  says(payload: P, state: JobState): string;
}

/** Gives an event kind its payload type. */
export const kind = <P extends object>(k: EventKind<P>): EventKind<P> => k;
