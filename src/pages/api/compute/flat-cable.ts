import { flatCable } from '../../../core/flat-cable';
import { isFlatCableRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(flatCable(await readBody(request, isFlatCableRequest, 1))),
);
