import { readdir, rm, stat } from 'node:fs/promises';
import path from 'node:path';

/** A backup that is there. */
export interface Backup {
  name: string;
  bytes: number;
  /** when it was made */
  at: string;
}

const OURS = /^mulch-\d{4}-\d{2}-\d{2}-\d{6}\.tar\.gz$/;
const HOUR = 3_600_000;
/** Bench time ends before this hour and begins after it. */
const NIGHT_HOUR = 2;

/** The backups in a folder, the latest first; none where there is no folder. */
export async function backupsIn(folder: string): Promise<Backup[]> {
  const names = await readdir(folder).catch(() => [] as string[]);
  const list = await Promise.all(
    names
      .filter((n) => OURS.test(n))
      .map(async (name): Promise<Backup[]> => {
        // One that is taken away just now is not there.
        const found = await stat(path.join(folder, name)).catch(() => null);
        return found ? [{ name, bytes: found.size, at: found.mtime.toISOString() }] : [];
      }),
  );
  return list.flat().sort((a, b) => b.name.localeCompare(a.name));
}

/**
 * Whether a backup is due: none since the last night, and it is night, or none for more than a day.
 *
 * @param last time of the last one, or null
 * @param now the present
 */
export function isDue(last: string | null, now: Date): boolean {
  if (!last) return true;
  const age = now.getTime() - Date.parse(last);
  if (age >= 24 * HOUR) return true;
  return now.getHours() === NIGHT_HOUR && age >= 12 * HOUR;
}

/** Takes away what goes beyond so many backups, the oldest first. Those with another name stay. */
export async function keepSoMany(folder: string, most: number): Promise<void> {
  for (const { name } of (await backupsIn(folder)).slice(most)) await rm(path.join(folder, name));
}
