import { isDeepStrictEqual } from 'node:util';
import { fold, type JobEvent } from '../core/job';
import { Refusal } from '../core/refusal';
import type { Database, Handle } from '../data/database';
import { appendEvents, eventsById, eventsOf, insertJob, saveShown } from '../data/jobs';
import type { JobFile } from '../schemas/job-file';
import type { PhotoStore } from './photo-store';
import { checkPhotos } from './photos';
import { Problem, refused } from './problem';
import { readJob } from './read-job';
import { beside } from './threads/beside';

/** A whole job as a file. */
export async function exportJob(db: Database, store: PhotoStore, job: string, now: Date): Promise<JobFile> {
  const { events } = await readJob(db, job);
  const photos: NonNullable<JobFile['photos']> = [];
  const { state } = fold(events);
  // Pictures of the job, and those that stand in the place of a drawn face.
  const files = [
    ...state.photos.map((p) => p.file),
    ...(state.whole.faces ?? []).flatMap((f) => f.photo ?? []),
  ];
  for (const file of new Set(files)) {
    const bytes = await store.get(file);
    if (bytes) photos.push({ file, data: Buffer.from(bytes).toString('base64') });
  }
  return {
    format: 'mulch job',
    version: 1,
    exportedAt: now.toISOString(),
    job,
    events,
    ...(photos.length ? { photos } : {}),
  };
}

/**
 * What of a job file is not here yet.
 *
 * @throws Problem 409 when the stories part, or an entry belongs to another job
 */
async function freshOf(db: Handle, { job, events }: JobFile): Promise<{ here: number; fresh: JobEvent[] }> {
  const here = await eventsOf(db, job);
  const apart = here.findIndex((e, i) => events[i] !== undefined && !isDeepStrictEqual(e, events[i]));
  if (apart >= 0) {
    throw new Problem(
      409,
      'Stories part',
      `this job is here already and goes another way from entry ${apart + 1} on`,
      `/events/${apart}`,
    );
  }
  const fresh = events.slice(here.length);
  const taken = await eventsById(
    db,
    fresh.map((e) => e.id),
  );
  if (taken[0]) {
    const at = events.findIndex((e) => e.id === taken[0]?.body.id);
    throw new Problem(409, 'Id in use', 'this entry belongs to another job here', `/events/${at}/id`);
  }
  return { here: here.length, fresh };
}

/**
 * Reads a job file. A job that is here already is brought up to date when the file goes on where it
 * stops; a file that tells another story is refused. Nothing is kept unless everything holds.
 *
 * @throws Problem 422 with the path of the event that breaks a rule, 409 when the stories part
 */
export async function importJob(
  db: Database,
  store: PhotoStore,
  file: JobFile,
): Promise<{ id: string; tag: string; added: number }> {
  const { events, job } = file;
  const shown = await beside('judgeStory')({ events }).catch((error) => {
    throw error instanceof Refusal ? refused(error) : error;
  });
  const { summary } = shown;
  if (summary.id !== job)
    throw new Problem(422, 'Refused', 'the file and its first event name different jobs', '/job');
  const keepPhotos = await checkPhotos(
    db,
    store,
    (file.photos ?? []).map((p) => ({ file: p.file, data: Buffer.from(p.data, 'base64') })),
    new Date(),
  );
  // What is refused leaves nothing behind: pictures are kept once the story is known to be taken.
  await freshOf(db.read, file);
  await keepPhotos();
  return db.write(async (tx) => {
    const { here, fresh } = await freshOf(tx, file);
    if (here === 0) await insertJob(tx, shown, events);
    else if (fresh.length) {
      await appendEvents(tx, job, here, fresh);
      await saveShown(tx, shown);
    }
    return { id: job, tag: summary.tag, added: fresh.length };
  });
}
