import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { saveItem } from '../../stock/store';
import { SaveItemSchema } from './schema';

/** Keeps a thing of the store. */
export const saveAnItem = endpoint({
  method: 'put',
  who: 'bench',
  path: '/api/stock',
  summary: 'Keep a thing of the store; version 0 for a new one',
  body: SaveItemSchema,
  megabytes: 1,
  answer: Type.Object({ version: Type.Integer() }),
  status: 200,
  handle: async ({ body }) => saveItem(await database(), body.item, body.version),
});
