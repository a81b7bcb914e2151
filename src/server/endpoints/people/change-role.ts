import { closed } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { nobodyYet } from '../../people/nobody-yet';
import { changeRole } from '../../people/people';
import { PersonSchema, RoleSchema } from './documents';

const ChangeRoleSchema = closed({ role: RoleSchema }, { $id: 'ChangeRole', title: 'What somebody may do' });

/** Change what somebody may do. */
export const changeARole = endpoint({
  method: 'put',
  who: 'lead',
  path: '/api/people/{id}',
  summary: 'Change what somebody may do',
  body: ChangeRoleSchema,
  megabytes: 1,
  answer: PersonSchema,
  status: 200,
  async handle({ body, params, person }) {
    nobodyYet(person);
    return changeRole(await database(), params.id ?? '', body.role);
  },
});
