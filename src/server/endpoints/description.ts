import { json } from '../answer';
import { endpoint } from '../endpoint';

/** This interface for other programs. */
export const description = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/openapi.json',
  summary: 'This interface for other programs, as OpenAPI',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  // Asked for when it is wanted: it is written from the registry that lists this endpoint.
  handle: async () => json((await import('../openapi')).openapi()),
});
