import { CSV, file } from '../../answer';
import { endpoint } from '../../endpoint';
import { recordAsked } from '../../record/asked';
import { ofRecord } from '../../record/of-record';

/** The jobs that are asked for, as a table. */
export const recordsCsv = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/records/jobs.csv',
  summary: 'Jobs as a table, one line each: the filters of /api/records',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  handle: async ({ url }) => file(await ofRecord('jobsCsv')(recordAsked(url)), CSV, 'jobs.csv'),
});
