import { file, fileName } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { bundleOf } from '../../hand-over/bundle';
import { photoStore } from '../../photo-store';

/** A job with its pictures, reports and readings as one zip. */
export const jobBundle = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/jobs/{id}/bundle',
  summary: 'The job file, its pictures, both reports and its readings as one zip with checksums',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params }) {
    const { tag, bytes } = await bundleOf(await database(), photoStore(), params.id ?? '', new Date());
    return file(bytes, 'application/zip', `${fileName(tag)}.mulch.zip`);
  },
});
