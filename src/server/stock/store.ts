import { Refusal } from '../../core/refusal';
import {
  demandItem,
  type Holding,
  holdingOf,
  judgeMovement,
  type Movement,
  type StockItem,
  type ToOrder,
  toOrder,
} from '../../core/stock';
import type { Database, Handle } from '../../data/database';
import {
  addMovement,
  allMovements,
  allStock,
  movementById,
  movementsOf,
  putStock,
  stockById,
} from '../../data/stock';
import { chemistryOf } from '../chemistry';
import { Problem, refused } from '../problem';

/** A thing of the store with what is held of it. */
export interface Stocked {
  item: StockItem;
  version: number;
  holding: Holding;
}

/** The whole store. */
export interface Store {
  items: Stocked[];
  order: ToOrder[];
}

const noItem = (id: string) =>
  new Problem(404, 'Not in the store', `there is no thing ${id} in the store`, '/item');

/** Everything the store keeps, by name, and what to order. */
export async function readStore(db: Handle, today: string): Promise<Store> {
  const kept = await allStock(db);
  const { rows } = await chemistryOf(db);
  const by = new Map<string, Movement[]>();
  for (const m of await allMovements(db)) {
    const there = by.get(m.item);
    if (there) there.push(m);
    else by.set(m.item, [m]);
  }
  const items = kept
    .map(({ item, version }) => ({ item, version, holding: holdingOf(item.id, by.get(item.id) ?? []) }))
    .sort((a, b) => a.item.what.localeCompare(b.item.what));
  const holdings = new Map(items.map((i) => [i.item.id, i.holding]));
  return {
    items,
    order: toOrder(
      items.map((i) => i.item),
      holdings,
      today,
      rows,
    ),
  };
}

/**
 * Keeps a thing of the store.
 *
 * @param version it was begun from; 0 for a new one
 * @throws Problem 422 with the field, 409 when somebody saved it in between
 */
export async function saveItem(db: Database, item: StockItem, version: number): Promise<{ version: number }> {
  const { rows } = await chemistryOf(db.read);
  try {
    demandItem(item, rows, new Date().toISOString().slice(0, 10));
  } catch (error) {
    if (error instanceof Refusal) throw refused(error);
    throw error;
  }
  return db.write(async (tx) => {
    const here = await stockById(tx, item.id);
    if ((here?.version ?? 0) !== version)
      throw new Problem(
        409,
        'Saved in between',
        here
          ? `somebody changed this thing while you did: version ${here.version}`
          : `there is no thing ${item.id} in the store`,
        '/version',
      );
    await putStock(tx, item, version + 1);
    return { version: version + 1 };
  });
}

/**
 * Adds a movement to the ledger. Sent twice, it is one movement.
 *
 * @throws Problem 404 for an unknown thing, 409 for an id used for something else, 422 with the reason
 */
export async function move(db: Database, m: Movement): Promise<Holding> {
  return db.write(async (tx) => {
    if (!(await stockById(tx, m.item))) throw noItem(m.item);
    const before = holdingOf(m.item, await movementsOf(tx, m.item));
    const known = await movementById(tx, m.id);
    if (known) {
      if (known.item === m.item && known.kind === m.kind && known.count === m.count) return before;
      throw new Problem(409, 'Id in use', `movement ${m.id} is kept already with other contents`, '/id');
    }
    try {
      const after = judgeMovement(before, m);
      await addMovement(tx, m);
      return after;
    } catch (error) {
      if (error instanceof Refusal) throw refused(error);
      throw error;
    }
  });
}
