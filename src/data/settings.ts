import { eq } from 'drizzle-orm';
import type { Handle } from './database';
import { settings } from './tables';

/** One setting, or undefined. */
export async function settingOf(db: Handle, key: string): Promise<unknown> {
  const [row] = await db.select().from(settings).where(eq(settings.key, key));
  return row?.value;
}

/** Writes a setting over; null takes it away. */
export async function putSetting(db: Handle, key: string, value: unknown): Promise<void> {
  if (value === null) {
    await db.delete(settings).where(eq(settings.key, key));
    return;
  }
  await db
    .insert(settings)
    .values({ key, value })
    .onConflictDoUpdate({ target: settings.key, set: { value } });
}
