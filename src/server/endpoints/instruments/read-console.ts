import { closed, Type } from '../../../core/schema/words';
import { consoleAddress, readConsole } from '../../console/console';
import { endpoint } from '../../endpoint';
import { ConsoleUnit } from './console-unit';

const ReadConsoleSchema = closed(
  { unit: ConsoleUnit },
  { $id: 'ReadConsole', title: 'All settings of the unit on the console' },
);

/** All settings of the unit on the console. */
export const readTheConsole = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/console/read',
  summary: 'All settings of the unit on the console',
  body: ReadConsoleSchema,
  megabytes: 1,
  answer: closed({ who: Type.String(), dump: Type.String() }),
  status: 200,
  handle: async ({ body }) => readConsole(await consoleAddress.there(), body.unit),
});
