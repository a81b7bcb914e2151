import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { ownDevices } from '../../people/own-devices';
import { DeviceSchema } from './documents';

/** One's own devices that are signed in. */
export const listDevices = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/devices',
  summary: 'One’s own devices that are signed in',
  body: null,
  megabytes: 0,
  answer: Type.Array(DeviceSchema),
  status: 200,
  handle: async ({ person, device }) => ownDevices(await database(), person, device, new Date()),
});
