import { jumpers } from '../../../core/settings';
import { isJumpersRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(jumpers(await readBody(request, isJumpersRequest, 1))),
);
