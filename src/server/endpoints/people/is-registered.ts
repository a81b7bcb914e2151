import { closed, Type } from '../../../core/schema/words';
import { isAnybodyThere } from '../../../data/people';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

/** Whether anybody is registered here. */
export const isRegistered = endpoint({
  method: 'get',
  who: 'anyone',
  path: '/api/people/first',
  summary: 'Whether anybody is registered here',
  body: null,
  megabytes: 0,
  answer: closed({ registered: Type.Boolean() }),
  status: 200,
  handle: async () => ({ registered: await isAnybodyThere((await database()).read) }),
});
