import type { BusyTime } from '../../../core/day-plan';
import { demandDay } from '../../../core/job';
import { Type } from '../../../core/schema/words';
import { endpoint } from '../../endpoint';
import { beside } from '../../threads/beside';
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
    return beside('readCalendar')({ text: body.text, day: params.day ?? '', zone: body.zone });
  },
});
