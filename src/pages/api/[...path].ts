import { endpoint } from '../../server/endpoint';
import { Problem } from '../../server/problem';

export const ALL = endpoint(async ({ request, url }) => {
  throw new Problem(
    404,
    'No such address',
    `${request.method} ${url.pathname} is not known. /api/openapi.json lists what is`,
  );
});
