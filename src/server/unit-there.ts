import { type UnitRow, unitById } from '../data/units';
import { database } from './context';
import { Problem } from './problem';

/** A unit by its id. @throws Problem 404 when it is not here */
export async function unitThere(id = ''): Promise<UnitRow> {
  const unit = await unitById((await database()).read, id);
  if (!unit) throw new Problem(404, 'No such unit', `there is no unit ${id} on this Mulch`);
  return unit;
}
