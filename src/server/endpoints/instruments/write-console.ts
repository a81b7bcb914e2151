import { closed, Type } from '../../../core/schema/words';
import { consoleAddress, writeConsole } from '../../console/console';
import { endpoint } from '../../endpoint';
import { ConsoleUnit } from './console-unit';

const WriteConsoleSchema = closed(
  {
    unit: ConsoleUnit,
    changes: Type.Array(
      closed({
        key: Type.String({ minLength: 1, maxLength: 120, pattern: '^[^\\s]+$' }),
        value: Type.String({ minLength: 1, maxLength: 400, pattern: '^[^\\r\\n]+$' }),
      }),
      { minItems: 1, maxItems: 200 },
    ),
  },
  { $id: 'WriteConsole', title: 'Write chosen settings and read every one of them back' },
);

const WrittenSchema = closed({
  who: Type.String(),
  written: Type.Array(
    closed({
      key: Type.String(),
      wanted: Type.String(),
      readBack: Type.Union([Type.String(), Type.Null()]),
      kept: Type.Boolean(),
      said: Type.String(),
    }),
  ),
});

/** Write chosen settings, each read back. */
export const writeTheConsole = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/console/write',
  summary: 'Write chosen settings, each read back',
  body: WriteConsoleSchema,
  megabytes: 1,
  answer: WrittenSchema,
  status: 200,
  handle: async ({ body }) => writeConsole(await consoleAddress.there(), body.changes, body.unit),
});
