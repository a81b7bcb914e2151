import { demand } from '../refusal';
import type { JobEvent } from './event';
import type { Undone } from './kinds/undone';

/** Which entries of a story stand, and which are taken back; an undo that is itself taken back does not count. */
export class Standing {
  private first: string | undefined;
  private readonly there = new Set<string>();
  /** which entry took this one back last; at most one of them counts, since only what counts is taken back */
  private readonly undoer = new Map<string, string>();

  /**
   * @param events a story up to now
   * @example new Standing([opened, note]).counts(note.id) // true
   */
  constructor(events: JobEvent[] = []) {
    for (const e of events) this.add(e);
  }

  /** One more entry. */
  add(event: JobEvent): void {
    this.first ??= event.id;
    this.there.add(event.id);
    if (event.type === 'undone') this.undoer.set(event.event, event.id);
  }

  has = (id: string): boolean => this.there.has(id);

  /** Whether an entry counts. */
  counts(id: string): boolean {
    let counts = true;
    for (let by = this.undoer.get(id); by !== undefined; by = this.undoer.get(by)) counts = !counts;
    return counts;
  }

  /**
   * Asks of an undo what it may take back: an entry before it that counts, and not the opening.
   *
   * @throws Refusal at the entry it names
   */
  demandUndo({ event }: Pick<Undone, 'event'>, at = ''): void {
    demand(this.has(event), 'there is no such entry before it to undo', `${at}/event`);
    demand(event !== this.first, 'a job cannot be un-opened: hand it over as it was', `${at}/event`);
    demand(this.counts(event), 'that entry is undone already', `${at}/event`);
  }
}
