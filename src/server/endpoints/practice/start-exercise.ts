import { closed, Moment, Name, Type, Ulid } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { startExercise } from '../../practice/start';
import { ExerciseSchema, KindSchema, MadeSchema } from './documents';

const StartExerciseSchema = closed(
  {
    exercise: Ulid,
    at: Moment,
    by: Name,
    kind: KindSchema,
    unit: Type.Optional(Ulid),
    made: Type.Optional(MadeSchema),
    seed: Type.Optional(Type.Integer()),
    coach: Type.Optional(Type.Boolean()),
    element: Type.Optional(Name),
    likeliest: Type.Optional(Type.Boolean()),
    faults: Type.Optional(Type.Union([Type.Literal(1), Type.Literal(2)])),
  },
  { $id: 'StartExercise', title: 'Something to practise' },
);

/** Start an exercise on the practice bench. */
export const startAnExercise = endpoint({
  method: 'post',
  who: 'bench',
  path: '/api/practice',
  summary: 'Start an exercise on the practice bench',
  body: StartExerciseSchema,
  megabytes: 1,
  answer: ExerciseSchema,
  status: 201,
  handle: async ({ body, person }) => startExercise(await database(), body, person),
});
