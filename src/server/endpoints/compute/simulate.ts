import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { type SimulateRequest, simulate } from '../../../core/simulate';
import { computation } from '../../endpoint';
import { AROUND, CheckSchema, ElementSchema, MANY, ReadingExpectSchema } from './unit-parts';

const SimulateRequestSchema = closed(
  {
    elements: Type.Array(ElementSchema, { minItems: 1, maxItems: MANY }),
    checks: Type.Array(closed({ ...CheckSchema.properties, expect: Type.Optional(ReadingExpectSchema) }), {
      maxItems: MANY,
    }),
    ...AROUND,
    hidden: closed({
      faults: Type.Array(
        closed({ id: Name, pattern: oneOf(['always', 'now and then', 'rarely'] as const) }),
        { maxItems: 20 },
      ),
    }),
    seed: Type.Integer(),
    acts: Type.Array(
      Type.Union([
        closed({ check: Name }),
        closed({ tried: Name, element: Name }),
        closed({ repaired: Name }),
      ]),
      { maxItems: MANY },
    ),
  },
  { $id: 'SimulateRequest', title: 'What a unit with hidden faults answers' },
);
const SimulateAnswerSchema = closed(
  {
    answers: Type.Array(
      Type.Union([
        closed({ outcome: Name }),
        closed({ reading: Type.Number() }),
        closed({ mended: Type.Boolean() }),
      ]),
    ),
    minutes: Type.Array(Type.Number()),
    totalMinutes: Type.Number(),
  },
  { $id: 'SimulateAnswer' },
);
agrees<Says<typeof SimulateRequestSchema, SimulateRequest>>();

/** What a unit with hidden faults answers to what is done on it */
export const computeSimulate = computation({
  name: 'simulate',
  summary: 'What a unit with hidden faults answers to what is done on it, and the minutes it takes',
  request: SimulateRequestSchema,
  megabytes: 16,
  answer: SimulateAnswerSchema,
  run: simulate,
  heavy: 'simulate',
});
