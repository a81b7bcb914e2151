import type { JobSummary } from '../../../core/job';
import { Type } from '../../../core/schema/words';
import { allSummaries } from '../../../data/jobs';
import { database } from '../../context';
import { endpoint } from '../../endpoint';

/** All jobs, summed up. */
export const listJobs = endpoint({
  method: 'get',
  path: '/api/jobs',
  summary: 'All jobs, summed up',
  body: null,
  megabytes: 0,
  answer: Type.Array(Type.Unsafe<JobSummary>({ type: 'object' })),
  status: 200,
  handle: async () => allSummaries((await database()).read),
});
