import { ulid } from 'ulid';
import type { JobEvent, JobState } from '../../core/job';
import { holdingOf, type Movement, usedByJob } from '../../core/stock';
import type { Handle } from '../../data/database';
import { addMovement, movementsForJob, movementsOf, stockById } from '../../data/stock';
import { Problem } from '../problem';

/** What an entry took out of the store; null where it took nothing. */
function taken(e: JobEvent): { stock: string; count: number } | null {
  if (e.type === 'part.fitted' && e.stock) return { stock: e.stock, count: 1 };
  if (e.type === 'consumable.used' && e.stock) return { stock: e.stock, count: e.count ?? 1 };
  return null;
}

/** Whether an entry stands, by the undos that came after it. */
function stands(id: string, events: JobEvent[]): boolean {
  const undo = events.findLast((e) => e.type === 'undone' && e.event === id);
  return undo === undefined || !stands(undo.id, events);
}

/**
 * Brings the ledger of the store up to what a job has used: an entry that stands has its movement, one that
 * was taken back gave it back. In the transaction of the entries.
 *
 * @throws Problem 422 naming the entry whose thing is not in the store
 */
export async function followJobInStore(
  db: Handle,
  state: JobState,
  events: JobEvent[],
  fresh: JobEvent[],
): Promise<void> {
  const touched = new Set(fresh.map((e) => (e.type === 'undone' ? targetOf(e.event, events) : e.id)));
  const job = { id: state.id, tag: state.tag };
  for (const e of events) {
    const use = touched.has(e.id) ? taken(e) : null;
    if (!use) continue;
    if (!(await stockById(db, use.stock)))
      throw new Problem(422, 'Refused', 'that thing is not in the store', '/stock', e.id);
    const all = await movementsOf(db, use.stock);
    const net = all
      .filter((m) => m.entry === e.id)
      .reduce((sum, m) => sum + (m.kind === 'used' ? m.count : m.kind === 'returned' ? -m.count : 0), 0);
    const wanted = stands(e.id, events) ? use.count : 0;
    const line = { item: use.stock, at: e.at, by: e.by, job, entry: e.id };
    if (net < wanted) {
      const used: Movement = { ...line, id: ulid(), kind: 'used', count: wanted - net };
      for (const m of usedByJob(holdingOf(use.stock, all), used, ulid())) await addMovement(db, m);
    } else if (net > wanted) {
      await addMovement(db, {
        ...line,
        id: ulid(),
        kind: 'returned',
        count: net - wanted,
        why: 'its entry was taken back',
      });
    }
  }
  if (fresh.some((e) => e.type === 'job.handed-over') && state.handedOver)
    await release(db, job, state.handedOver);
}

/** What an undo, or an undo of an undo, is about in the end. */
function targetOf(id: string, events: JobEvent[]): string {
  const e = events.find((x) => x.id === id);
  return e?.type === 'undone' ? targetOf(e.event, events) : id;
}

/** What was set aside for a job that is handed over is free again. */
async function release(db: Handle, job: { id: string; tag: string }, { at, by }: { at: string; by: string }) {
  const items = new Set((await movementsForJob(db, job.id)).map((m) => m.item));
  for (const item of items) {
    const aside = holdingOf(item, await movementsOf(db, item)).reserved.find((r) => r.job === job.id);
    if (aside)
      await addMovement(db, {
        id: ulid(),
        item,
        at,
        by,
        kind: 'released',
        count: aside.count,
        job,
        why: 'handed over',
      });
  }
}
