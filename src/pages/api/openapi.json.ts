import { openapi } from '../../schemas/openapi';
import { endpoint, json } from '../../server/endpoint';

export const GET = endpoint(async () => json(openapi()));
