import { closed, Name } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { nobodyYet } from '../../people/nobody-yet';
import { addPerson } from '../../people/people';
import { Passcode, PersonSchema, RoleSchema } from './documents';

const AddPersonSchema = closed(
  { name: Name, role: RoleSchema, passcode: Passcode },
  { $id: 'AddPerson', title: 'Somebody more who may come in' },
);

/** Add somebody who may come in. */
export const addAPerson = endpoint({
  method: 'post',
  who: 'lead',
  path: '/api/people',
  summary: 'Add somebody who may come in',
  body: AddPersonSchema,
  megabytes: 1,
  answer: PersonSchema,
  status: 201,
  async handle({ body, person }) {
    nobodyYet(person);
    return addPerson(await database(), body, new Date());
  },
});
