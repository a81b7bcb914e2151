import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { JobEvent } from '../../core/job';

interface Box extends DBSchema {
  unsent: { key: string; value: { job: string; order: number; event: JobEvent }; indexes: { job: string } };
}

let box: Promise<IDBPDatabase<Box>> | undefined;

const open = () => {
  box ??= openDB<Box>('mulch', 1, {
    upgrade(db) {
      db.createObjectStore('unsent').createIndex('job', 'job');
    },
  });
  return box;
};

/** Events recorded here that the server has not acknowledged yet. They outlive the page. */
export const outbox = {
  async of(job: string): Promise<JobEvent[]> {
    const rows = await (await open()).getAllFromIndex('unsent', 'job', job);
    return rows.sort((a, b) => a.order - b.order).map((r) => r.event);
  },
  async put(job: string, event: JobEvent, order: number): Promise<void> {
    await (await open()).put('unsent', { job, order, event }, event.id);
  },
  async drop(ids: string[]): Promise<void> {
    const tx = (await open()).transaction('unsent', 'readwrite');
    await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
  },
};
