import { type ScheduleRequest, schedule } from '../../../core/schedule';
import { agrees, closed, Name, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const Ids = (max: number) => Type.Array(Name, { maxItems: max });
const Real = Type.Number();
const Limit = Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }));
const ScheduleRequestSchema = closed(
  {
    tasks: Type.Array(closed({ id: Name, handsOn: Real, handsOff: Real, after: Type.Optional(Ids(500)) }), {
      maxItems: 500,
    }),
    timeLimitMs: Limit,
  },
  { $id: 'ScheduleRequest', title: 'Earliest finish with one pair of hands' },
);
const ScheduleAnswerSchema = closed(
  {
    start: Type.Record(Type.String(), Real),
    minutes: Real,
    critical: Type.Array(Name),
    free: Type.Array(closed({ from: Real, to: Real })),
    optimal: Type.Boolean(),
    lowerBound: Real,
  },
  { $id: 'ScheduleAnswer' },
);
agrees<Says<typeof ScheduleRequestSchema, ScheduleRequest>>();

/** Earliest finish with one pair of hands */
export const computeSchedule = computation({
  name: 'schedule',
  summary: 'Earliest finish with one pair of hands',
  request: ScheduleRequestSchema,
  megabytes: 4,
  answer: ScheduleAnswerSchema,
  run: schedule,
});
