import { demand } from '../refusal';
import type { JobEvent } from './event';

/**
 * Judges what a whole story says of itself, beyond what each entry does to the job: an entry that is taken
 * back stands before, counts, and is not the opening. Entries made one by one are judged so as they come;
 * a story that comes as a file is judged by this.
 *
 * @param events in their order
 * @throws Refusal with the path of the entry
 * @example demandWhole([opened, note, { type: 'undone', event: note.id, ... }]) // passes
 */
export function demandWhole(events: JobEvent[]): void {
  const there = new Set<string>();
  /** which entry took this one back last; at most one that counts, since only what counts is taken back */
  const undoer = new Map<string, string>();
  const counts = (id: string): boolean => {
    let alive = true;
    for (let by = undoer.get(id); by !== undefined; by = undoer.get(by)) alive = !alive;
    return alive;
  };
  for (const [i, e] of events.entries()) {
    demand(!there.has(e.id), 'that entry is there twice', `/${i}/id`);
    demand(Number.isFinite(Date.parse(e.at)), 'the time is not an ISO date', `/${i}/at`);
    demand(i === 0 || e.type !== 'job.opened', 'a job is opened once', `/${i}/type`);
    if (e.type === 'undone') {
      demand(there.has(e.event), 'there is no such entry before it to undo', `/${i}/event`);
      demand(counts(e.event), 'that entry is undone already', `/${i}/event`);
      demand(e.event !== events[0]?.id, 'a job cannot be un-opened', `/${i}/event`);
      undoer.set(e.event, e.id);
    }
    there.add(e.id);
  }
}
