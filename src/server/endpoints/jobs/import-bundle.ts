import { closed, Name, Type } from '../../../core/schema/words';
import { readBytes } from '../../body';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { BUNDLE_MEGABYTES, importBundle } from '../../hand-over/bundle';
import { photoStore } from '../../photo-store';

/** Reads a bundle in, whole. */
export const importABundle = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/jobs/bundle',
  summary: 'Read a bundle in again: the zip as the body; its checksums are verified',
  body: null,
  megabytes: BUNDLE_MEGABYTES,
  answer: closed({ id: Name, tag: Name, added: Type.Integer() }),
  status: 201,
  handle: async ({ request }) =>
    importBundle(await database(), photoStore(), await readBytes(request, BUNDLE_MEGABYTES)),
});
