import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { readStore, type Store } from '../../stock/store';

/** Everything the store keeps, and what to order. */
export const readTheStore = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/stock',
  summary: 'Everything the store keeps, what is held of it, and what to order',
  body: null,
  megabytes: 0,
  answer: Type.Unsafe<Store>({ type: 'object' }),
  status: 200,
  handle: async () => readStore((await database()).read, new Date().toISOString().slice(0, 10)),
});
