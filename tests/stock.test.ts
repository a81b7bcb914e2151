import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import Papa from 'papaparse';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { JobEvent } from '../src/core/job';
import { bench } from '../src/core/job/bench.test.fixture';
import { shownOf } from '../src/core/record';
import { holdingOf, MOVEMENTS, type Movement, type StockItem } from '../src/core/stock';
import { type Database, openDatabase } from '../src/data/database';
import { insertJob } from '../src/data/jobs';
import { allMovements, movementsOf } from '../src/data/stock';
import { demoStore } from '../src/demo/store';
import { photoPrinter } from '../src/demo/units/photo-printer';
import { postEvents } from '../src/server/post-events';
import { Problem } from '../src/server/problem';
import { orderCsv } from '../src/server/stock/order-csv';
import { move, readStore, saveItem } from '../src/server/stock/store';

const folder = mkdtempSync(path.join(tmpdir(), 'mulch-stock-'));
const at = '2026-11-27T12:00:00.000Z';
const openHere = () => openDatabase({ folder, migrations: path.resolve('drizzle') });
let db: Database;
/** Another process on the same folder, as far as the database can tell. */
let other: Database;
beforeAll(async () => {
  db = await openHere();
  other = await openHere();
});
afterAll(async () => {
  other.close();
  await db.settle();
  db.close();
  rmSync(folder, { recursive: true, force: true });
});
const thing = (more: Partial<StockItem> = {}): StockItem => ({
  id: ulid(),
  what: 'ribbon 10-way 200 mm',
  unit: 'pieces',
  place: { kind: 'shelf', label: 'B2' },
  models: [],
  elements: [],
  minimum: 0,
  ...more,
});
const line = (item: string, kind: Movement['kind'], count: number, job?: string): Movement => ({
  id: ulid(),
  item,
  at,
  by: 'Ines',
  kind,
  count,
  ...(job ? { job: { id: job, tag: `T-${job.slice(-2)}` } } : {}),
});
const kept = async (more: Partial<StockItem> = {}, count = 0): Promise<StockItem> => {
  const item = thing(more);
  await saveItem(db, item, 0);
  if (count) await move(db, line(item.id, 'received', count));
  return item;
};
const held = async (item: string) => holdingOf(item, await movementsOf(db.read, item));

describe('the store on the server', () => {
  it('two jobs reserve the last one at once: one of them gets it', async () => {
    const { id } = await kept({}, 1);
    const [a, b] = [ulid(), ulid()];
    const answers = await Promise.allSettled([
      move(db, line(id, 'reserved', 1, a)),
      move(other, line(id, 'reserved', 1, b)),
    ]);
    expect(answers.map((x) => x.status).sort()).toEqual(['fulfilled', 'rejected']);
    const no = answers.find((x) => x.status === 'rejected');
    expect(no?.status === 'rejected' && no.reason).toMatchObject({
      status: 422,
      message: expect.stringContaining('0 free of 1 on hand'),
    });
    expect((await held(id)).reserved).toHaveLength(1);
  });
  it('conserves under random movements from two processes at once', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({
            kind: fc.constantFrom(...MOVEMENTS),
            count: fc.integer({ min: 1, max: 5 }),
            job: fc.constantFrom('a', 'b'),
            by: fc.boolean(),
          }),
          { minLength: 4, maxLength: 24 },
        ),
        async (list) => {
          const { id } = await kept({}, 4);
          const jobs = { a: ulid(), b: ulid() };
          const answers = await Promise.allSettled(
            list.map((m) => move(m.by ? db : other, line(id, m.kind, m.count, jobs[m.job as 'a' | 'b']))),
          );
          // What is refused is refused in words, and never by a fault.
          for (const x of answers) if (x.status === 'rejected') expect(x.reason).toBeInstanceOf(Problem);
          const h = await held(id);
          expect(h.received + h.found).toBe(h.used + h.writtenOff + h.onHand);
          expect(h.onHand).toBeGreaterThanOrEqual(0);
          const fine = answers.filter((x) => x.status === 'fulfilled').length;
          expect(await movementsOf(db.read, id)).toHaveLength(fine + 1);
        },
      ),
      { numRuns: 12 },
    );
  });
  it('a movement sent twice is one; an id of another is refused; so is what is not there', async () => {
    const { id } = await kept();
    const m = line(id, 'received', 3);
    await move(db, m);
    expect(await move(db, m)).toMatchObject({ onHand: 3 });
    await expect(move(db, { ...m, count: 4 })).rejects.toMatchObject({ status: 409 });
    await expect(move(db, line(ulid(), 'received', 1))).rejects.toMatchObject({ status: 404 });
  });
  it('a thing that was changed meanwhile is not written over', async () => {
    const item = await kept();
    await saveItem(db, { ...item, minimum: 2 }, 1);
    await expect(saveItem(db, { ...item, minimum: 5 }, 1)).rejects.toMatchObject({ status: 409 });
    await expect(saveItem(db, thing(), 3)).rejects.toMatchObject({ status: 409 });
    await expect(saveItem(db, thing({ what: '' }), 0)).rejects.toMatchObject({ status: 422, path: '/what' });
  });
});

