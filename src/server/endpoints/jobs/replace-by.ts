import { fold } from '../../../core/job';
import { file, fileName } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { readJob } from '../../read-job';
import { replaceByCalendar } from '../../replace-by';

/** When the battery fitted in this job is usually replaced, as an iCalendar file. */
export const jobReplaceBy = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/replace-by',
  summary: 'When the battery fitted in this job is usually replaced, as an iCalendar file',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params }) {
    const { events } = await readJob(await database(), params.id ?? '');
    const { state } = fold(events);
    return file(
      replaceByCalendar(state),
      'text/calendar; charset=utf-8',
      `${fileName(state.tag)} replace by.ics`,
    );
  },
});
