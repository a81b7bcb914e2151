import { endpoint } from '../../../server/endpoint';
import { photoStore } from '../../../server/photo-store';
import { readPhoto } from '../../../server/photos';
import { Problem } from '../../../server/problem';

export const GET = endpoint(async ({ params, url }) => {
  const file = params.file ?? '';
  const bytes = /^[0-9a-f]{64}$/.test(file)
    ? await readPhoto(photoStore(), file, url.searchParams.get('size') === 'small')
    : null;
  if (!bytes) throw new Problem(404, 'No such picture', 'there is no such picture on this Mulch');
  return new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': 'image/webp',
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
    },
  });
});
