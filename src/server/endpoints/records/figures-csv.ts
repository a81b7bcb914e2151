import { CSV, file } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { recordAsked } from '../../record/asked';
import { taughtCsv } from '../../record/record-csv';
import { taught } from '../../record/taught';

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
      taughtCsv(await taught((await database()).read, recordAsked(url), new Date())),
      CSV,
      'what-the-record-teaches.csv',
    ),
});
