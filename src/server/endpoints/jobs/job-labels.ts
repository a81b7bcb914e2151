import { fold } from '../../../core/job';
import { file, fileName, PDF } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { labelSheet, labelsOf } from '../../labels';
import { readJob } from '../../read-job';

/** Labels for what is off, as a PDF. */
export const jobLabels = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/labels',
  summary: 'Labels for what is off, as a PDF',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url }) {
    const { events } = await readJob(await database(), params.id ?? '');
    const { state } = fold(events);
    const pdf = await labelSheet(labelsOf(state, url.origin), `${state.tag}, ${state.map.name}`);
    return file(pdf, PDF, `${fileName(state.tag)} labels.pdf`, 'inline');
  },
});
