import { closed, Name } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { startDevice } from '../../people/device';
import { registerFirst } from '../../people/people';
import { Passcode, PersonSchema } from './documents';

const RegisterFirstSchema = closed(
  { name: Name, passcode: Passcode },
  { $id: 'RegisterFirst', title: 'The first person, who keeps the others' },
);

/** Register the first person: from then on everybody signs in. */
export const registerTheFirst = endpoint({
  method: 'post',
  who: 'anyone',
  path: '/api/people/first',
  summary: 'Register the first person, on the machine itself: from then on everybody signs in',
  body: RegisterFirstSchema,
  megabytes: 1,
  answer: PersonSchema,
  status: 201,
  async handle({ body, from, headers, request, url }) {
    const db = await database();
    const now = new Date();
    const person = await registerFirst(db, body, from, now);
    headers.append('set-cookie', await startDevice(db, person, { request, url }, now));
    return person;
  },
});
