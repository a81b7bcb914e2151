import { batteryFit, VERDICTS } from '../../../core/fit';
import { BatteryFitRequestSchema } from '../../../core/fit/schema';
import { closed, Name, oneOf, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const BatteryFitAnswerSchema = closed(
  {
    lines: Type.Array(
      closed({
        line: Name,
        verdict: oneOf(VERDICTS),
        old: Type.String(),
        new: Type.String(),
        why: Type.String(),
        work: Type.Optional(Type.Array(Type.String())),
        caution: Type.Optional(Type.String()),
      }),
    ),
    verdict: oneOf(VERDICTS),
    work: Type.Array(Type.String()),
    notes: Type.Array(Type.String()),
  },
  { $id: 'BatteryFitAnswer' },
);
/** Whether one battery may take the place of another, line by line */
export const computeFit = computation({
  name: 'fit',
  summary: 'Whether one battery may take the place of another, line by line',
  request: BatteryFitRequestSchema,
  megabytes: 1,
  answer: BatteryFitAnswerSchema,
  run: batteryFit,
});
