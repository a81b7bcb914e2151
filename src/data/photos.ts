import { eq } from 'drizzle-orm';
import type { Handle } from './database';
import { photos } from './tables';

export type PhotoRow = typeof photos.$inferSelect;

/** One picture's row, or undefined. */
export async function photoById(db: Handle, id: string): Promise<PhotoRow | undefined> {
  const [row] = await db.select().from(photos).where(eq(photos.id, id));
  return row;
}

/** Keeps a picture's row; the same picture twice is one picture. */
export async function insertPhoto(db: Handle, row: PhotoRow): Promise<void> {
  await db.insert(photos).values(row).onConflictDoNothing();
}

/** Takes a picture's row away. */
export async function deletePhoto(db: Handle, id: string): Promise<void> {
  await db.delete(photos).where(eq(photos.id, id));
}
