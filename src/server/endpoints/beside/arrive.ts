import { closed, Name } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { arrive } from '../../people/beside';
import { startDevice } from '../../people/device';

const ArriveSchema = closed({ token: Name }, { $id: 'Arrive', title: 'What a link says' });

/** Use a link up: this device is signed in, and told where to go. */
export const arriveBeside = endpoint({
  method: 'post',
  who: 'anyone',
  path: '/api/beside',
  summary: 'Use a link up: this device is signed in, and told where to go',
  body: ArriveSchema,
  megabytes: 1,
  answer: closed({ to: Name, name: Name }),
  status: 200,
  async handle({ body, from, headers, person: already, request, url }) {
    const db = await database();
    const now = new Date();
    const { person, to } = await arrive(db, body.token, from, now);
    // Who is here already stays so; a device that was somebody else's becomes theirs.
    if (already?.id !== person.id)
      headers.append('set-cookie', await startDevice(db, person, { request, url }, now));
    return { to, name: person.name };
  },
});
