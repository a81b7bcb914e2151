import { file, fileName } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { exportJob } from '../../job-file';
import { photoStore } from '../../photo-store';
import { tagOf } from '../../read-job';

/** The whole job as a file. */
export const jobFile = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/file',
  summary: 'The whole job as a file',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params }) {
    const job = await exportJob(await database(), photoStore(), params.id ?? '', new Date());
    return file(JSON.stringify(job), 'application/json', `${fileName(tagOf(job.events))}.mulch.json`);
  },
});
