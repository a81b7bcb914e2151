import { Type } from '../../../core/schema/words';
import { allUnits, type UnitRow } from '../../../data/units';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

/** All units with their maps. */
export const listUnits = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/units',
  summary: 'All units with their maps',
  body: null,
  megabytes: 0,
  answer: Type.Array(Type.Unsafe<UnitRow>({ type: 'object' })),
  status: 200,
  handle: async () => allUnits((await database()).read),
});
