import { existsSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { type Client, createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { isRecordOld, rebuildFacts } from './facts';
import { isIndexEmpty, reindex } from './search';
import { keeping, storeFault } from './store-fault';
import * as tables from './tables';
import { refuseNewer } from './versions';
import { Workshop } from './workshop';

type Db = LibSQLDatabase<typeof tables>;
/** The database or an open transaction of it: repositories take either. */
export type Handle = Pick<Db, 'select' | 'insert' | 'update' | 'delete'>;

export interface Database {
  read: Handle;
  /**
   * Runs one transaction. All writes of the process queue here: SQLite has one writer, and waiting
   * for its lock inside the process would stop the event loop. Never call it from within itself.
   */
  write<T>(work: (tx: Handle) => Promise<T>): Promise<T>;
  close(): void;
  /** lets what is under way end, brings everything into the one file, and closes it */
  settle(): Promise<void>;
}

export interface Where {
  /** folder of the embedded database */
  folder: string;
  /** address of a libSQL server instead of the folder */
  url?: string | undefined;
  token?: string | undefined;
  /** folder of the migrations */
  migrations: string;
}

/** Waiting for a lock inside a call stops the event loop, so it is short, and tried again between calls. */
const LOCK_MS = 100;
const TRIES = 60;

/** Whether another process holds the database just now. */
function isLocked(error: unknown): boolean {
  const { code, cause } = (error ?? {}) as { code?: unknown; cause?: unknown };
  return String(code ?? '').startsWith('SQLITE_BUSY') || (cause !== undefined && isLocked(cause));
}

/**
 * Does some work again while another process holds the database, a little later each time. The
 * connection that was turned away is given up: the statement that failed in it still looks at the
 * database as it was then, and from there no writing can begin.
 */
async function patiently<T>(client: Client, work: () => Promise<T>): Promise<T> {
  for (let n = 1; ; n++) {
    try {
      return await work();
    } catch (error) {
      if (n === TRIES || !isLocked(error)) throw error;
      await client.reconnect();
      await new Promise((done) => setTimeout(done, Math.random() * 10 * Math.min(n, 20)));
    }
  }
}

/**
 * Opens the database, brings its tables up to date and switches write-ahead logging on.
 *
 * @throws StoreFault when the folder cannot be written, the server cannot be reached, or the database is
 *   damaged, later than this Mulch, or lacks what was kept in it
 */
export const openDatabase = (where: Where): Promise<Database> => keeping(() => open(where));

async function open(where: Where): Promise<Database> {
  const embedded = !where.url;
  if (embedded) mkdirSync(where.folder, { recursive: true });
  const client = connectTo(where);
  try {
    if (embedded) await patiently(client, () => client.execute('PRAGMA journal_mode=WAL'));
    await patiently(client, () => refuseNewer(client, where.migrations));
    if (embedded) await patiently(client, () => Workshop.check(where.folder, client));
    const db = drizzle(client, { schema: tables });
    await patiently(client, () => migrate(db, { migrationsFolder: where.migrations }));
    const workshop = embedded ? await patiently(client, () => Workshop.open(where.folder, client)) : null;
    // Writing has a connection of its own, which may be given up while others read.
    const database = served(client, db, workshop, connectTo(where));
    // What was kept before there was an index is found too.
    if (await isIndexEmpty(database.read)) await database.write(reindex);
    if (await isRecordOld(database.read)) await database.write(rebuildFacts);
    return database;
  } catch (error) {
    client.close();
    throw error;
  }
}

/**
 * Reads what is kept beside the process that writes it: no table is brought up to date, and nothing is held.
 *
 * @throws StoreFault when it cannot be read
 */
export const reading = <T>(where: Where, work: (db: Handle) => Promise<T>): Promise<T> =>
  keeping(async () => {
    // To open what is not there would make it.
    if (!where.url && !existsSync(fileOf(where))) throw storeFault('gone');
    const client = connectTo(where);
    try {
      return await patiently(client, () => work(drizzle(client, { schema: tables })));
    } finally {
      client.close();
    }
  });

const fileOf = ({ folder }: Where): string => path.join(folder, 'mulch.db');

/** A connection: to the embedded database of a folder, or to a server. */
const connectTo = (where: Where): Client =>
  createClient({
    url: where.url ?? pathToFileURL(fileOf(where)).href,
    ...(where.token ? { authToken: where.token } : {}),
    ...(where.url ? {} : { timeout: LOCK_MS }),
  });

function served(client: Client, db: Db, workshop: Workshop | null, writer: Client): Database {
  const into = drizzle(writer, { schema: tables });
  let last: Promise<unknown> = Promise.resolve();
  const write = async <T>(work: (tx: Handle) => Promise<T>): Promise<T> => {
    const done = await patiently(writer, () => into.transaction((tx) => work(tx)));
    // A file that was taken away is written to without an error, and nobody finds it again.
    if (workshop && !(await workshop.isThere())) throw storeFault('gone');
    workshop?.moved();
    return done;
  };
  return {
    read: db,
    write(work) {
      const run = last.then(() => keeping(() => write(work)));
      last = run.catch(() => {});
      return run;
    },
    close() {
      workshop?.close();
      writer.close();
      client.close();
    },
    async settle() {
      await last;
      writer.close();
      // A copy of the one file is then the whole workshop.
      if (workshop) {
        await patiently(client, () => client.execute('PRAGMA wal_checkpoint(TRUNCATE)'));
        await patiently(client, () => workshop.settle());
      }
      client.close();
    },
  };
}
