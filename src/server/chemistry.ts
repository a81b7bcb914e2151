import { type ChemistryTable, checkChemistry, SHIPPED } from '../core/chemistry';
import type { Database, Handle } from '../data/database';
import { putSetting, settingOf } from '../data/settings';
import { Problem } from './problem';

const KEY = 'chemistry';

/** Chemistry rows in force: those kept last, or the ones shipped. */
export async function chemistryOf(db: Handle): Promise<ChemistryTable> {
  return ((await settingOf(db, KEY)) as ChemistryTable | undefined) ?? SHIPPED;
}

/** Keeps changed rows; whoever began from an older version is told. */
export async function saveChemistry(
  db: Database,
  { version, rows }: ChemistryTable,
): Promise<ChemistryTable> {
  checkChemistry(rows);
  return db.write(async (tx) => {
    const now = await chemistryOf(tx);
    if (now.version !== version)
      throw new Problem(
        409,
        'Changed meanwhile',
        `the chemistry is at version ${now.version}, this began from ${version}`,
        '/version',
      );
    const next = { version: version + 1, rows };
    await putSetting(tx, KEY, next);
    return next;
  });
}
