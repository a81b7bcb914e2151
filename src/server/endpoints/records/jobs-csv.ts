import { factsPage } from '../../../data/facts';
import { CSV, file } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { recordAsked } from '../../record/asked';
import { jobsCsv } from '../../record/record-csv';

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
  handle: async ({ url }) =>
    file(jobsCsv(await factsPage((await database()).read, recordAsked(url))), CSV, 'jobs.csv'),
});
