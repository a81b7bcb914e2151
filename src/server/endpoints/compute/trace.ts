import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { type TraceRequest, trace } from '../../../core/trace';
import { computation } from '../../endpoint';
import {
  AROUND,
  Chance,
  CheckSchema,
  ElementSchema,
  LogEntrySchema,
  MANY,
  OptionsSchema,
} from './unit-parts';

const TraceRequestSchema = closed(
  {
    elements: Type.Array(ElementSchema, { minItems: 1, maxItems: MANY }),
    checks: Type.Array(CheckSchema, { maxItems: MANY }),
    ...AROUND,
    log: Type.Optional(Type.Array(LogEntrySchema, { maxItems: MANY })),
    options: Type.Optional(OptionsSchema),
  },
  { $id: 'TraceRequest', title: 'What to check next' },
);
const TraceAnswerSchema = closed(
  {
    belief: Type.Array(closed({ id: Name, p: Chance })),
    faultSets: Type.Optional(Type.Array(closed({ ids: Type.Array(Name), p: Chance }))),
    next: Type.Array(
      closed({
        kind: oneOf(['check', 'repair'] as const),
        id: Name,
        remedy: Type.Optional(Name),
        expectedMinutes: Type.Number(),
        pBad: Type.Optional(Chance),
        pOutcomes: Type.Optional(Type.Array(closed({ id: Name, p: Chance }))),
        bits: Type.Optional(Type.Number()),
        openMinutes: Type.Optional(Type.Number()),
        powerMinutes: Type.Optional(Type.Number()),
      }),
    ),
    repairNowMinutes: Type.Number(),
    enough: Type.Boolean(),
    contradiction: Type.Boolean(),
    method: Type.Optional(oneOf(['exact', 'lookahead 1', 'lookahead 2'] as const)),
  },
  { $id: 'TraceAnswer' },
);
agrees<Says<typeof TraceRequestSchema, TraceRequest>>();

/** Suspicion of every element and the next best check */
export const computeTrace = computation({
  name: 'trace',
  summary: 'Suspicion of every element and the next best check',
  request: TraceRequestSchema,
  megabytes: 16,
  answer: TraceAnswerSchema,
  run: trace,
  heavy: 'trace',
});
