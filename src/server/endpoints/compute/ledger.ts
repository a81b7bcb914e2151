import { ledgerOf } from '../../../core/job';
import { closed, Name, oneOf, type Static, Type } from '../../../core/schema/words';
import { LedgerEventSchema } from '../../../schemas/job-event';
import { computation } from '../../endpoint';

const LedgerRequestSchema = closed(
  { events: Type.Array(LedgerEventSchema, { maxItems: 5000 }) },
  { $id: 'LedgerRequest', title: 'What is off, and what may close' },
);
const LedgerAnswerSchema = closed(
  {
    items: Type.Array(
      closed({
        id: Name,
        what: Name,
        taken: Type.Integer(),
        off: Type.Integer(),
        back: Type.Integer(),
        writtenOff: Type.Integer(),
        by: Type.Record(Type.String(), Type.Integer()),
        place: Type.String(),
      }),
    ),
    covers: Type.Array(
      closed({
        cover: Name,
        state: oneOf(['open', 'trial', 'final'] as const),
        finalCloseRefuses: Type.Array(Type.String()),
      }),
    ),
    twins: Type.Array(
      closed({
        a: Name,
        b: Name,
        protrusionMm: Type.Number(),
        differs: oneOf(['length', 'thread'] as const),
      }),
    ),
  },
  { $id: 'LedgerAnswer' },
);
/** Items with state and place, and what a final close would refuse */
export const computeLedger = computation({
  name: 'ledger',
  summary: 'Items with state and place, and what a final close would refuse',
  request: LedgerRequestSchema,
  megabytes: 8,
  answer: LedgerAnswerSchema,
  run: (r: Static<typeof LedgerRequestSchema>) => ledgerOf(r.events),
});
