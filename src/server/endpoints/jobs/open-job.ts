import { closed, Line, Moment, Name, Type, Ulid } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { openJob } from '../../open-job';

const OpenJobSchema = closed(
  { job: Ulid, event: Ulid, at: Moment, by: Name, unit: Ulid, place: Type.Optional(Line) },
  { $id: 'OpenJob', title: 'Open a job on a unit' },
);

/** Open a job on a unit. */
export const openAJob = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/jobs',
  summary: 'Open a job on a unit',
  body: OpenJobSchema,
  megabytes: 1,
  answer: closed({ id: Name, tag: Name }),
  status: 201,
  handle: async ({ body, person }) => openJob(await database(), person ? { ...body, by: person.name } : body),
});
