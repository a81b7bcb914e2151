import type { JobEvent } from '../../core/job';
import { openBox } from './outbox';

/** Jobs whose stories are kept at most, the last ones looked at. */
const MOST_JOBS = 60;

const all = (job: string) => IDBKeyRange.bound([job, 0], [job, Number.POSITIVE_INFINITY]);

/**
 * Stories of jobs as the server has them, kept in the browser: what a page shows when it is opened again
 * while the server cannot be reached.
 */
export const keptStory = {
  async of(job: string): Promise<JobEvent[]> {
    const rows = await (await openBox()).getAll('stories', all(job));
    return rows.map((r) => r.event);
  },
  /** Keeps the entries of a job from a place on; a story that was longer is cut there. */
  async keep(job: string, from: number, events: JobEvent[]): Promise<void> {
    const tx = (await openBox()).transaction(['stories', 'seen'], 'readwrite');
    const stories = tx.objectStore('stories');
    void stories.delete(IDBKeyRange.bound([job, from], [job, Number.POSITIVE_INFINITY]));
    events.forEach((event, i) => void stories.put({ job, seq: from + i, event }));
    await tx.objectStore('seen').put({ job, at: Date.now() });
    const seen = await tx.objectStore('seen').getAll();
    for (const old of seen.sort((a, b) => b.at - a.at).slice(MOST_JOBS)) {
      void tx.objectStore('seen').delete(old.job);
      void stories.delete(all(old.job));
    }
    await tx.done;
  },
  /** How many entries of a job are kept, and the id of the last one. */
  async end(job: string): Promise<{ count: number; last: string | undefined }> {
    const tx = (await openBox()).transaction('stories');
    const cursor = await tx.store.openCursor(all(job), 'prev');
    return { count: cursor ? cursor.value.seq + 1 : 0, last: cursor?.value.event.id };
  },
  /** Nothing is kept any more, for whoever is signed out. */
  async forget(): Promise<void> {
    const box = await openBox();
    await Promise.all([box.clear('stories'), box.clear('seen')]);
  },
};
