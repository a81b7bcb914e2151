import { fold } from '../../../../core/job';
import { database } from '../../../../server/context';
import { endpoint } from '../../../../server/endpoint';
import { labelSheet, labelsOf } from '../../../../server/labels';
import { readJob } from '../../../../server/read-job';

export const GET = endpoint(async ({ params, url }) => {
  const { events } = await readJob(await database(), params.id ?? '');
  const { state } = fold(events);
  const pdf = await labelSheet(labelsOf(state, url.origin), `${state.tag}, ${state.map.name}`);
  return new Response(pdf as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${state.tag.replace(/[^\w.-]/g, '_')} labels.pdf"`,
      'cache-control': 'no-store',
    },
  });
});
