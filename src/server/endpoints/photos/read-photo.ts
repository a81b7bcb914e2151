import { endpoint } from '../../endpoint';
import { photoStore } from '../../photo-store';
import { readPhoto } from '../../photos';
import { Problem } from '../../problem';

/** A picture; ?size=small. */
export const readAPhoto = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/photos/{file}',
  summary: 'A picture; ?size=small',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ params, url }) {
    const name = params.file ?? '';
    const bytes = /^[0-9a-f]{64}$/.test(name)
      ? await readPhoto(photoStore(), name, url.searchParams.get('size') === 'small')
      : null;
    if (!bytes) throw new Problem(404, 'No such picture', 'there is no such picture on this Mulch');
    return new Response(bytes as Uint8Array<ArrayBuffer>, {
      headers: {
        'content-type': 'image/webp',
        'cache-control': 'private, max-age=31536000, immutable',
        'x-content-type-options': 'nosniff',
      },
    });
  },
});
