import { closed } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { lookAgain } from '../../live/hub';
import { nobodyYet } from '../../people/nobody-yet';
import { changeOwnPasscode } from '../../people/people';
import { Passcode, PersonSchema } from './documents';

const OwnPasscodeSchema = closed(
  { now: Passcode, next: Passcode },
  { $id: 'OwnPasscode', title: 'One’s own passcode, the present one and the next' },
);

/** Change one's own passcode: one's other devices end. */
export const changeTheOwnPasscode = endpoint({
  method: 'put',
  who: 'looker',
  path: '/api/passcode',
  summary: 'Change one’s own passcode: one’s other devices end',
  body: OwnPasscodeSchema,
  megabytes: 1,
  answer: PersonSchema,
  status: 200,
  async handle({ body, person, device, from }) {
    nobodyYet(person);
    await changeOwnPasscode(await database(), { person, device, from }, body);
    lookAgain();
    return person;
  },
});
