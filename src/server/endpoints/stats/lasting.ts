import { agrees, closed, type Says, Type } from '../../../core/schema/words';
import { type LastingRequest, lasting } from '../../../core/stats';
import { computation } from '../../endpoint';
import { ConfidenceSchema } from './documents';

const LastingRequestSchema = closed(
  {
    lasted: Type.Number(),
    cameBack: Type.Number(),
    prior: Type.Optional(closed({ mean: Type.Number(), count: Type.Number() })),
    confidence: ConfidenceSchema,
  },
  { $id: 'LastingRequest', title: 'How often a remedy lasted' },
);
agrees<Says<typeof LastingRequestSchema, LastingRequest>>();

/** Chance that a remedy lasts */
export const computeLasting = computation({
  name: 'stats/lasting',
  summary: 'Chance that a remedy lasts, with its interval',
  request: LastingRequestSchema,
  megabytes: 1,
  answer: closed(
    { chance: Type.Number(), low: Type.Number(), high: Type.Number() },
    { $id: 'LastingAnswer' },
  ),
  run: lasting,
});
