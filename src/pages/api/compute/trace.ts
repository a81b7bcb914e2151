import { trace } from '../../../core/trace';
import { isTraceRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) => json(trace(await readBody(request, isTraceRequest, 16))));
