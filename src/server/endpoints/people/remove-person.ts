import { closed, Name } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { lookAgain } from '../../live/hub';
import { nobodyYet } from '../../people/nobody-yet';
import { takeOut } from '../../people/people';

/** Take somebody out: every device of theirs ends at once. */
export const removeAPerson = endpoint({
  method: 'delete',
  who: 'lead',
  path: '/api/people/{id}',
  summary: 'Take somebody out: every device of theirs ends at once',
  body: null,
  megabytes: 0,
  answer: closed({ id: Name }),
  status: 200,
  async handle({ params, person }) {
    nobodyYet(person);
    await takeOut(await database(), params.id ?? '');
    lookAgain();
    return { id: params.id ?? '' };
  },
});
