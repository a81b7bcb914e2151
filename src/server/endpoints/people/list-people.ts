import { Type } from '../../../core/schema/words';
import { allPeople } from '../../../data/people';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { PersonSchema } from './documents';

/** Who may come in. */
export const listPeople = endpoint({
  method: 'get',
  who: 'lead',
  path: '/api/people',
  summary: 'Who may come in',
  body: null,
  megabytes: 0,
  answer: Type.Array(PersonSchema),
  status: 200,
  handle: async () => allPeople((await database()).read),
});
