import { isJobFile } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { importJob } from '../../../server/job-file';

export const POST = endpoint(async ({ request }) => {
  const file = await readBody(request, isJobFile, 16);
  return json(await importJob(await database(), file), 201);
});
