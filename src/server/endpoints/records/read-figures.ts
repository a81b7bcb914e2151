import type { Taught } from '../../../core/record';
import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { recordAsked } from '../../record/asked';
import { taught } from '../../record/taught';

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
  handle: async ({ url }) => taught((await database()).read, recordAsked(url), new Date()),
});
