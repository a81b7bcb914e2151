import type { DayHouse } from '../../core/day-plan';
import type { Database, Handle } from '../../data/database';
import { putSetting, settingOf } from '../../data/settings';
import { Problem } from '../problem';

const KEY = 'days';

export interface KeptHouse {
  house: DayHouse;
  version: number;
}

/** What days have in common. */
export const houseOf = async (db: Handle): Promise<KeptHouse> =>
  ((await settingOf(db, KEY)) as KeptHouse | undefined) ?? { house: { travel: [] }, version: 0 };

/**
 * Keeps it.
 *
 * @throws Problem 422 for a way that cannot be, 409 when somebody changed it in between
 */
export async function saveHouse(db: Database, { house, version }: KeptHouse): Promise<KeptHouse> {
  const seen = new Set<string>();
  house.travel.forEach(({ from, to }, i) => {
    if (from === to)
      throw new Problem(422, 'Refused', `from ${from} to itself takes no minutes`, `/house/travel/${i}/to`);
    const key = `${from}\n${to}`;
    if (seen.has(key))
      throw new Problem(422, 'Refused', `from ${from} to ${to} is there twice`, `/house/travel/${i}`);
    seen.add(key);
  });
  return db.write(async (tx) => {
    const here = await houseOf(tx);
    if (here.version !== version)
      throw new Problem(
        409,
        'Changed in between',
        `somebody changed the ways while you did: version ${here.version}`,
        '/version',
      );
    const next = { house, version: version + 1 };
    await putSetting(tx, KEY, next);
    return next;
  });
}
