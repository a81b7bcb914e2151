import { modelOf } from '../../core/job';
import { type MinutesLearned, minutesLearned, teach, withMinutes } from '../../core/record';
import { Refusal } from '../../core/refusal';
import type { UnitMap } from '../../core/unit';
import type { Database, Handle } from '../../data/database';
import { factsPage } from '../../data/facts';
import { unitById } from '../../data/units';
import { Problem, refused } from '../problem';
import { saveUnit } from '../save-unit';

/** Minutes of the record for one map. */
export async function minutesFor(db: Handle, map: UnitMap, now: Date): Promise<MinutesLearned[]> {
  const model = modelOf(map);
  if (!model) return [];
  const facts = await factsPage(db, { model });
  return minutesLearned(map, teach(facts, facts, { now: now.toISOString() }));
}

/**
 * Writes minutes onto a map.
 *
 * @throws Problem 404 for an unknown unit, 409 when the map was changed meanwhile, 422 for what is not on it
 */
export async function takeMinutes(
  db: Database,
  id: string,
  {
    version,
    minutes,
  }: { version: number; minutes: { what: 'remedy' | 'tap'; key: string; minutes: number }[] },
  now: Date,
): Promise<{ id: string; version: number }> {
  const unit = await unitById(db.read, id);
  if (!unit) throw new Problem(404, 'No such unit', `there is no unit ${id} on this Mulch`);
  try {
    const map = withMinutes(
      unit.map,
      minutes.map((m) => ({ ...m, words: m.key, now: m.minutes, learned: m.minutes, count: 0 })),
    );
    return await saveUnit(db, { id, version, map, place: unit.place }, now);
  } catch (error) {
    if (error instanceof Refusal) throw refused(error);
    throw error;
  }
}
