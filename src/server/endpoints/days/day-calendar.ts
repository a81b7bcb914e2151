import { file, fileName } from '../../answer';
import { database } from '../../context';
import { dayCalendar } from '../../day/calendar-out';
import { plannedDay } from '../../day/plans';
import { endpoint } from '../../endpoint';

/** Visits of a day as an iCalendar file. */
export const dayAsCalendar = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/days/{day}/calendar',
  summary: 'Visits of a technician’s day, ?person= whose, as an iCalendar file',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url }) {
    const now = new Date().toISOString();
    const { plan, offers, answer } = await plannedDay(
      await database(),
      params.day ?? '',
      url.searchParams.get('person') ?? '',
      now,
    );
    return file(
      dayCalendar(plan, offers, answer, now),
      'text/calendar; charset=utf-8',
      `${fileName(`${plan.day} ${plan.person}`)}.ics`,
    );
  },
});
