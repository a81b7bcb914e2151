/** Fills the full-text index anew from all that is kept: npm run reindex. */
import { openDatabase } from '../src/data/database';
import { reindex } from '../src/data/search';

const db = await openDatabase({
  folder: process.env.MULCH_DATA ?? './data',
  url: process.env.MULCH_DATABASE_URL || undefined,
  token: process.env.MULCH_DATABASE_TOKEN || undefined,
  migrations: 'drizzle',
});
await db.write(reindex);
await db.settle();
console.log('The index is filled anew.');
