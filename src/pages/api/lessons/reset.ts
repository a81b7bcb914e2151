import { isResetLessons } from '../../../gen/validators.js';
import { database } from '../../../server/context';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { resetLessons } from '../../../server/lessons';

export const POST = endpoint(async ({ request }) => {
  const { since } = await readBody(request, isResetLessons);
  return json(await resetLessons(await database(), since));
});
