import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { move } from '../../stock/store';
import { HoldingAnswer, MovementSchema } from './schema';

/** Adds a line to the ledger of the store. */
export const moveStock = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/stock/movements',
  summary: 'A movement of the store: received, found, used, returned, written off, reserved, released',
  body: MovementSchema,
  megabytes: 1,
  answer: HoldingAnswer,
  status: 200,
  handle: async ({ body, person }) => move(await database(), person ? { ...body, by: person.name } : body),
});
