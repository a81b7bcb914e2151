import Papa from 'papaparse';
import { story } from '../../../core/job';
import { FORMULA } from '../../../core/map-file';
import { CSV, file, fileName } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { readJob, tagOf } from '../../read-job';

/** Every entry in words, as a table. */
export const jobHistory = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/history',
  summary: 'Every entry in words, as a table',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params }) {
    const { events } = await readJob(await database(), params.id ?? '');
    const rows = story(events).map(({ at, by, type, text, undone, minutesBehind }) => ({
      at,
      by,
      type,
      text,
      counts: undone ? 'no' : 'yes',
      'minutes behind': minutesBehind ?? '',
    }));
    return file(
      Papa.unparse(rows, { escapeFormulae: FORMULA }),
      CSV,
      `${fileName(tagOf(events))} history.csv`,
    );
  },
});
