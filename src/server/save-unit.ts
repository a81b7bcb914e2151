import { type UnitMap, validateMap } from '../core/unit';
import type { Database } from '../data/database';
import { insertUnit, replaceUnit, unitById } from '../data/units';
import { Problem } from './problem';

export interface SaveUnit {
  id: string;
  /** it was begun from; 0 for a new one */
  version: number;
  map: UnitMap;
  place?: string;
}

/**
 * Keeps a map. A stale save is refused with the version that is kept now, so that both can be shown.
 *
 * @throws Refusal with the path inside the map, Problem 409 when somebody saved in between
 */
export async function saveUnit(
  db: Database,
  { id, version, map, place }: SaveUnit,
  now: Date,
): Promise<{ id: string; version: number }> {
  validateMap(map);
  const row = {
    id,
    version: version + 1,
    name: map.name,
    place: place ?? '',
    map,
    savedAt: now.toISOString(),
  };
  return db.write(async (tx) => {
    const here = await unitById(tx, id);
    if (!here) {
      if (version !== 0) throw new Problem(404, 'No such unit', `there is no unit ${id} on this Mulch`);
      await insertUnit(tx, row);
      return { id, version: row.version };
    }
    if (here.version !== version || !(await replaceUnit(tx, row, version))) {
      throw new Problem(
        409,
        'Saved in between',
        `somebody saved this unit as version ${here.version} while you had version ${version}`,
        '/version',
      );
    }
    return { id, version: row.version };
  });
}
