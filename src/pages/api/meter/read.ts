import { isReadMeter } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { meterAddress, readMeter } from '../../../server/meter/meter';
import { Problem } from '../../../server/problem';

export const POST = endpoint(async ({ request }) => {
  const asked = await readBody(request, isReadMeter);
  const address = await meterAddress((await database()).read);
  if (!address)
    throw new Problem(
      404,
      'No meter',
      'no bench meter is set. Type its address first, such as 127.0.0.1:5025',
    );
  return json(await readMeter(address, asked));
});
