import { type MixupsRequest, mixups, type Severity } from '../../../core/mixups';
import { HeaderSchema, PlugSchema } from '../../../core/mixups/schema';
import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const MOST = 1000;
const MixupsRequestSchema = closed(
  {
    plugs: Type.Array(PlugSchema, { maxItems: MOST }),
    headers: Type.Array(HeaderSchema, { maxItems: MOST }),
  },
  { $id: 'MixupsRequest', title: 'What could be plugged in wrongly' },
);
const MixupsAnswerSchema = closed(
  {
    risks: Type.Array(
      closed({
        plug: Name,
        header: Name,
        how: oneOf(['wrong header', 'reversed', 'shifted'] as const),
        shift: Type.Optional(Type.Integer()),
        effect: Type.String(),
        severity: Type.Unsafe<Severity>(Type.Integer({ minimum: 0, maximum: 3 })),
        why: Type.String(),
      }),
    ),
    labels: Type.Array(Name),
    orientationMarks: Type.Array(Name),
    told: Type.Array(closed({ plugs: Type.Tuple([Name, Name]), by: Type.String() })),
    fewest: Type.Boolean(),
  },
  { $id: 'MixupsAnswer' },
);
agrees<Says<typeof MixupsRequestSchema, MixupsRequest>>();

/** What could be plugged in wrongly, and the fewest labels */
export const computeMixups = computation({
  name: 'mixups',
  summary: 'What could be plugged in wrongly, and the fewest labels',
  request: MixupsRequestSchema,
  megabytes: 8,
  answer: MixupsAnswerSchema,
  run: mixups,
  heavy: 'mixups',
});
