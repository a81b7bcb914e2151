import { closed } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { lookAgain } from '../../live/hub';
import { nobodyYet } from '../../people/nobody-yet';
import { givePasscode } from '../../people/people';
import { Passcode, PersonSchema } from './documents';

const GivePasscodeSchema = closed(
  { passcode: Passcode },
  { $id: 'GivePasscode', title: 'Another passcode for somebody' },
);

/** Give somebody another passcode: their devices end. */
export const giveAPasscode = endpoint({
  method: 'put',
  who: 'lead',
  path: '/api/people/{id}/passcode',
  summary: 'Give somebody another passcode: their devices end',
  body: GivePasscodeSchema,
  megabytes: 1,
  answer: PersonSchema,
  status: 200,
  async handle({ body, params, person, device }) {
    nobodyYet(person);
    const given = await givePasscode(await database(), params.id ?? '', body.passcode, device);
    lookAgain();
    return given;
  },
});
