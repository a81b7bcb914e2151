import { closed, Moment, Name, Type, Ulid } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { playAgain } from '../../practice/start';
import { ExerciseSchema } from './documents';

const PlayAgainSchema = closed(
  { exercise: Ulid, at: Moment, by: Name, decisions: Type.Integer({ minimum: 0, maximum: 1000 }) },
  { $id: 'PlayAgain', title: 'A run gone over again from one of its decisions' },
);

/** Go over a run again from one of its decisions. */
export const playARunAgain = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/practice/{id}/again',
  summary: 'Go over a run again from one of its decisions',
  body: PlayAgainSchema,
  megabytes: 1,
  answer: ExerciseSchema,
  status: 201,
  handle: async ({ body, params, person }) => playAgain(await database(), params.id ?? '', body, person),
});
