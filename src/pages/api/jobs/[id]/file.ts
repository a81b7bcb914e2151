import { database } from '../../../../server/context';
import { endpoint, json } from '../../../../server/endpoint';
import { exportJob } from '../../../../server/job-file';
import { photoStore } from '../../../../server/photo-store';

export const GET = endpoint(async ({ params }) => {
  const file = await exportJob(await database(), photoStore(), params.id ?? '', new Date());
  const [opened] = file.events;
  const tag = opened?.type === 'job.opened' ? opened.tag.replace(/[^\w.-]/g, '_') : 'job';
  return json(file, 200, { 'content-disposition': `attachment; filename="${tag}.mulch.json"` });
});
