import { schedule } from '../../../core/schedule';
import { isScheduleRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(schedule(await readBody(request, isScheduleRequest, 4))),
);
