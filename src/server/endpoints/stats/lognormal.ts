import { agrees, closed, oneOf, type Says, Type } from '../../../core/schema/words';
import { type LognormalRequest, lognormal } from '../../../core/stats';
import { computation } from '../../endpoint';
import { MOST } from './documents';

const LognormalRequestSchema = closed(
  {
    minutes: Type.Array(Type.Number(), { maxItems: MOST }),
    quantiles: Type.Array(Type.Number(), { maxItems: 1000 }),
    default: Type.Optional(Type.Number()),
  },
  { $id: 'LognormalRequest', title: 'How long something took' },
);
agrees<Says<typeof LognormalRequestSchema, LognormalRequest>>();

/** How long something takes */
export const computeLognormal = computation({
  name: 'stats/lognormal',
  summary: 'How long something takes, from how long it took',
  request: LognormalRequestSchema,
  megabytes: 8,
  answer: closed(
    {
      n: Type.Integer(),
      median: Type.Number(),
      sigma: Type.Number(),
      quantiles: Type.Array(closed({ p: Type.Number(), minutes: Type.Number() })),
      method: oneOf(['lognormal', 'default'] as const),
    },
    { $id: 'LognormalAnswer' },
  ),
  run: lognormal,
});
