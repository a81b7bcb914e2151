import { closed, Type } from '../../../core/schema/words';
import { JobEventSchema } from '../../../schemas/job-event';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { Problem } from '../../problem';
import { readJob } from '../../read-job';

/** Events of a job, ?after= how many are known. */
export const readEvents = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/events',
  summary: 'Events of a job, ?after= how many are known',
  body: null,
  megabytes: 0,
  answer: closed({ seq: Type.Integer(), events: Type.Array(JobEventSchema) }),
  status: 200,
  async handle({ params, url }) {
    const after = Number(url.searchParams.get('after') ?? 0);
    if (!Number.isInteger(after) || after < 0)
      throw new Problem(400, 'Not as described', 'after must be a whole number', 'after');
    return readJob(await database(), params.id ?? '', after);
  },
});
