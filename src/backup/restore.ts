import { existsSync } from 'node:fs';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { extract } from 'tar';
import { ulid } from 'ulid';
import { Refusal } from '../core/refusal';
import { nameFor } from './make';
import type { Manifest } from './manifest';
import { verifyBackup } from './verify';

/** What belongs to a workshop in its folder. */
const OURS = /^(mulch\.db.*|workshop\.json.*|photos)$/;

/** Whether a Mulch has the database open: then it cannot be put back to a plain file. */
async function isOpen(database: string): Promise<boolean> {
  const client = createClient({ url: pathToFileURL(database).href, timeout: 200 });
  try {
    await client.execute('PRAGMA journal_mode=DELETE');
    return false;
  } catch (error) {
    // A damaged one may be put aside.
    return String((error as { code?: unknown }).code).startsWith('SQLITE_BUSY');
  } finally {
    client.close();
  }
}

/** What was restored, and where that which stood there before lies now. */
export interface Restored {
  manifest: Manifest;
  aside: string | null;
}

/**
 * Puts a backup into the folder of the data. What stands there is put aside, never taken away.
 *
 * @param file the backup
 * @param data folder of the data
 * @param how `over`: whether a workshop that stands there may be replaced; `tables`: the last change of
 *   the tables that this Mulch knows; `now`: time that names what is put aside
 * @returns what is in it, and where the old one lies
 * @throws Refusal when the backup is damaged or of a later Mulch, when a workshop stands there, or a
 *   Mulch runs on it; nothing is changed then
 */
export async function restoreBackup(
  file: string,
  data: string,
  how: { over: boolean; tables: number; now: Date },
): Promise<Restored> {
  const { manifest, faults } = await verifyBackup(file);
  if (!manifest || faults.length > 0)
    throw new Refusal(`${file} cannot be restored: ${faults.join('; ')}. Nothing was changed`);
  if (manifest.tables > how.tables)
    throw new Refusal(`${file} was made by a later Mulch than this one. Nothing was changed`);
  const database = path.join(data, 'mulch.db');
  if (existsSync(database)) {
    if (!how.over)
      throw new Refusal(
        `a workshop stands in ${data} already. Nothing was changed. To put it aside and restore, add --over`,
      );
    if (await isOpen(database))
      throw new Refusal(`a Mulch runs on ${data}: stop it first. Nothing was changed`);
  }
  await mkdir(data, { recursive: true });
  const desk = path.join(data, `.mulch-${ulid()}`);
  await mkdir(desk);
  try {
    await extract({ file, cwd: desk, strict: true });
    const old = (await readdir(data)).filter((n) => OURS.test(n));
    const aside = old.length
      ? path.join(data, `aside-${nameFor(how.now).slice(6, -7)}-${ulid().slice(-4)}`)
      : null;
    if (aside) {
      await mkdir(aside);
      for (const name of old) await rename(path.join(data, name), path.join(aside, name));
    }
    for (const name of (await readdir(desk)).filter((n) => OURS.test(n)))
      await rename(path.join(desk, name), path.join(data, name));
    return { manifest, aside };
  } finally {
    await rm(desk, { recursive: true, force: true });
  }
}
