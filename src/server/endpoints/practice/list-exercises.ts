import { Type } from '../../../core/schema/words';
import { exercisesOf } from '../../../data/exercises';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { practiser } from '../../practice/start';
import { ExerciseSchema } from './documents';

/** Exercises of who asks, the oldest first. */
export const listExercises = endpoint({
  method: 'get',
  who: 'bench',
  path: '/api/practice',
  summary: 'Exercises of who asks, the oldest first',
  body: null,
  megabytes: 0,
  answer: Type.Array(ExerciseSchema),
  status: 200,
  handle: async ({ person }) => exercisesOf((await database()).read, practiser(person)),
});
