import { type HandWaysRequest, handWays } from '../../../core/regret';
import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';
import { MOST_TO_DECIDE } from './regret';
import { AROUND, CheckSchema, ElementSchema, OptionsSchema } from './unit-parts';

const HandWaysRequestSchema = closed(
  {
    elements: Type.Array(ElementSchema, { minItems: 1, maxItems: MOST_TO_DECIDE }),
    checks: Type.Array(CheckSchema, { maxItems: MOST_TO_DECIDE }),
    ...AROUND,
    options: Type.Optional(OptionsSchema),
  },
  { $id: 'HandWaysRequest', title: 'Ways of finding a fault, compared' },
);
const HandWaysAnswerSchema = closed(
  {
    optimum: closed({ minutes: Type.Number(), method: oneOf(['exact', 'lookahead 2'] as const) }),
    ways: Type.Array(
      closed({ name: Name, minutes: Type.Number(), score: Type.Number({ minimum: 0, maximum: 1 }) }),
    ),
  },
  { $id: 'HandWaysAnswer' },
);
agrees<Says<typeof HandWaysRequestSchema, HandWaysRequest>>();

/** What the usual ways of finding a fault cost on a unit, beside the best there is */
export const computeHandWays = computation({
  name: 'hand-ways',
  summary: 'Mean minutes of the usual ways of finding a fault on a unit, beside the best there is',
  request: HandWaysRequestSchema,
  megabytes: 16,
  answer: HandWaysAnswerSchema,
  run: handWays,
  heavy: 'handWays',
});
