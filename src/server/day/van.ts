import type { VanList } from '../../core/day-plan';
import { isUsable } from '../../core/stock';
import type { Database } from '../../data/database';
import { dayOf } from '../../data/days';
import { chemistryOf } from '../chemistry';
import { Problem } from '../problem';
import { readStore } from '../stock/store';
import { beside } from '../threads/beside';
import { houseOf } from './house';
import { statesOf } from './offers';

/**
 * What goes into the van for a kept day.
 *
 * @throws Problem 404 where none is kept
 */
export async function vanOf(db: Database, day: string, person: string): Promise<VanList> {
  const kept = await dayOf(db.read, day, person);
  if (!kept) throw new Problem(404, 'No such day', `${person || 'nobody'} has no plan for ${day}`);
  const { plan } = kept;
  const said = new Map(plan.jobs.map((j) => [j.job, j.place]));
  const states = (
    await statesOf(
      db,
      plan.jobs.map((j) => j.job),
    )
  ).map((s) => {
    const place = said.get(s.id) || s.place;
    return place ? { ...s, place } : s;
  });
  const { rows } = await chemistryOf(db.read);
  // What is past its last day or spent is left on its shelf.
  const items = (await readStore(db.read, day)).items.filter((s) => isUsable(s.item, rows, day));
  const { house } = await houseOf(db.read);
  return beside('vanList')([states, items, house, plan.start.place]);
}
