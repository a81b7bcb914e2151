import path from 'node:path';
import { type Database, openDatabase } from '../data/database';
import { seedDemo } from '../demo/seed';
import { log } from './log';

let opened: Promise<Database> | undefined;

/** The database of this process, opened and migrated at first use. */
export function database(): Promise<Database> {
  opened ??= open().catch((error) => {
    opened = undefined;
    throw error;
  });
  return opened;
}

async function open(): Promise<Database> {
  const db = await openDatabase({
    folder: process.env.MULCH_DATA ?? './data',
    url: process.env.MULCH_DATABASE_URL || undefined,
    token: process.env.MULCH_DATABASE_TOKEN || undefined,
    migrations: path.join(process.env.MULCH_ROOT ?? process.cwd(), 'drizzle'),
  });
  if (process.env.MULCH_DEMO === '1' && (await seedDemo(db, new Date()))) log.info('seeded Saltmarsh Pier');
  return db;
}
