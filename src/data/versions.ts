import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Client } from '@libsql/client';
import { StoreFault } from './store-fault';

/**
 * Refuses a database whose tables a later Mulch has changed: what is written to it now could be wrong there.
 *
 * @param client of the database
 * @param migrations folder of the migrations that this Mulch knows
 * @throws StoreFault when the database knows a later one
 */
export async function refuseNewer(client: Client, migrations: string): Promise<void> {
  const there = await client.execute(
    "select 1 from sqlite_master where type = 'table' and name = '__drizzle_migrations'",
  );
  if (there.rows.length === 0) return;
  const { rows } = await client.execute('select max(created_at) as last from __drizzle_migrations');
  const { entries } = JSON.parse(readFileSync(path.join(migrations, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  const known = Math.max(...entries.map((e) => e.when));
  if (Number(rows[0]?.last ?? 0) > known)
    throw new StoreFault(
      'newer',
      'this data was written by a later Mulch than this one. Nothing was changed. Start the later one, or restore a backup made by this one: npm run restore -- FILE',
    );
}
