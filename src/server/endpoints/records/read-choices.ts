import type { RecordChoices } from '../../../core/record';
import { Type } from '../../../core/schema/words';
import { endpoint } from '../../endpoint';
import { ofRecord } from '../../record/of-record';

/** What the filters of the record may be set to. */
export const readChoices = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/records/choices',
  summary: 'What the filters of /api/records may be set to, each with how many jobs have it',
  body: null,
  megabytes: 0,
  answer: Type.Unsafe<RecordChoices>({ type: 'object' }),
  status: 200,
  handle: async () => ofRecord('recordChoices')(null),
});
