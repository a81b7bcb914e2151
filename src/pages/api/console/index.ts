import { isSetMeter } from '../../../gen/validators.js';
import { consoleAddress, setConsole } from '../../../server/console/console';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const GET = endpoint(async () => json({ address: await consoleAddress((await database()).read) }));

export const POST = endpoint(async ({ request }) => {
  const { address } = await readBody(request, isSetMeter);
  const db = await database();
  await setConsole(db, address);
  return json({ address: await consoleAddress(db.read) });
});
