import { closed, Type } from '../../../core/schema/words';
import { database } from '../../context';
import { earlierJobs } from '../../earlier-jobs';
import { endpoint } from '../../endpoint';

const Words = Type.String();

/** Earlier jobs on the unit of a job, and marks that may be meant. */
export const listEarlierJobs = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/earlier',
  summary: 'Earlier jobs on the unit of a job, and marks that are nearly the same',
  body: null,
  megabytes: 0,
  answer: closed({
    jobs: Type.Array(
      closed({
        id: Words,
        tag: Words,
        openedAt: Words,
        symptom: Words,
        failed: Type.Array(Words),
        mended: Type.Array(Words),
        handedOverAt: Type.Optional(Words),
        owed: Type.Optional(Words),
        days: Type.Optional(Type.Integer()),
        comeback: Type.Boolean(),
      }),
    ),
    near: Type.Array(closed({ mark: Words, unit: Words, tag: Words })),
    comebackDays: Type.Integer(),
  }),
  status: 200,
  handle: async ({ params }) => earlierJobs((await database()).read, params.id ?? ''),
});
