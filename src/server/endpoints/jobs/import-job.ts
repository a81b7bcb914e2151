import { closed, Name, Type } from '../../../core/schema/words';
import { JobFileSchema } from '../../../schemas/job-file';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { importJob } from '../../job-file';
import { photoStore } from '../../photo-store';

/** Read a job file in again. */
export const importAJob = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/jobs/import',
  summary: 'Read a job file in again',
  body: JobFileSchema,
  megabytes: 256,
  reader: 'readJobFile',
  answer: closed({ id: Name, tag: Name, added: Type.Integer() }),
  status: 201,
  handle: async ({ body }) => importJob(await database(), photoStore(), body),
});
