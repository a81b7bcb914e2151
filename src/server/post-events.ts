import { isDeepStrictEqual } from 'node:util';
import { type JobEvent, type JobRecord, judge } from '../core/job';
import { type Shown, shownOf } from '../core/record';
import { Refusal } from '../core/refusal';
import type { Database } from '../data/database';
import { appendEvents, eventsById, saveShown } from '../data/jobs';
import { tellMoved } from './live/hub';
import { Problem, refused } from './problem';
import { recordsOf } from './records';
import { followJobInStore } from './stock/by-job';

export interface Posted {
  /** how many events the job has now */
  seq: number;
  /** events after the place the sender knew, its own among them */
  events: JobEvent[];
}

/** What stands beside a record in the database, where this process wrote it there. */
const saved = new WeakMap<JobRecord, Shown>();

/**
 * Judges a batch of events and keeps it, whole or not at all. Events already kept are passed over,
 * so that sending twice does nothing.
 *
 * @param by who sends them, where somebody is signed in: it stands on every entry, whatever the page said
 * @throws Problem 404 for an unknown job, 409 for an id used for something else, 422 naming the event a rule refuses
 */
export async function postEvents(
  db: Database,
  job: string,
  sent: JobEvent[],
  after: number,
  by?: string,
): Promise<Posted> {
  const events = by === undefined ? sent : sent.map((e) => ({ ...e, by }));
  const records = recordsOf(db);
  const { record, shown } = await db.write(async (tx) => {
    const stored = await records.of(tx, job);
    if (!stored) throw new Problem(404, 'No such job', `there is no job ${job} on this Mulch`);
    const ids = events.map((e) => e.id);
    const kept = new Map((await eventsById(tx, ids)).map((r) => [r.body.id, r]));
    let now = stored;
    const fresh: JobEvent[] = [];
    for (const event of events) {
      const before =
        kept.get(event.id) ?? fresh.filter((f) => f.id === event.id).map((body) => ({ job, body }))[0];
      if (before) {
        // Whoever sends it again, it is the same entry.
        const again = by === undefined ? event : { ...event, by: before.body.by };
        if (before.job === job && isDeepStrictEqual(before.body, again)) continue;
        throw new Problem(
          409,
          'Id in use',
          `event ${event.id} is kept already with other contents`,
          '/id',
          event.id,
        );
      }
      try {
        now = judge(now, event);
      } catch (error) {
        if (error instanceof Refusal) throw refused(error, error.path, event.id);
        throw error;
      }
      fresh.push(event);
    }
    if (fresh.length) {
      const was = saved.get(stored);
      const is = shownOf(now);
      await appendEvents(tx, job, stored.events.length, fresh);
      if (!isDeepStrictEqual(is, was)) await saveShown(tx, is);
      await followJobInStore(tx, now.state, now.events, fresh);
      return { record: now, shown: is };
    }
    return { record: now, shown: null };
  });
  // Only what is kept for good is remembered.
  records.keep(job, record);
  if (shown) saved.set(record, shown);
  tellMoved(job, record.events.length);
  return { seq: record.events.length, events: record.events.slice(after) };
}
