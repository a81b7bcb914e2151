import { fold } from '../../../../core/job';
import { database } from '../../../../server/context';
import { endpoint } from '../../../../server/endpoint';
import { readJob } from '../../../../server/read-job';
import { replaceByCalendar } from '../../../../server/replace-by';

export const GET = endpoint(async ({ params }) => {
  const { events } = await readJob(await database(), params.id ?? '');
  const { state } = fold(events);
  return new Response(replaceByCalendar(state), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${state.tag.replace(/[^\w.-]/g, '_')} replace by.ics"`,
      'cache-control': 'no-store',
    },
  });
});
