import { fold } from '../../../core/job';
import { file, fileName } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { owedCalendar } from '../../hand-over/owed-calendar';
import { readJob } from '../../read-job';

/** What is owed by a day, as an iCalendar file. */
export const jobOwed = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/owed',
  summary: 'What is still owed by a day, as an iCalendar file',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params }) {
    const { events } = await readJob(await database(), params.id ?? '');
    const { state } = fold(events);
    return file(owedCalendar(state), 'text/calendar; charset=utf-8', `${fileName(state.tag)} owed.ics`);
  },
});
