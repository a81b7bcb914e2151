import { and, asc, eq } from 'drizzle-orm';
import type { Handle } from './database';
import { indexUnit } from './search';
import { units } from './tables';

export type UnitRow = typeof units.$inferSelect;

/** All units by name. */
export const allUnits = (db: Handle): Promise<UnitRow[]> => db.select().from(units).orderBy(asc(units.name));

/** One unit, or undefined. */
export async function unitById(db: Handle, id: string): Promise<UnitRow | undefined> {
  const [row] = await db.select().from(units).where(eq(units.id, id));
  return row;
}

/** Adds a unit. */
export const insertUnit = async (db: Handle, row: UnitRow): Promise<void> => {
  await db.insert(units).values(row);
  await indexUnit(db, row.id, row.map, row.place);
};

/** Replaces a unit if it still has the version the writer saw; false when somebody was quicker. */
export async function replaceUnit(db: Handle, row: UnitRow, seen: number): Promise<boolean> {
  const rows = await db
    .update(units)
    .set(row)
    .where(and(eq(units.id, row.id), eq(units.version, seen)))
    .returning({ id: units.id });
  if (rows.length === 1) await indexUnit(db, row.id, row.map, row.place);
  return rows.length === 1;
}
