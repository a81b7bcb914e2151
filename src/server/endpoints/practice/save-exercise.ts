import { closed, Moment, Text, Type } from '../../../core/schema/words';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { keepExercise } from '../../practice/save';
import { AnswerSchema, ExerciseSchema, JudgedSchema, WaysSchema } from './documents';

const SaveExerciseSchema = closed(
  {
    at: Moment,
    done: Type.Boolean(),
    answer: Type.Optional(AnswerSchema),
    run: Type.Optional(
      closed({
        score: Type.Union([Type.Number({ exclusiveMinimum: 0, maximum: 1 }), Type.Null()]),
        minutes: Type.Number({ minimum: 0 }),
        optimum: Type.Optional(Type.Number({ minimum: 0 })),
        ways: Type.Optional(WaysSchema),
        remember: Text,
      }),
    ),
  },
  { $id: 'SaveExercise', title: 'How far an exercise came' },
);

/** Keep how far an exercise came, or end it. */
export const saveAnExercise = endpoint({
  method: 'put',
  who: 'bench',
  path: '/api/practice/{id}',
  summary: 'Keep how far an exercise came, or end it and have it judged',
  body: SaveExerciseSchema,
  megabytes: 1,
  answer: closed({ exercise: ExerciseSchema, judged: Type.Optional(JudgedSchema) }),
  status: 200,
  handle: async ({ body, params, person }) => keepExercise(await database(), params.id ?? '', body, person),
});
