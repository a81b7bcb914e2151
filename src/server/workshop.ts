import { Refusal } from '../core/refusal';
import { demandWorkshop, NEW_WORKSHOP, type Workshop } from '../core/workshop';
import type { Database, Handle } from '../data/database';
import { putSetting, settingOf } from '../data/settings';
import { refused } from './problem';

const KEY = 'head of the papers';

/** What the workshop says of itself. */
export async function workshopOf(db: Handle): Promise<Workshop> {
  return { ...NEW_WORKSHOP, ...((await settingOf(db, KEY)) as Partial<Workshop> | undefined) };
}

/**
 * Keeps what the workshop says of itself.
 *
 * @throws Problem 422 with the field that cannot be
 */
export async function saveWorkshop(db: Database, workshop: Workshop): Promise<Workshop> {
  try {
    demandWorkshop(workshop);
  } catch (error) {
    if (error instanceof Refusal) throw refused(error);
    throw error;
  }
  await db.write((tx) => putSetting(tx, KEY, workshop));
  return workshop;
}
