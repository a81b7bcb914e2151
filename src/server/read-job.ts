import type { JobEvent } from '../core/job';
import type { Database } from '../data/database';
import { countOf, eventsOf } from '../data/jobs';
import { Problem } from './problem';

/** Events of a job from a place on, and how many there are. */
export async function readJob(
  db: Database,
  job: string,
  after = 0,
): Promise<{ events: JobEvent[]; seq: number }> {
  const events = await eventsOf(db.read, job, after);
  const seq = events.length > 0 ? after + events.length : await countOf(db.read, job);
  if (seq === 0) throw new Problem(404, 'No such job', `there is no job ${job} on this Mulch`);
  return { events, seq };
}

/** What a job is called, from its opening. */
export function tagOf(events: JobEvent[]): string {
  const [opened] = events;
  return opened?.type === 'job.opened' ? opened.tag : 'job';
}
