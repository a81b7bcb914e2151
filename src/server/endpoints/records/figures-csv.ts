import { CSV, file } from '../../answer';
import { endpoint } from '../../endpoint';
import { recordAsked } from '../../record/asked';
import { ofRecord } from '../../record/of-record';
import { taughtCsv } from '../../record/record-csv';

/** What the jobs that are asked for teach, as a table. */
export const figuresCsv = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/records/figures.csv',
  summary: 'What jobs teach as a table, one figure a line: the filters of /api/records',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  handle: async ({ url }) =>
    file(
      taughtCsv(await ofRecord('taught')({ asked: recordAsked(url), now: new Date() })),
      CSV,
      'what-the-record-teaches.csv',
    ),
});
