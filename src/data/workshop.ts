import { readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { type Client, LibsqlError } from '@libsql/client';
import { ulid } from 'ulid';
import { StoreFault } from './store-fault';

/** What is known of a workshop apart from its database, so that a database that lost something is noticed. */
interface Known {
  /** whose database it is */
  id: string;
  /** entries that were kept when this was written; there may be more by now, never fewer */
  entries: number;
  /** Mulch was stopped properly and nothing was written since */
  settled: boolean;
}

const KEY = 'workshop';
const WRITE_AFTER_MS = 500;
const fileIn = (folder: string) => path.join(folder, 'workshop.json');

/** What stands beside a database, or null. */
async function readKnown(folder: string): Promise<Known | null> {
  try {
    const { id, entries, settled } = JSON.parse(await readFile(fileIn(folder), 'utf8')) as Partial<Known>;
    return typeof id === 'string' && Number.isInteger(entries)
      ? { id, entries: entries as number, settled: settled === true }
      : null;
  } catch (error) {
    if (error instanceof SyntaxError || (error as NodeJS.ErrnoException).code === 'ENOENT') return null;
    throw error;
  }
}

async function writeKnown(folder: string, known: Known): Promise<void> {
  const half = `${fileIn(folder)}.${ulid()}.half`;
  try {
    await writeFile(half, JSON.stringify(known));
    await rename(half, fileIn(folder));
  } catch (error) {
    await rm(half, { force: true }).catch(() => {});
    throw error;
  }
}

const hasTable = async (client: Client, name: string) =>
  (
    await client.execute({
      sql: "select 1 from sqlite_master where type = 'table' and name = ?",
      args: [name],
    })
  ).rows.length > 0;

/** Entries are only ever added, so the last row number counts them. */
async function entriesIn(client: Client): Promise<number> {
  if (!(await hasTable(client, 'job_events'))) return 0;
  const { rows } = await client.execute('select coalesce(max(rowid), 0) as n from job_events');
  return Number(rows[0]?.n);
}

async function idIn(client: Client): Promise<string | null> {
  if (!(await hasTable(client, 'settings'))) return null;
  const { rows } = await client.execute({ sql: 'select value from settings where key = ?', args: [KEY] });
  return rows[0] ? String(JSON.parse(String(rows[0].value))) : null;
}

const HELP =
  'Put the files back as they were (mulch.db together with mulch.db-wal), or restore a backup: npm run restore -- FILE. To go on with what is there, take workshop.json away';

/** Refuses a database that lacks what was there. */
function compare(known: Known, id: string | null, entries: number): void {
  const lost = known.entries - entries;
  if (id === null && known.entries > 0)
    throw new StoreFault(
      'short',
      `the database is empty, and ${known.entries} entries were kept in it. ${HELP}`,
    );
  if (id !== null && id !== known.id)
    throw new StoreFault('short', `the database is that of another workshop. ${HELP}`);
  if (lost > 0)
    throw new StoreFault(
      'short',
      `the database lacks ${lost} of the ${known.entries} entries that were kept in it. ${HELP}`,
    );
}

/** The identity of a workshop and the count of its entries, kept beside its database. */
export class Workshop {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private writing: Promise<void> = Promise.resolve();
  private inode = 0n;
  private closed = false;

  private constructor(
    private readonly folder: string,
    private readonly client: Client,
    private readonly id: string,
  ) {}

  /**
   * Compares a database with what is known of it; before its tables are brought up to date, so that
   * an empty one is not taken for a new workshop.
   *
   * @throws StoreFault when it lacks something, is another's, or is damaged
   */
  static async check(folder: string, client: Client): Promise<void> {
    const known = await readKnown(folder);
    if (known) compare(known, await idIn(client), await entriesIn(client));
    // What was not put down properly is looked through once.
    if (known && !known.settled) {
      const { rows } = await client.execute('PRAGMA quick_check(1)');
      const said = String(rows[0]?.quick_check ?? 'ok');
      if (said !== 'ok') throw new LibsqlError(said, 'SQLITE_CORRUPT');
    }
  }

  /** Takes a database up whose tables are there: names it where it has no name yet. */
  static async open(folder: string, client: Client): Promise<Workshop> {
    let id = await idIn(client);
    if (!id) {
      await client.execute({
        sql: 'insert into settings (key, value) values (?, ?) on conflict do nothing',
        args: [KEY, JSON.stringify(ulid())],
      });
      id = (await idIn(client)) as string;
    }
    const workshop = new Workshop(folder, client, id);
    workshop.inode = (await stat(path.join(folder, 'mulch.db'), { bigint: true })).ino;
    await workshop.write(false);
    return workshop;
  }

  /** Whether the database that is open is still the one in the folder. */
  async isThere(): Promise<boolean> {
    const now = await stat(path.join(this.folder, 'mulch.db'), { bigint: true }).catch(() => null);
    return now?.ino === this.inode;
  }

  /** Something was kept: the count follows shortly. */
  moved(): void {
    if (this.timer || this.closed) return;
    this.timer = setTimeout(() => {
      this.timer = undefined;
      // The count may lag behind: what could not be written now is written next time.
      void this.write(false).catch(() => {});
    }, WRITE_AFTER_MS);
    this.timer.unref();
  }

  /** One after another, so that an earlier count never stands over a later one. */
  private write(settled: boolean): Promise<void> {
    const run = this.writing.then(async () =>
      writeKnown(this.folder, { id: this.id, entries: await entriesIn(this.client), settled }),
    );
    this.writing = run.catch(() => {});
    return run;
  }

  /** The last word: everything is put down. */
  async settle(): Promise<void> {
    this.close();
    await this.write(true);
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.timer);
  }
}
