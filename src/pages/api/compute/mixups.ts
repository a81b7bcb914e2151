import { mixups } from '../../../core/mixups';
import { isMixupsRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(mixups(await readBody(request, isMixupsRequest, 8))),
);
