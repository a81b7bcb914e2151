import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import * as tables from './tables';

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

/** Does some work again while another process holds the database, a little later each time. */
async function patiently<T>(work: () => Promise<T>): Promise<T> {
  for (let n = 1; ; n++) {
    try {
      return await work();
    } catch (error) {
      if (n === TRIES || !isLocked(error)) throw error;
      await new Promise((done) => setTimeout(done, Math.random() * 10 * Math.min(n, 20)));
    }
  }
}

/**
 * Opens the database, brings its tables up to date and switches write-ahead logging on.
 *
 * @throws when the folder cannot be written or the server cannot be reached
 */
export async function openDatabase(where: Where): Promise<Database> {
  const embedded = !where.url;
  if (embedded) mkdirSync(where.folder, { recursive: true });
  const url = where.url ?? pathToFileURL(path.join(where.folder, 'mulch.db')).href;
  const client = createClient({
    url,
    ...(where.token ? { authToken: where.token } : {}),
    ...(embedded ? { timeout: LOCK_MS } : {}),
  });
  if (embedded) await patiently(() => client.execute('PRAGMA journal_mode=WAL'));
  const db = drizzle(client, { schema: tables });
  await patiently(() => migrate(db, { migrationsFolder: where.migrations }));

  let last: Promise<unknown> = Promise.resolve();
  return {
    read: db,
    write(work) {
      const run = last.then(() => patiently(() => db.transaction((tx) => work(tx))));
      last = run.catch(() => {});
      return run;
    },
    close: () => client.close(),
    async settle() {
      await last;
      // A copy of the one file is then the whole workshop.
      if (embedded) await patiently(() => client.execute('PRAGMA wal_checkpoint(TRUNCATE)'));
      client.close();
    },
  };
}
