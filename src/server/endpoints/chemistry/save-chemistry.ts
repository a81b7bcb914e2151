import { ChemistryTableSchema } from '../../../core/chemistry/schema';
import { saveChemistry } from '../../chemistry';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

/** Change the chemistry rows; a stale version answers 409. */
export const saveTheChemistry = endpoint({
  method: 'put',
  who: 'lead',
  path: '/api/chemistry',
  summary: 'Change the chemistry rows; a stale version answers 409',
  body: ChemistryTableSchema,
  megabytes: 1,
  answer: ChemistryTableSchema,
  status: 200,
  handle: async ({ body }) => saveChemistry(await database(), body),
});
