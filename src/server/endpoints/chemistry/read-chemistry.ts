import { ChemistryTableSchema } from '../../../core/chemistry/schema';
import { chemistryOf } from '../../chemistry';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

/** Chemistry rows in force, with their version; 0 as shipped. */
export const readChemistry = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/chemistry',
  summary: 'Chemistry rows in force, with their version; 0 as shipped',
  body: null,
  megabytes: 0,
  answer: ChemistryTableSchema,
  status: 200,
  handle: async () => chemistryOf((await database()).read),
});
