import { closed, Name, Type } from '../../../core/schema/words';
import { readBytes } from '../../body';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { photoStore } from '../../photo-store';
import { keepPhoto, PHOTO_MEGABYTES } from '../../photos';
import { Problem } from '../../problem';

/** Keep a picture, sent as the body. */
export const keepAPhoto = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/photos',
  summary: 'Keep a picture, sent as the body',
  body: null,
  megabytes: PHOTO_MEGABYTES,
  answer: closed({ file: Name, width: Type.Integer(), height: Type.Integer() }),
  status: 201,
  async handle({ request }) {
    const type = request.headers.get('content-type') ?? '';
    if (!/^(image\/|application\/octet-stream)/.test(type))
      throw new Problem(415, 'Not a picture', 'send the picture as the body, as image/jpeg or the like');
    const bytes = await readBytes(request, PHOTO_MEGABYTES);
    return keepPhoto(await database(), photoStore(), bytes, new Date());
  },
});
