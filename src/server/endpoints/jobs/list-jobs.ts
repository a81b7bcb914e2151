import type { JobSummary } from '../../../core/job';
import { Type } from '../../../core/schema/words';
import { allSummaries, summariesOf } from '../../../data/jobs';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { Problem } from '../../problem';

/** All jobs, summed up; ?handedOver=yes or no for those alone. */
export const listJobs = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs',
  summary: 'All jobs, summed up; ?handedOver=yes or no for those alone',
  body: null,
  megabytes: 0,
  answer: Type.Array(Type.Unsafe<JobSummary>({ type: 'object' })),
  status: 200,
  async handle({ url }) {
    const { read } = await database();
    const which = url.searchParams.get('handedOver');
    if (which === null) return allSummaries(read);
    if (which !== 'yes' && which !== 'no')
      throw new Problem(400, 'Not as described', 'handedOver is yes or no', 'handedOver');
    return summariesOf(read, which === 'yes');
  },
});
