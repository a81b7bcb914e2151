import { demand } from '../refusal';
import type { JobEvent } from './event';
import { Standing } from './standing';

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
  const standing = new Standing();
  for (const [i, e] of events.entries()) {
    demand(!standing.has(e.id), 'that entry is there twice', `/${i}/id`);
    demand(Number.isFinite(Date.parse(e.at)), 'the time is not an ISO date', `/${i}/at`);
    demand(i === 0 || e.type !== 'job.opened', 'a job is opened once', `/${i}/type`);
    if (e.type === 'undone') standing.demandUndo(e, `/${i}`);
    standing.add(e);
  }
}
