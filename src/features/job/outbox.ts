import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { JobEvent } from '../../core/job';
import type { WaitingPicture } from '../photos/waiting';

interface Box extends DBSchema {
  unsent: {
    key: string;
    value: { job: string; order: number; event: JobEvent };
    indexes: { job: string; order: number };
  };
  /** entries of jobs as the server has them, for when it cannot be reached */
  stories: { key: [job: string, seq: number]; value: { job: string; seq: number; event: JobEvent } };
  /** when each job was last looked at here */
  seen: { key: string; value: { job: string; at: number } };
  /** pictures that no server has yet */
  pictures: { key: string; value: WaitingPicture; indexes: { job: string } };
}

let box: Promise<IDBPDatabase<Box>> | undefined;

/** The database of this browser: what waits, and what is kept. */
export const openBox = () => {
  box ??= openDB<Box>('mulch', 3, {
    upgrade(db, from, _to, tx) {
      if (from < 1) db.createObjectStore('unsent').createIndex('job', 'job');
      if (from < 2) tx.objectStore('unsent').createIndex('order', 'order');
      if (from < 3) {
        db.createObjectStore('stories', { keyPath: ['job', 'seq'] });
        db.createObjectStore('seen', { keyPath: 'job' });
        db.createObjectStore('pictures', { keyPath: 'id' }).createIndex('job', 'job');
      }
    },
    // A later page opens the box anew: an earlier one must not hold it.
    blocking: (_now, _then, event) => (event.target as IDBDatabase).close(),
  }).catch((error) => {
    box = undefined;
    throw error;
  });
  return box;
};

/** Events recorded here that the server has not acknowledged yet. They outlive the page. */
export const outbox = {
  async of(job: string): Promise<JobEvent[]> {
    const rows = await (await openBox()).getAllFromIndex('unsent', 'job', job);
    return rows.sort((a, b) => a.order - b.order).map((r) => r.event);
  },
  /** How many wait, of each job. */
  async waiting(): Promise<Map<string, number>> {
    const count = new Map<string, number>();
    for (const { job } of await (await openBox()).getAll('unsent')) count.set(job, (count.get(job) ?? 0) + 1);
    return count;
  },
  /** Puts an event behind all that wait: by number, since a clock may be set back. */
  async put(job: string, event: JobEvent): Promise<void> {
    const tx = (await openBox()).transaction('unsent', 'readwrite');
    const last = await tx.store.index('order').openCursor(null, 'prev');
    const order = Math.floor(last?.value.order ?? 0) + 1;
    await Promise.all([tx.store.put({ job, order, event }, event.id), tx.done]);
  },
  async drop(ids: string[]): Promise<void> {
    const tx = (await openBox()).transaction('unsent', 'readwrite');
    await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
  },
};
