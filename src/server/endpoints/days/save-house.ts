import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { type KeptHouse, saveHouse } from '../../day/house';
import { endpoint } from '../../endpoint';
import { SaveHouseSchema } from './schema';

/** Keeps how far it is from place to place, and how much the van holds. */
export const saveTheHouse = endpoint({
  method: 'put',
  who: 'bench',
  path: '/api/days/ways',
  summary: 'Keep minutes from place to place and the room in the van',
  body: SaveHouseSchema,
  megabytes: 1,
  answer: Type.Unsafe<KeptHouse>({ type: 'object' }),
  status: 200,
  handle: async ({ body }) => saveHouse(await database(), body),
});
