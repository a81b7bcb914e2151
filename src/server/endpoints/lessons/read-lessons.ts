import Papa from 'papaparse';
import { FORMULA } from '../../../core/map-file';
import { CSV, file, json } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { lessonsOf } from '../../lessons';

/** What closed jobs taught; ?as=csv as a table. */
export const readLessons = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/lessons',
  summary: 'What closed jobs taught; ?as=csv as a table',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ url }) {
    const answer = await lessonsOf((await database()).read);
    if (url.searchParams.get('as') !== 'csv') return json(answer);
    const rows = answer.lessons.map(({ shares: _, ...l }) => l);
    const columns = ['job', 'model', 'at', 'element', 'kind'];
    return file(Papa.unparse(rows, { columns, escapeFormulae: FORMULA }), CSV, 'lessons.csv');
  },
});
