import { existsSync, statSync } from 'node:fs';
import { mkdir, open, rename, rm, stat, symlink, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { create } from 'tar';
import { ulid } from 'ulid';
import { Refusal } from '../core/refusal';
import { MANIFEST, type Manifest, summed, sumOf } from './manifest';

/** As told to a person: which file, and what is in it. */
export interface Made {
  file: string;
  bytes: number;
  manifest: Manifest;
}

const two = (n: number) => String(n).padStart(2, '0');

/** The file name of a backup made now. */
export const nameFor = (now: Date): string =>
  `mulch-${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}-${two(now.getHours())}${two(now.getMinutes())}${two(now.getSeconds())}.tar.gz`;

/** A consistent copy of the database beside it, and what is counted in it. */
async function copyDatabase(from: string, to: string) {
  const client = createClient({ url: pathToFileURL(from).href, timeout: 10_000 });
  try {
    await client.execute({ sql: 'VACUUM INTO ?', args: [to] });
  } finally {
    client.close();
  }
  const copy = createClient({ url: pathToFileURL(to).href });
  try {
    const figure = async (sql: string) => Number((await copy.execute(sql)).rows[0]?.n ?? 0);
    return {
      tables: await figure('select max(created_at) as n from __drizzle_migrations'),
      // Simulated units are kept as well, and are no jobs.
      jobs: await figure("select count(*) as n from jobs where json_extract(summary, '$.practice') is null"),
      entries: await figure('select count(*) as n from job_events'),
      photos: (await copy.execute('select id from photos order by id')).rows.map((r) => String(r.id)),
    };
  } finally {
    copy.close();
  }
}

/**
 * Makes a backup while Mulch runs: one file with a consistent copy of the database, every picture it
 * names, and a sum of each.
 *
 * @param data folder of the data
 * @param to a folder, or the file to be written
 * @param now time of the backup
 * @returns where it is and what is in it
 * @throws Refusal when there is no database, or the file is there already
 */
export async function makeBackup(data: string, to: string, now: Date): Promise<Made> {
  const database = path.join(data, 'mulch.db');
  if (!existsSync(database))
    throw new Refusal(
      `there is no Mulch in ${data}: no mulch.db. MULCH_DATA names its folder; that of the demo is data/demo`,
    );
  const inFolder = to.endsWith(path.sep) || (existsSync(to) && statSync(to).isDirectory());
  const file = path.resolve(inFolder ? path.join(to, nameFor(now)) : to);
  if (existsSync(file)) throw new Refusal(`${file} is there already: name another file`);
  await mkdir(path.dirname(file), { recursive: true });
  const desk = path.join(path.dirname(file), `.mulch-${ulid()}`);
  await mkdir(desk);
  const half = path.join(desk, 'half');
  try {
    const { photos, ...counted } = await copyDatabase(database, path.join(desk, 'mulch.db'));
    await symlink(path.resolve(data, 'photos'), path.join(desk, 'photos'), 'junction');
    const wanted = photos.flatMap((id) => [id, `${id}.small`].map((n) => `photos/${id.slice(0, 2)}/${n}`));
    const there = wanted.filter((p) => existsSync(path.join(desk, p)));
    const files: Manifest['files'] = [];
    for (const p of ['mulch.db', ...there]) {
      const at = path.join(desk, p);
      files.push({ path: p, bytes: (await stat(at)).size, sha256: await sumOf(at) });
    }
    const missing = photos.filter((id) => !there.includes(`photos/${id.slice(0, 2)}/${id}`));
    const manifest = summed({
      format: 'mulch backup',
      version: 1,
      madeAt: now.toISOString(),
      ...counted,
      missing,
      files,
    });
    await writeFile(path.join(desk, MANIFEST), JSON.stringify(manifest));
    await create({ cwd: desk, file: half, gzip: { level: 1 }, portable: true, follow: true, strict: true }, [
      MANIFEST,
      ...files.map((f) => f.path),
    ]);
    const written = await open(half, 'r+');
    await written.sync();
    await written.close();
    await rename(half, file);
    return { file, bytes: (await stat(file)).size, manifest };
  } finally {
    await rm(desk, { recursive: true, force: true });
  }
}
