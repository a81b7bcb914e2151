import { asc, eq } from 'drizzle-orm';
import type { Movement, StockItem } from '../core/stock';
import type { Handle } from './database';
import { stockItems, stockMovements } from './tables';

export interface KeptItem {
  item: StockItem;
  version: number;
}

/** Everything the store keeps. */
export async function allStock(db: Handle): Promise<KeptItem[]> {
  const rows = await db.select().from(stockItems);
  return rows.map((r) => ({ item: r.body, version: r.version }));
}

/** One thing of the store, or undefined. */
export async function stockById(db: Handle, id: string): Promise<KeptItem | undefined> {
  const [row] = await db.select().from(stockItems).where(eq(stockItems.id, id));
  return row && { item: row.body, version: row.version };
}

/** Keeps a thing of the store under its next version. */
export async function putStock(db: Handle, item: StockItem, version: number): Promise<void> {
  const row = { id: item.id, version, body: item };
  await db.insert(stockItems).values(row).onConflictDoUpdate({ target: stockItems.id, set: row });
}

/** Movements of one thing, in their order. */
export async function movementsOf(db: Handle, item: string): Promise<Movement[]> {
  const rows = await db
    .select({ body: stockMovements.body })
    .from(stockMovements)
    .where(eq(stockMovements.item, item))
    .orderBy(asc(stockMovements.seq));
  return rows.map((r) => r.body);
}

/** Movements for one job, in their order. */
export async function movementsForJob(db: Handle, job: string): Promise<Movement[]> {
  const rows = await db
    .select({ body: stockMovements.body })
    .from(stockMovements)
    .where(eq(stockMovements.job, job))
    .orderBy(asc(stockMovements.seq));
  return rows.map((r) => r.body);
}

/** The whole ledger, in its order. */
export async function allMovements(db: Handle): Promise<Movement[]> {
  const rows = await db
    .select({ body: stockMovements.body })
    .from(stockMovements)
    .orderBy(asc(stockMovements.seq));
  return rows.map((r) => r.body);
}

/** One line of the ledger, or undefined. */
export async function movementById(db: Handle, id: string): Promise<Movement | undefined> {
  const [row] = await db
    .select({ body: stockMovements.body })
    .from(stockMovements)
    .where(eq(stockMovements.id, id));
  return row?.body;
}

/** Adds a line to the ledger. */
export async function addMovement(db: Handle, m: Movement): Promise<void> {
  await db.insert(stockMovements).values({ id: m.id, item: m.item, job: m.job?.id ?? null, body: m });
}
