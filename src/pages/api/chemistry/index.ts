import { isChemistryTable } from '../../../gen/validators.js';
import { chemistryOf, saveChemistry } from '../../../server/chemistry';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const GET = endpoint(async () => json(await chemistryOf((await database()).read)));

export const PUT = endpoint(async ({ request }) =>
  json(await saveChemistry(await database(), await readBody(request, isChemistryTable))),
);
