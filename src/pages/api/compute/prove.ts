import { bestTest } from '../../../core/prove';
import { isProveRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) => json(bestTest(await readBody(request, isProveRequest))));
