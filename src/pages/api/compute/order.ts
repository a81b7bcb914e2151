import { order } from '../../../core/order';
import { isOrderRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) => json(order(await readBody(request, isOrderRequest, 4))));
