import { type RecordAsked, type Taught, teach } from '../../core/record';
import type { Handle } from '../../data/database';
import { factsPage } from '../../data/facts';
import { comebackDays } from '../comeback-days';

/** What the jobs that are asked for teach, followed up to now. */
export async function taught(db: Handle, asked: RecordAsked, now: Date): Promise<Taught> {
  const chosen = await factsPage(db, asked);
  const all = Object.keys(asked).length ? await factsPage(db, {}) : chosen;
  return teach(chosen, all, { now: now.toISOString(), comebackDays: await comebackDays(db) });
}
