import { closed, Type } from '../../../core/schema/words';
import { setComebackDays } from '../../comeback-days';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

const ComebackDaysSchema = closed(
  { days: Type.Integer({ minimum: 1, maximum: 3650 }) },
  { $id: 'ComebackDays', title: 'Days within which the same fault on the same unit is a comeback' },
);

/** Sets the days within which the same fault is a comeback. */
export const setTheComebackDays = endpoint({
  method: 'put',
  who: 'lead',
  path: '/api/records/comeback-days',
  summary: 'Days within which the same fault on the same unit is a comeback',
  body: ComebackDaysSchema,
  megabytes: 1,
  answer: ComebackDaysSchema,
  status: 200,
  async handle({ body }) {
    await setComebackDays(await database(), body.days);
    return body;
  },
});
