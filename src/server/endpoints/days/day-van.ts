import type { VanList } from '../../../core/day-plan';
import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { vanOf } from '../../day/van';
import { endpoint } from '../../endpoint';

/** What goes into the van for a day. */
export const dayVan = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/days/{day}/van',
  summary: 'What goes into the van for a technician’s day, ?person= whose',
  body: null,
  megabytes: 0,
  answer: Type.Unsafe<VanList>({ type: 'object' }),
  status: 200,
  handle: async ({ params, url }) =>
    vanOf(await database(), params.day ?? '', url.searchParams.get('person') ?? ''),
});
