import { closed, Moment, Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { type Lessons, resetLessons } from '../../lessons';

const ResetLessonsSchema = closed(
  { since: Type.Union([Moment, Type.Null()]) },
  { $id: 'ResetLessons', title: 'Learn from closed jobs since a moment only; null counts all again' },
);

/** Learn anew from a moment on, or from all closed jobs again. */
export const resetTheLessons = endpoint({
  method: 'post',
  who: 'lead',
  path: '/api/lessons/reset',
  summary: 'Learn anew from a moment on, or from all closed jobs again',
  body: ResetLessonsSchema,
  megabytes: 1,
  answer: Type.Unsafe<Lessons>({ type: 'object' }),
  status: 200,
  handle: async ({ body }) => resetLessons(await database(), body.since),
});
