import { agrees, closed, type Says, Type } from '../../../core/schema/words';
import { type KaplanMeierRequest, kaplanMeier } from '../../../core/stats';
import { computation } from '../../endpoint';
import { ConfidenceSchema, MOST, OrNull } from './documents';

const KaplanMeierRequestSchema = closed(
  {
    followUps: Type.Array(closed({ days: Type.Number(), cameBack: Type.Boolean() }), { maxItems: MOST }),
    confidence: ConfidenceSchema,
  },
  { $id: 'KaplanMeierRequest', title: 'How long repairs were followed' },
);
agrees<Says<typeof KaplanMeierRequestSchema, KaplanMeierRequest>>();

/** How long repairs last */
export const computeKaplanMeier = computation({
  name: 'stats/kaplan-meier',
  summary: 'How long repairs last, where they were not all followed for the same time',
  request: KaplanMeierRequestSchema,
  megabytes: 8,
  answer: closed(
    {
      steps: Type.Array(
        closed({
          days: Type.Number(),
          atRisk: Type.Integer(),
          cameBack: Type.Integer(),
          lasting: Type.Number(),
          standardError: Type.Number(),
          low: OrNull,
          high: OrNull,
        }),
      ),
    },
    { $id: 'KaplanMeierAnswer' },
  ),
  run: kaplanMeier,
});
