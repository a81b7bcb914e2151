import { isPostEvents } from '../../../../gen/validators.js';
import { database } from '../../../../server/context';
import { endpoint, json, readBody } from '../../../../server/endpoint';
import { postEvents } from '../../../../server/post-events';
import { Problem } from '../../../../server/problem';
import { readJob } from '../../../../server/read-job';

export const GET = endpoint(async ({ params, url }) => {
  const after = Number(url.searchParams.get('after') ?? 0);
  if (!Number.isInteger(after) || after < 0)
    throw new Problem(400, 'Not as described', 'after must be a whole number', 'after');
  return json(await readJob(await database(), params.id ?? '', after));
});

export const POST = endpoint(async ({ params, request }) => {
  const { events, after } = await readBody(request, isPostEvents, 2);
  return json(await postEvents(await database(), params.id ?? '', events, after));
});
