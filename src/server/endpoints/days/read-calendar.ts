import type { BusyTime } from '../../../core/day-plan';
import { demandDay } from '../../../core/job';
import { Type } from '../../../core/schema/words';
import { busyFromCalendar } from '../../day/calendar-in';
import { endpoint } from '../../endpoint';
import { CalendarSchema } from './schema';

/** When somebody is busy on a day, by their calendar; nothing of it is kept. */
export const readCalendar = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/days/{day}/calendar',
  summary: 'When somebody is busy on a day, by an iCalendar file; nothing of it is kept',
  body: CalendarSchema,
  megabytes: 5,
  answer: Type.Object({
    busy: Type.Array(Type.Unsafe<BusyTime>({ type: 'object' })),
    passed: Type.Array(Type.String()),
  }),
  status: 200,
  handle({ body, params }) {
    demandDay(params.day ?? '', '/day');
    return busyFromCalendar(body.text, params.day ?? '', body.zone);
  },
});
