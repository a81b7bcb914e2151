import { closed, Type } from '../../../core/schema/words';
import { endDevice } from '../../../data/people';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { lookAgain } from '../../live/hub';
import { noCookie } from '../../people/device';

/** Sign this device out. */
export const signADeviceOut = endpoint({
  method: 'post',
  who: 'looker',
  path: '/api/sign-out',
  summary: 'Sign this device out',
  body: null,
  megabytes: 0,
  answer: closed({ signedOut: Type.Boolean() }),
  status: 200,
  async handle({ person, device, headers, url }) {
    if (person) await (await database()).write((tx) => endDevice(tx, person.id, device));
    lookAgain();
    headers.append('set-cookie', noCookie(url.protocol === 'https:'));
    return { signedOut: true };
  },
});
