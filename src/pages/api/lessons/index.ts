import Papa from 'papaparse';
import { database } from '../../../server/context';
import { endpoint, json } from '../../../server/endpoint';
import { lessonsOf } from '../../../server/lessons';

export const GET = endpoint(async ({ url }) => {
  const answer = await lessonsOf((await database()).read);
  if (url.searchParams.get('as') !== 'csv') return json(answer);
  const rows = answer.lessons.map(({ shares: _, ...l }) => l);
  return new Response(Papa.unparse(rows, { columns: ['job', 'model', 'at', 'element', 'kind'] }), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="lessons.csv"',
      'cache-control': 'no-store',
    },
  });
});
