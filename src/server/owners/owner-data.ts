import { strToU8, type Zippable, zipSync } from 'fflate';
import { fold, forgotten } from '../../core/job';
import { type JobFacts, shownOf } from '../../core/record';
import type { Database, Handle } from '../../data/database';
import { daysWith, putDay } from '../../data/days';
import { factsPage } from '../../data/facts';
import { eventsOf, jobsNaming, rewriteEvents, saveShown } from '../../data/jobs';
import { fileName } from '../answer';
import { bundleOf } from '../hand-over/bundle';
import type { PhotoStore } from '../photo-store';
import { removePhoto } from '../photos';
import { Problem } from '../problem';
import { jobsCsv } from '../record/record-csv';

async function jobsOfOwner(db: Handle, owner: string): Promise<JobFacts[]> {
  const jobs = await factsPage(db, { owner });
  if (jobs.length === 0)
    throw new Problem(404, 'No such owner', `no job here names “${owner}” as its owner`, '/owner');
  return jobs;
}

/**
 * Everything that is kept of an owner, as one zip: each job as its bundle, and a table of them.
 *
 * @throws Problem 404 where nobody is called so
 */
export async function ownersData(
  db: Database,
  store: PhotoStore,
  owner: string,
  now: Date,
): Promise<Uint8Array> {
  const jobs = await jobsOfOwner(db.read, owner);
  const files: Zippable = { 'jobs.csv': strToU8(jobsCsv(jobs)) };
  for (const { job } of jobs) {
    const { tag, bytes } = await bundleOf(db, store, job, now);
    // Packed already.
    files[`${fileName(tag)}.zip`] = [bytes, { level: 0 }];
  }
  return zipSync(files, { mtime: now });
}

/** What was taken out. */
export interface OwnerRemoved {
  jobs: string[];
  pictures: number;
}

/**
 * Takes an owner out of every job: names, marks, places, pictures, free words. What was measured, done and
 * fitted stays, and the figures with it. Backups made before still hold it.
 *
 * @throws Problem 404 where nobody is called so, 409 while a job of theirs is here
 */
export async function removeOwner(db: Database, store: PhotoStore, owner: string): Promise<OwnerRemoved> {
  const { jobs, files } = await db.write(async (tx) => {
    const all = await jobsOfOwner(tx, owner);
    const here = all.filter((f) => !f.handedOverAt);
    if (here.length)
      throw new Problem(
        409,
        'A job is here',
        `${here.map((f) => f.tag).join(', ')}: hand it over first, then ${owner} can be taken out`,
        '/owner',
      );
    const pictures = new Set<string>();
    for (const { job } of all) {
      const events = (await eventsOf(tx, job)).map((e) => {
        if (e.type === 'photo.added') pictures.add(e.file);
        return forgotten(e);
      });
      await rewriteEvents(tx, job, events);
      await saveShown(tx, shownOf(fold(events)));
    }
    const ids = all.map((f) => f.job);
    await forgetPlaces(tx, ids);
    const alone: string[] = [];
    // A picture that another job shows as well stays.
    for (const p of pictures) if ((await jobsNaming(tx, p, ids)).length === 0) alone.push(p);
    return { jobs: all, files: alone };
  });
  for (const f of files) await db.write((tx) => removePhoto(tx, store, f));
  return { jobs: jobs.map((f) => f.tag), pictures: files.length };
}

/** Where jobs were is taken out of the days they were in. */
async function forgetPlaces(tx: Handle, ids: string[]): Promise<void> {
  const theirs = new Set(ids);
  for (const { plan, version } of await daysWith(tx, ids)) {
    const jobs = plan.jobs.map((j) => {
      if (!theirs.has(j.job)) return j;
      const { place: _place, ...rest } = j;
      return rest;
    });
    await putDay(tx, { ...plan, jobs }, version + 1);
  }
}
