import { fold } from '../../../core/job';
import { file, fileName, PDF } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { quoteOnPaper } from '../../hand-over/reports';
import { photoStore } from '../../photo-store';
import { Problem } from '../../problem';
import { readJob } from '../../read-job';

/** The quote of a job as a PDF. */
export const jobQuote = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/quote',
  summary: 'The quote of a job as a PDF, with a place to accept it',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params }) {
    const db = await database();
    const { state } = fold((await readJob(db, params.id ?? '')).events);
    if (!state.quote) throw new Problem(409, 'No quote', 'make the quote in Plan first');
    const pdf = await quoteOnPaper(db.read, photoStore(), state, state.quote);
    return file(pdf, PDF, `${fileName(state.tag)} quote.pdf`, 'inline');
  },
});
