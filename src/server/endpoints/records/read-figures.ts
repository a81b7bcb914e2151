import type { Taught } from '../../../core/record';
import { Type } from '../../../core/schema/words';
import { endpoint } from '../../endpoint';
import { recordAsked } from '../../record/asked';
import { ofRecord } from '../../record/of-record';

/** What the jobs that are asked for teach. */
export const readFigures = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/records/figures',
  summary: 'What jobs teach, each figure with its count: the filters of /api/records',
  body: null,
  megabytes: 0,
  answer: Type.Unsafe<Taught>({ type: 'object' }),
  status: 200,
  handle: async ({ url }) => ofRecord('taught')({ asked: recordAsked(url), now: new Date() }),
});
