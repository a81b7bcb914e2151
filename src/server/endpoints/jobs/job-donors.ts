import { modelOf } from '../../../core/job';
import { type Donor, donorsFor } from '../../../core/record';
import { Type } from '../../../core/schema/words';
import { donorFacts } from '../../../data/facts';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { readJob } from '../../read-job';

/** Units kept for their parts. */
export const jobDonors = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/donors',
  summary: 'Units kept for their parts, those of the same model first, with what they gave so far',
  body: null,
  megabytes: 0,
  answer: Type.Array(Type.Unsafe<Donor>({ type: 'object' })),
  status: 200,
  async handle({ params }) {
    const db = await database();
    const [opened] = (await readJob(db, params.id ?? '')).events;
    const model = opened?.type === 'job.opened' ? modelOf(opened.map) : '';
    return donorsFor(await donorFacts(db.read), model).filter((d) => d.job !== params.id);
  },
});
