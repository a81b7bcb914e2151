import { allSummaries } from '../../../data/jobs';
import { isOpenJob } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { openJob } from '../../../server/open-job';

export const GET = endpoint(async () => json(await allSummaries((await database()).read)));

export const POST = endpoint(async ({ request }) => {
  const command = await readBody(request, isOpenJob);
  return json(await openJob(await database(), command), 201);
});
