import { isJobFile } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { importJob } from '../../../server/job-file';
import { photoStore } from '../../../server/photo-store';

export const POST = endpoint(async ({ request }) => {
  const file = await readBody(request, isJobFile, 256);
  return json(await importJob(await database(), photoStore(), file), 201);
});
