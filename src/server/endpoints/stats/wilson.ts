import { agrees, closed, type Says, Type } from '../../../core/schema/words';
import { type WilsonRequest, wilson } from '../../../core/stats';
import { computation } from '../../endpoint';
import { ConfidenceSchema, OrNull } from './documents';

const WilsonRequestSchema = closed(
  { successes: Type.Number(), trials: Type.Number(), confidence: ConfidenceSchema },
  { $id: 'WilsonRequest', title: 'A share to be judged' },
);
agrees<Says<typeof WilsonRequestSchema, WilsonRequest>>();

/** A share with its interval */
export const computeWilson = computation({
  name: 'stats/wilson',
  summary: 'A share with its interval, by Wilson',
  request: WilsonRequestSchema,
  megabytes: 1,
  answer: closed({ share: OrNull, low: OrNull, high: OrNull }, { $id: 'WilsonAnswer' }),
  run: wilson,
});
