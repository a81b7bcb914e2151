import { isWriteConsole } from '../../../gen/validators.js';
import { writeConsole } from '../../../server/console/console';
import { consoleThere } from '../../../server/console/there';
import { endpoint, json, readBody } from '../../../server/endpoint';

export const POST = endpoint(async ({ request }) => {
  const { unit, changes } = await readBody(request, isWriteConsole);
  return json(await writeConsole(await consoleThere(), changes, unit));
});
