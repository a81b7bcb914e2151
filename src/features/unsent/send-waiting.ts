import type { JobEvent } from '../../core/job';
import { outbox } from '../job/outbox';
import { sendPictures } from '../photos/waiting';

const BATCH = 200;
/** No job has so many entries. */
const BEHIND_ALL = 1_000_000_000;

/** What waits of one job. */
export interface Waiting {
  job: string;
  events: JobEvent[];
  /** the server answered that it has no such job */
  unknown: boolean;
}

/**
 * Sends what waits in the outbox, job by job, in its order. What the server does not take stays: the
 * page of its job says why.
 *
 * @param except the job whose own page is open and sends by itself
 * @returns what still waits of the others
 */
export async function sendWaiting(except: string | null): Promise<Waiting[]> {
  const left: Waiting[] = [];
  // Each becomes an entry that waits.
  await sendPictures();
  for (const job of (await outbox.waiting()).keys()) {
    if (job === except) continue;
    const events = await outbox.of(job);
    let sent = 0;
    let unknown = false;
    for (; sent < events.length; ) {
      const batch = events.slice(sent, sent + BATCH);
      const res = await fetch(`/api/jobs/${job}/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        // Only that it is kept matters here: the answer may be short.
        body: JSON.stringify({ events: batch, after: BEHIND_ALL }),
      }).catch(() => null);
      unknown = res?.status === 404;
      if (!res?.ok) break;
      await outbox.drop(batch.map((e) => e.id));
      sent += batch.length;
    }
    if (sent < events.length) left.push({ job, events: events.slice(sent), unknown });
  }
  return left;
}
