import { type RegretRequest, regret } from '../../../core/regret';
import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';
import { AROUND, CheckSchema, ElementSchema, LogEntrySchema, MANY, OptionsSchema } from './unit-parts';

/** Every act is looked at two checks ahead where the exact way is too long: more than this takes minutes. */
export const MOST_TO_DECIDE = 300;
const Ids = { kind: oneOf(['check', 'repair'] as const), id: Name, remedy: Type.Optional(Name) };
const RegretRequestSchema = closed(
  {
    elements: Type.Array(ElementSchema, { minItems: 1, maxItems: MOST_TO_DECIDE }),
    checks: Type.Array(CheckSchema, { maxItems: MOST_TO_DECIDE }),
    ...AROUND,
    log: Type.Optional(Type.Array(LogEntrySchema, { maxItems: MANY })),
    options: Type.Optional(OptionsSchema),
    chosen: Type.Union([closed({ check: Name }), closed({ repair: Name, remedy: Type.Optional(Name) })]),
  },
  { $id: 'RegretRequest', title: 'What a decision cost' },
);
const RegretAnswerSchema = closed(
  {
    q: Type.Array(closed({ ...Ids, minutes: Type.Number() })),
    best: closed(Ids),
    regret: Type.Number({ minimum: 0 }),
    method: oneOf(['exact', 'lookahead 2'] as const),
  },
  { $id: 'RegretAnswer' },
);
agrees<Says<typeof RegretRequestSchema, RegretRequest>>();

/** What a decision cost over the best there was */
export const computeRegret = computation({
  name: 'regret',
  summary: 'Minutes expected of every act at a moment, and what the chosen one costs over the best',
  request: RegretRequestSchema,
  megabytes: 16,
  answer: RegretAnswerSchema,
  run: regret,
  heavy: 'regret',
});
