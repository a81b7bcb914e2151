import { COMEBACK_DAYS } from '../core/identity';
import type { Database, Handle } from '../data/database';
import { putSetting, settingOf } from '../data/settings';

const DAYS = 'comeback days';

/** Days within which the same fault on the same unit is a comeback here. */
export async function comebackDays(db: Handle): Promise<number> {
  const days = await settingOf(db, DAYS);
  return typeof days === 'number' ? days : COMEBACK_DAYS;
}

/** Sets them for this Mulch. */
export async function setComebackDays(db: Database, days: number): Promise<void> {
  await db.write((tx) => putSetting(tx, DAYS, days));
}
