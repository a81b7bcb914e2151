import { tighten } from '../../../core/tighten';
import { isTightenRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) => json(tighten(await readBody(request, isTightenRequest))));
