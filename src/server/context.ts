import path from 'node:path';
import { type Database, type Handle, openDatabase, reading, type Where } from '../data/database';

let opened: Promise<Database> | undefined;
const first: ((db: Database) => Promise<void>)[] = [];

/** Something to be done once the database is open, before anybody uses it. */
export function whenOpened(act: (db: Database) => Promise<void>): void {
  first.push(act);
}

/** The database of this process, opened and migrated at first use. */
export function database(): Promise<Database> {
  opened ??= open().catch((error) => {
    opened = undefined;
    throw error;
  });
  return opened;
}

/** What the process that serves calls before it ends: it knows the built application by its entry alone. */
const SETTLE = Symbol.for('mulch.settle');

/** Where this installation keeps what it knows. */
const place = (): Where => ({
  folder: process.env.MULCH_DATA ?? './data',
  url: process.env.MULCH_DATABASE_URL || undefined,
  token: process.env.MULCH_DATABASE_TOKEN || undefined,
  migrations: path.join(process.env.MULCH_ROOT ?? process.cwd(), 'drizzle'),
});

/** Reads in a thread of its own what the process keeps. */
export const readBeside = <T>(work: (db: Handle) => Promise<T>): Promise<T> => reading(place(), work);

async function open(): Promise<Database> {
  const db = await openDatabase(place());
  for (const act of first) await act(db);
  Object.assign(globalThis, { [SETTLE]: () => db.settle() });
  return db;
}
