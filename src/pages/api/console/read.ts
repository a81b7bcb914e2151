import { isReadConsole } from '../../../gen/validators.js';
import { readConsole } from '../../../server/console/console';
import { consoleThere } from '../../../server/console/there';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) => {
  const { unit } = await readBody(request, isReadConsole);
  return json(await readConsole(await consoleThere(), unit));
});
