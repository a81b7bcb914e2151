import { fold } from '../../../core/job';
import { file, fileName, PDF } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { READERS, reportPdf } from '../../hand-over/reports';
import { photoStore } from '../../photo-store';
import { Problem } from '../../problem';
import { readJob } from '../../read-job';

/** The report of a job as a PDF. */
export const jobReport = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/report',
  summary: 'The report of a job as a PDF: ?for=owner, one page in plain words, or ?for=workshop, all of it',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url }) {
    const reader = READERS.find((r) => r === (url.searchParams.get('for') ?? 'owner'));
    if (!reader) throw new Problem(400, 'Not as described', 'for is owner or workshop', 'for');
    const db = await database();
    const { events } = await readJob(db, params.id ?? '');
    const pdf = await reportPdf(db.read, photoStore(), events, reader);
    return file(pdf, PDF, `${fileName(fold(events).state.tag)} ${reader}.pdf`, 'inline');
  },
});
