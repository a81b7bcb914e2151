import path from 'node:path';
import { type Backup, backupsIn, isDue, keepSoMany } from '../backup';
import { log } from './log';
import { Problem } from './problem';
import { beside } from './threads/beside';

const LOOK_EVERY_MS = 10 * 60_000;
/** Not while Mulch starts. */
const FIRST_LOOK_MS = 60_000;
const MOST = 14;

const data = () => process.env.MULCH_DATA ?? './data';

/** Folder of the backups made by Mulch itself; null where they are switched off, or the data lies elsewhere. */
function folder(): string | null {
  if (process.env.MULCH_DATABASE_URL || process.env.MULCH_BACKUPS === 'no') return null;
  return process.env.MULCH_BACKUPS || path.join(data(), 'backups');
}

/** What is told of the backups that Mulch makes. */
export interface Backups {
  /** it makes one each night */
  on: boolean;
  /** the latest first */
  backups: Backup[];
}

/** The backups made by Mulch itself. */
export async function listBackups(): Promise<Backups> {
  const at = folder();
  return { on: at !== null, backups: at ? await backupsIn(at) : [] };
}

/**
 * Makes a backup into the folder of the backups, and takes the oldest away.
 *
 * @throws Problem 409 where Mulch makes none
 */
export async function backUp(now: Date): Promise<Backup> {
  const at = folder();
  if (!at) throw new Problem(409, 'No backups here', 'this Mulch makes no backups of its own');
  const { file } = await beside('backup')({ data: data(), to: at + path.sep, now });
  const most = Number(process.env.MULCH_BACKUPS_KEPT ?? MOST);
  await keepSoMany(at, Number.isInteger(most) && most > 0 ? most : MOST);
  const made = (await backupsIn(at)).find((b) => b.name === path.basename(file));
  if (!made) throw new Error('a backup was made and is not there');
  return made;
}

let looking: ReturnType<typeof setInterval> | undefined;

/** Makes a backup each night while Mulch runs; what fails is said in the log, and shown by its age. */
export function backUpNightly(): void {
  if (looking || !folder()) return;
  const look = async () => {
    try {
      const [last] = (await listBackups()).backups;
      if (isDue(last?.at ?? null, new Date())) {
        const { name } = await backUp(new Date());
        log.info({ name }, 'backed up');
      }
    } catch (error) {
      log.error({ err: error }, 'the backup was not made');
    }
  };
  looking = setInterval(look, LOOK_EVERY_MS);
  looking.unref();
  setTimeout(look, FIRST_LOOK_MS).unref();
}
