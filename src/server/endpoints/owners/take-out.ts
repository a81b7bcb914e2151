import { closed, Line, Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { removeOwner } from '../../owners/owner-data';
import { photoStore } from '../../photo-store';

const TakeOutSchema = closed({ owner: Line }, { $id: 'TakeOut', title: 'An owner as written at Take in' });

/** Takes an owner out of every job. */
export const takeAnOwnerOut = endpoint({
  method: 'post',
  who: 'lead',
  path: '/api/owners/remove',
  summary: 'Take an owner out of every job: names, marks, pictures, texts; the figures stay',
  body: TakeOutSchema,
  megabytes: 1,
  answer: closed({ jobs: Type.Array(Line), pictures: Type.Integer() }),
  status: 200,
  handle: async ({ body }) => removeOwner(await database(), photoStore(), body.owner),
});
