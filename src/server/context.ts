import path from 'node:path';
import { type Database, openDatabase } from '../data/database';

let opened: Promise<Database> | undefined;

/** The database of this process, opened and migrated at first use. */
export function database(): Promise<Database> {
  opened ??= openDatabase({
    folder: process.env.MULCH_DATA ?? './data',
    url: process.env.MULCH_DATABASE_URL || undefined,
    token: process.env.MULCH_DATABASE_TOKEN || undefined,
    migrations: path.join(process.env.MULCH_ROOT ?? process.cwd(), 'drizzle'),
  }).catch((error) => {
    opened = undefined;
    throw error;
  });
  return opened;
}
