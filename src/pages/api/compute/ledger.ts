import { ledgerOf } from '../../../core/job';
import { isLedgerRequest } from '../../../gen/validators.js';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) =>
  json(ledgerOf((await readBody(request, isLedgerRequest, 8)).events)),
);
