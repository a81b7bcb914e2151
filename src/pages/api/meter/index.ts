import { isSetMeter } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { meterAddress, setMeter } from '../../../server/meter/meter';

export const GET = endpoint(async () => json({ address: await meterAddress((await database()).read) }));

export const POST = endpoint(async ({ request }) => {
  const { address } = await readBody(request, isSetMeter);
  const db = await database();
  await setMeter(db, address);
  return json({ address: await meterAddress(db.read) });
});
