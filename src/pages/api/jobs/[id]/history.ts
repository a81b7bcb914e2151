import Papa from 'papaparse';
import { story } from '../../../../core/job';
import { database } from '../../../../server/context';
import { endpoint } from '../../../../server/endpoint';
import { readJob } from '../../../../server/read-job';

export const GET = endpoint(async ({ params }) => {
  const { events } = await readJob(await database(), params.id ?? '');
  const rows = story(events).map(({ at, by, type, text, undone }) => ({
    at,
    by,
    type,
    text,
    counts: undone ? 'no' : 'yes',
  }));
  const [opened] = events;
  const tag = opened?.type === 'job.opened' ? opened.tag.replace(/[^\w.-]/g, '_') : 'job';
  return new Response(Papa.unparse(rows, { escapeFormulae: true }), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${tag} history.csv"`,
      'cache-control': 'no-store',
    },
  });
});
