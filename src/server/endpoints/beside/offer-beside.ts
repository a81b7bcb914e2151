import { STOPS } from '../../../core/job';
import { closed, Name, oneOf, Type } from '../../../core/schema/words';
import { summaryOf } from '../../../data/jobs';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { offerBeside, reachedAt } from '../../people/beside';
import { nobodyYet } from '../../people/nobody-yet';
import { Problem } from '../../problem';

const OfferBesideSchema = closed(
  { stop: oneOf(STOPS) },
  { $id: 'OfferBeside', title: 'The stop at which another device opens the job' },
);

/** A link that brings one device more to a job. */
export const offerABeside = endpoint({
  method: 'post',
  who: 'looker',
  path: '/api/jobs/{id}/beside',
  summary: 'A link that brings one device more of one’s own to a job: valid once, for five minutes',
  body: OfferBesideSchema,
  megabytes: 1,
  answer: closed({
    link: Name,
    code: Type.String(),
    seconds: Type.Integer(),
    fingerprint: Type.Union([Name, Type.Null()]),
  }),
  status: 201,
  async handle({ body, params, person, url }) {
    nobodyYet(person);
    const db = await database();
    const job = await summaryOf(db.read, params.id ?? '');
    if (!job) throw new Problem(404, 'No such job', `there is no job ${params.id} on this Mulch`);
    return offerBeside(db, { person, job: job.id, stop: body.stop, at: reachedAt(url) }, new Date());
  },
});
