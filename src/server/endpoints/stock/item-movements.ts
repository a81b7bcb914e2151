import { Type } from '../../../core/schema/words';
import type { Movement } from '../../../core/stock';
import { movementsOf } from '../../../data/stock';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

/** The ledger of one thing. */
export const itemMovements = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/stock/{id}/movements',
  summary: 'The ledger of one thing of the store, the oldest line first',
  body: null,
  megabytes: 0,
  answer: Type.Array(Type.Unsafe<Movement>({ type: 'object' })),
  status: 200,
  handle: async ({ params }) => movementsOf((await database()).read, params.id ?? ''),
});
