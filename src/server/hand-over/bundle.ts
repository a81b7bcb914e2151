import { createHash } from 'node:crypto';
import { strFromU8, strToU8, unzip, type Zippable, zipSync } from 'fflate';
import { fold } from '../../core/job';
import type { Database } from '../../data/database';
import { type JobFile, JobFileSchema } from '../../schemas/job-file';
import { checkJson } from '../body';
import { guardOf } from '../guard';
import { exportJob, importJob } from '../job-file';
import type { PhotoStore } from '../photo-store';
import { Problem } from '../problem';
import { tagOf } from '../read-job';
import { readingsCsv } from './readings';
import { READERS, reportPdf } from './reports';

/** How large a bundle may be, packed and unpacked. */
export const BUNDLE_MEGABYTES = 80;
const MOST_UNPACKED = 300 * 1024 * 1024;
const MOST_FILES = 2000;
const LIST = 'SHA256SUMS';
const JOB = 'job.mulch.json';

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
const wrong = (reason: string) => new Problem(422, 'Not a bundle', reason, '/bundle');

/**
 * A job as one zip: the job file, its pictures, both reports, its readings, and the checksums of them all
 * in the form that `sha256sum -c` reads.
 */
export async function bundleOf(
  db: Database,
  store: PhotoStore,
  job: string,
  now: Date,
): Promise<{ tag: string; bytes: Uint8Array }> {
  const { photos = [], ...file } = await exportJob(db, store, job, now);
  const files: Record<string, Uint8Array> = { [JOB]: strToU8(JSON.stringify(file)) };
  for (const p of photos) files[`pictures/${p.file}.webp`] = Buffer.from(p.data, 'base64');
  for (const reader of READERS)
    files[`report-${reader}.pdf`] = await reportPdf(db.read, store, file.events, reader);
  files['readings.csv'] = strToU8(readingsCsv(fold(file.events).state));
  const list = Object.entries(files).map(([name, bytes]) => `${sha256(bytes)}  ${name}\n`);
  const packed: Zippable = { ...files, [LIST]: strToU8(list.join('')) };
  return { tag: tagOf(file.events), bytes: zipSync(packed, { level: 6, mtime: now }) };
}

/** Unpacks a zip, no more of it than a bundle may have. */
function unpacked(bytes: Uint8Array): Promise<Record<string, Uint8Array>> {
  let size = 0;
  let files = 0;
  let tooMuch = false;
  return new Promise((done, fail) => {
    unzip(
      bytes,
      {
        filter(f) {
          size += f.originalSize;
          files++;
          tooMuch ||= size > MOST_UNPACKED || files > MOST_FILES;
          return !tooMuch;
        },
      },
      (error, all) => {
        if (error) return fail(wrong('it cannot be unpacked: it is broken off, or no zip'));
        if (tooMuch) return fail(wrong('there is more in it than a bundle may hold'));
        done(all);
      },
    );
  });
}

/** Every file against the list, and every line of the list against the files. */
function checked(files: Record<string, Uint8Array>): void {
  const list = files[LIST];
  if (!list) throw wrong(`there is no ${LIST} in it: nothing says what it held when it was packed`);
  const said = new Map<string, string>();
  for (const line of strFromU8(list).split('\n').filter(Boolean)) {
    const m = /^([0-9a-f]{64}) [ *](.+)$/.exec(line);
    if (!m?.[1] || !m[2]) throw wrong(`${LIST}: “${line.slice(0, 80)}” is no checksum`);
    said.set(m[2], m[1]);
  }
  for (const [name, sum] of said) {
    const bytes = files[name];
    if (!bytes) throw wrong(`${name} stands in ${LIST} and is not there`);
    if (sha256(bytes) !== sum) throw wrong(`${name} is not what it was when it was packed`);
  }
  for (const name of Object.keys(files))
    if (name !== LIST && !name.endsWith('/') && !said.has(name))
      throw wrong(`${name} does not stand in ${LIST}`);
}

/**
 * Reads a bundle, its pictures and its whole story. Nothing is kept unless all of it holds.
 *
 * @throws Problem 422 naming the file that is wrong, or what {@link importJob} throws
 */
export async function importBundle(
  db: Database,
  store: PhotoStore,
  bytes: Uint8Array,
): Promise<{ id: string; tag: string; added: number }> {
  const files = await unpacked(bytes);
  checked(files);
  const job = files[JOB];
  if (!job) throw wrong(`there is no ${JOB} in it`);
  const photos = Object.entries(files).flatMap(([name, data]) => {
    const file = /^pictures\/([0-9a-f]{64})\.webp$/.exec(name)?.[1];
    return file ? [{ file, data: Buffer.from(data).toString('base64') }] : [];
  });
  const file = checkJson(strFromU8(job), guardOf(JobFileSchema)) as JobFile;
  return importJob(db, store, { ...file, ...(photos.length ? { photos } : {}) });
}
