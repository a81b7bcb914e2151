import { batteryFit } from '../../../core/fit';
import { isBatteryFitRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(batteryFit(await readBody(request, isBatteryFitRequest))),
);
