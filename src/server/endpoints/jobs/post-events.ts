import { closed, Type } from '../../../core/schema/words';
import { JobEventSchema } from '../../../schemas/job-event';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { postEvents } from '../../post-events';

const PostEventsSchema = closed(
  {
    events: Type.Array(JobEventSchema, { minItems: 1, maxItems: 500 }),
    /** how many events the sender knows: the answer brings those after it */
    after: Type.Integer({ minimum: 0 }),
  },
  { $id: 'PostEvents', title: 'Entries of a job' },
);

/** Add events; each is judged, the batch is kept whole or not at all. */
export const postTheEvents = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/jobs/{id}/events',
  summary: 'Add events; each is judged, the batch is kept whole or not at all',
  body: PostEventsSchema,
  megabytes: 2,
  answer: closed({ seq: Type.Integer(), events: Type.Array(JobEventSchema) }),
  status: 200,
  handle: async ({ params, body, person }) =>
    postEvents(await database(), params.id ?? '', body.events, body.after, person?.name),
});
