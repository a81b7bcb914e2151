import type { DaySheet } from '../../../core/day-plan';
import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { readDaySheet } from '../../day/plans';
import { endpoint } from '../../endpoint';

/** A technician’s day, with what could go into it. */
export const readADay = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/days/{day}',
  summary: 'A technician’s day, ?person= whose, with the jobs that could go into it; ?with= ids of more',
  body: null,
  megabytes: 0,
  answer: Type.Unsafe<DaySheet>({ type: 'object' }),
  status: 200,
  handle: async ({ params, url }) =>
    readDaySheet(
      await database(),
      params.day ?? '',
      url.searchParams.get('person') ?? '',
      (url.searchParams.get('with') ?? '').split(',').filter(Boolean).slice(0, 60),
      new Date().toISOString(),
    ),
});
