import { closed, Name, Type } from '../../../core/schema/words';
import type { AddressSetting } from '../../address-setting';
import { consoleAddress } from '../../console/console';
import { database } from '../../context';
import { type Endpoint, endpoint } from '../../endpoint';
import { meterAddress } from '../../meter/meter';

const Address = { address: Type.Union([Name, Type.Null()]) };
const SetAddressSchema = closed(Address, {
  $id: 'SetAddress',
  title: 'Where an instrument is, as name:port; null goes back to the setting of the machine',
});

const INSTRUMENTS: { path: string; what: string; setting: AddressSetting }[] = [
  { path: '/api/meter', what: 'the bench meter', setting: meterAddress },
  { path: '/api/console', what: 'the unit console', setting: consoleAddress },
];

/** Where the instruments are, asked and set. */
export const addresses: Endpoint[] = INSTRUMENTS.flatMap(({ path, what, setting }) => [
  endpoint({
    method: 'get',
    who: 'looker',
    path,
    summary: `Where ${what} is`,
    body: null,
    megabytes: 0,
    answer: closed(Address),
    status: 200,
    handle: async () => ({ address: await setting.of((await database()).read) }),
  }),
  endpoint({
    method: 'post',
    who: 'lead',
    path,
    summary: `Set where ${what} is`,
    body: SetAddressSchema,
    megabytes: 1,
    answer: closed(Address),
    status: 200,
    async handle({ body }) {
      const db = await database();
      await setting.set(db, body.address);
      return { address: await setting.of(db.read) };
    },
  }),
]);
