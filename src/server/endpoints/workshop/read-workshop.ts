import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { workshopOf } from '../../workshop';
import { WorkshopSchema } from './schema';

/** What the workshop says of itself. */
export const readTheWorkshop = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/workshop',
  summary: 'Name, address and mark of the workshop, its currency, rate and warranty',
  body: null,
  megabytes: 0,
  answer: WorkshopSchema,
  status: 200,
  handle: async () => workshopOf((await database()).read),
});
