import { Type } from '../../../core/schema/words';
import { database } from '../../context';
import { saveDay } from '../../day/plans';
import { endpoint } from '../../endpoint';
import { SaveDaySchema } from './schema';

/** Keeps a technician’s day. */
export const saveADay = endpoint({
  method: 'put',
  who: 'bench',
  path: '/api/days',
  summary: 'Keep a technician’s day; version 0 for a new one',
  body: SaveDaySchema,
  megabytes: 1,
  answer: Type.Object({ version: Type.Integer() }),
  status: 200,
  handle: async ({ body }) => saveDay(await database(), body.plan, body.version),
});
