import { ulid } from 'ulid';
import type { JobEvent } from '../../core/job';
import { openBox, outbox } from '../job/outbox';
import { sendPhoto } from './send-photo';

/** A picture that the server has not got yet, with the entry it will be. */
export interface WaitingPicture {
  /** of the entry, and of the picture while it waits */
  id: string;
  job: string;
  at: string;
  by: string;
  caption: string;
  of?: string;
  picture: Blob;
}

/** Told on a page when something of a job has come to wait, or waits no more. */
export const WAITS = 'mulch-waits';
export interface WaitsDetail {
  job: string;
  /** why a picture will never be kept */
  refused?: { id: string; reason: string };
}
const tell = (detail: WaitsDetail) => window.dispatchEvent(new CustomEvent(WAITS, { detail }));

/** Lets a picture wait. @throws where the browser keeps nothing, or has no room left */
export async function letWait(picture: Omit<WaitingPicture, 'id' | 'at'>): Promise<void> {
  const at = new Date().toISOString();
  await (await openBox()).put('pictures', { ...picture, id: ulid(), at });
  tell({ job: picture.job });
}

/** How many pictures of a job wait. */
export const picturesWaiting = async (job: string): Promise<number> =>
  (await openBox()).countFromIndex('pictures', 'job', job);

/**
 * Sends the pictures that wait, in the order in which they were taken; each becomes an entry of its job
 * that waits its turn.
 *
 * @returns how many wait still
 */
export async function sendPictures(): Promise<number> {
  const box = await openBox();
  const all = (await box.getAll('pictures')).sort((a, b) => (a.id < b.id ? -1 : 1));
  for (const [i, { id, job, at, by, caption, of, picture }] of all.entries()) {
    const sent = await sendPhoto(picture);
    if (!sent.ok && sent.away) return all.length - i;
    if (sent.ok) {
      const event = { id, at, by, type: 'photo.added', ...sent.data, caption, ...(of ? { of } : {}) };
      await outbox.put(job, event as JobEvent);
    }
    await box.delete('pictures', id);
    tell({ job, ...(sent.ok ? {} : { refused: { id, reason: sent.failure.reason } }) });
  }
  return 0;
}
