import { closed, Name } from '../../../core/schema/words';
import { endDevice } from '../../../data/people';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { lookAgain } from '../../live/hub';
import { nobodyYet } from '../../people/nobody-yet';
import { Problem } from '../../problem';

/** Sign one of one's own devices out. */
export const endADevice = endpoint({
  method: 'delete',
  who: 'looker',
  path: '/api/devices/{id}',
  summary: 'Sign one of one’s own devices out',
  body: null,
  megabytes: 0,
  answer: closed({ id: Name }),
  status: 200,
  async handle({ params, person }) {
    nobodyYet(person);
    const id = params.id ?? '';
    if (!(await (await database()).write((tx) => endDevice(tx, person.id, id))))
      throw new Problem(404, 'No such device', 'that device is not signed in any more');
    lookAgain();
    return { id };
  },
});
