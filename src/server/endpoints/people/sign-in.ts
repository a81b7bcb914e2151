import { closed, Name } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { startDevice } from '../../people/device';
import { signIn } from '../../people/people';
import { Passcode, PersonSchema } from './documents';

const SignInSchema = closed({ name: Name, passcode: Passcode }, { $id: 'SignIn', title: 'Who comes in' });

/** Sign a device in. */
export const signADeviceIn = endpoint({
  method: 'post',
  who: 'anyone',
  path: '/api/sign-in',
  summary: 'Sign this device in for thirty days',
  body: SignInSchema,
  megabytes: 1,
  answer: PersonSchema,
  status: 200,
  async handle({ body, from, headers, request, url }) {
    const db = await database();
    const person = await signIn(db, body, from);
    headers.append('set-cookie', await startDevice(db, person, { request, url }, new Date()));
    return person;
  },
});
