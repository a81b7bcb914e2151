import { database } from '../../../server/context';
import { endpoint, json, readBytes } from '../../../server/endpoint';
import { photoStore } from '../../../server/photo-store';
import { keepPhoto, PHOTO_MEGABYTES } from '../../../server/photos';
import { Problem } from '../../../server/problem';

export const POST = endpoint(async ({ request }) => {
  const type = request.headers.get('content-type') ?? '';
  if (!/^(image\/|application\/octet-stream)/.test(type))
    throw new Problem(415, 'Not a picture', 'send the picture as the body, as image/jpeg or the like');
  const bytes = await readBytes(request, PHOTO_MEGABYTES);
  return json(await keepPhoto(await database(), photoStore(), bytes, new Date()), 201);
});
