import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { saveWorkshop } from '../../workshop';
import { WorkshopSchema } from './schema';

/** Keeps what the workshop says of itself. */
export const saveTheWorkshop = endpoint({
  method: 'put',
  who: 'lead',
  path: '/api/workshop',
  summary: 'Name, address and mark of the workshop, its currency, rate and warranty',
  body: WorkshopSchema,
  megabytes: 1,
  answer: WorkshopSchema,
  status: 200,
  handle: async ({ body }) => saveWorkshop(await database(), body),
});