describe('what a job uses', () => {
  const job = async () => {
    const b = bench(photoPrinter);
    const first = b.events()[0];
    if (first?.type !== 'job.opened') throw new Error('not opened');
    const id = ulid();
    const opened: JobEvent = { ...first, id: ulid(), job: id };
    const record = { events: [opened], state: { ...b.state(), id } };
    await db.write((tx) => insertJob(tx, shownOf(record), record.events));
    return id;
  };
  const used = (stock: string, count?: number): JobEvent =>
    ({
      id: ulid(),
      at,
      by: 'Ines',
      type: 'consumable.used',
      what: 'glue',
      stock,
      ...(count ? { count } : {}),
    }) as JobEvent;
  const undo = (event: string): JobEvent =>
    ({ id: ulid(), at, by: 'Ines', type: 'undone', event }) as JobEvent;

  it('leaves the store with the entry, comes back with its undo, and goes again', async () => {
    const { id } = await kept({ unit: 'ml' }, 10);
    const j = await job();
    const e = used(id, 2.5);
    await postEvents(db, j, [e], 0);
    expect(await held(id)).toMatchObject({ onHand: 7.5, used: 2.5, found: 0 });
    // Sent again, it is the same entry.
    await postEvents(db, j, [e], 0);
    expect(await held(id)).toMatchObject({ onHand: 7.5 });
    const back = undo(e.id);
    await postEvents(db, j, [back], 0);
    expect(await held(id)).toMatchObject({ onHand: 10, used: 0 });
    const again = undo(back.id);
    await postEvents(db, j, [again], 0);
    expect(await held(id)).toMatchObject({ onHand: 7.5, used: 2.5 });
    await postEvents(db, j, [undo(again.id)], 0);
    expect(await held(id)).toMatchObject({ onHand: 10, used: 0 });
  });
  it('used and taken back in one batch, it never left', async () => {
    const { id } = await kept({}, 3);
    const e = used(id);
    await postEvents(db, await job(), [e, undo(e.id)], 0);
    expect(await held(id)).toMatchObject({ onHand: 3, used: 0 });
  });
  it('takes what is set aside for another, which is then missing there and stands on the list of orders', async () => {
    const { id } = await kept({}, 1);
    await move(db, line(id, 'reserved', 1, ulid()));
    await postEvents(db, await job(), [used(id)], 0);
    expect(await held(id)).toMatchObject({ onHand: 0, free: -1, found: 0, used: 1 });
    const { order } = await readStore(db.read, '2026-11-27');
    expect(order.find((o) => o.item === id)?.why).toContain('1 set aside and not here');
  });
  it('what the ledger did not know of was found, and nothing is below zero', async () => {
    const { id } = await kept();
    await postEvents(db, await job(), [used(id)], 0);
    expect(await held(id)).toMatchObject({ onHand: 0, used: 1, found: 1 });
    const [found] = await movementsOf(db.read, id);
    expect(found?.why).toContain('not counted before');
  });
  it('a thing that is not in the store is refused with its entry, and nothing is kept', async () => {
    const j = await job();
    await expect(postEvents(db, j, [used(ulid())], 0)).rejects.toMatchObject({ status: 422, path: '/stock' });
    const before = await allMovements(db.read);
    expect(before.every((m) => m.job?.id !== j)).toBe(true);
  });
  it('what was set aside for a job is free again when it is handed over', async () => {
    const { id } = await kept({}, 2);
    const j = await job();
    await move(db, line(id, 'reserved', 2, j));
    await postEvents(
      db,
      j,
      [
        {
          id: ulid(),
          at,
          by: 'Ines',
          type: 'job.handed-over',
          to: 'arcade',
          result: 'returned as it was',
        } as JobEvent,
      ],
      0,
    );
    expect(await held(id)).toMatchObject({ onHand: 2, free: 2, reserved: [] });
  });
});

describe('the store of the pier', () => {
  it('has some sixty things whose ledgers hold; what to order goes out as a table', async () => {
    const store = demoStore(new Date(at));
    expect(store.length).toBeGreaterThan(50);
    for (const { item, movements } of store)
      expect(holdingOf(item.id, movements).onHand).toBeGreaterThanOrEqual(0);
    const low = await kept({ what: '=1+1', minimum: 4, price: 1250, supplier: 'Tern Electrics' }, 1);
    const here = await readStore(db.read, '2026-11-27');
    const { data } = Papa.parse<Record<string, string>>(orderCsv(here, 'EUR'), { header: true });
    const row = data.find((r) => r.what === "'=1+1");
    expect(row).toMatchObject({ count: '3', price: '12.50', currency: 'EUR', supplier: 'Tern Electrics' });
    expect(here.order.some((o) => o.item === low.id)).toBe(true);
  });
});
