import { closed, Name, oneOf, Text, Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { takeMinutes } from '../../record/unit-minutes';

const TakeMinutesSchema = closed(
  {
    version: Type.Integer({ minimum: 1 }),
    minutes: Type.Array(
      closed({
        what: oneOf(['remedy', 'tap'] as const),
        key: Text,
        minutes: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
      }),
      { minItems: 1, maxItems: 2000 },
    ),
  },
  { $id: 'TakeMinutes', title: 'Minutes to stand on a map from now on' },
);

/** Writes minutes onto a map. */
export const takeTheMinutes = endpoint({
  method: 'post',
  who: 'lead',
  path: '/api/units/{id}/minutes',
  summary: 'Minutes to stand on a map from now on: of remedies (element/remedy) and of points (tap)',
  body: TakeMinutesSchema,
  megabytes: 1,
  answer: closed({ id: Name, version: Type.Integer() }),
  status: 200,
  handle: async ({ params, body }) => takeMinutes(await database(), params.id ?? '', body, new Date()),
});
