import type { MinutesLearned } from '../../../core/record';
import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { minutesFor } from '../../record/unit-minutes';
import { unitThere } from '../../unit-there';

/** Minutes the record has for a map, beside its own. */
export const unitMinutes = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/units/{id}/minutes',
  summary: 'Minutes that the record has for the remedies and points of a map, where they differ from its own',
  body: null,
  megabytes: 0,
  answer: Type.Object({
    version: Type.Integer(),
    minutes: Type.Array(Type.Unsafe<MinutesLearned>({ type: 'object' })),
  }),
  status: 200,
  async handle({ params }) {
    const { map, version } = await unitThere(params.id);
    return { version, minutes: await minutesFor((await database()).read, map, new Date()) };
  },
});
