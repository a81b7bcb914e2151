import { allUnits } from '../../../data/units';
import { isSaveUnit } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { saveUnit } from '../../../server/save-unit';

export const GET = endpoint(async () => json(await allUnits((await database()).read)));

export const POST = endpoint(async ({ request }) => {
  const command = await readBody(request, isSaveUnit, 2);
  return json(await saveUnit(await database(), command, new Date()), 201);
});
