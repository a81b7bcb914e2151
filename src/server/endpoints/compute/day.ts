import { type DayRequest, day } from '../../../core/day';
import { agrees, closed, Name, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const Place = closed({ place: Name, at: Type.Number() });
const DayRequestSchema = closed(
  {
    jobs: Type.Array(
      closed({
        id: Name,
        place: Name,
        tasks: Type.Array(
          closed({
            id: Name,
            handsOn: Type.Number(),
            handsOff: Type.Number(),
            after: Type.Optional(Type.Array(Name, { maxItems: 20 })),
            sigma: Type.Optional(Type.Number()),
          }),
          { maxItems: 20 },
        ),
        from: Type.Optional(Type.Number()),
        until: Type.Optional(Type.Number()),
        mustToday: Type.Optional(Type.Boolean()),
        worth: Type.Optional(Type.Number()),
        mayLeave: Type.Optional(Type.Boolean()),
      }),
      { maxItems: 60 },
    ),
    travel: Type.Array(closed({ from: Name, to: Name, minutes: Type.Number() }), { maxItems: 5000 }),
    start: Place,
    end: closed({ place: Type.Optional(Name), at: Type.Number() }),
    done: Type.Optional(
      Type.Array(closed({ job: Name, task: Name, end: Type.Number() }), { maxItems: 1200 }),
    ),
    busy: Type.Optional(
      Type.Array(closed({ from: Type.Number(), until: Type.Number(), place: Type.Optional(Name) }), {
        maxItems: 60,
      }),
    ),
    order: Type.Optional(Type.Array(Name, { maxItems: 60 })),
    quantile: Type.Optional(Type.Number()),
    seed: Type.Optional(Type.Number()),
    samples: Type.Optional(Type.Number()),
    timeLimitMs: Type.Optional(Type.Number({ minimum: 0, maximum: 30_000 })),
  },
  { $id: 'DayRequest', title: 'One technician’s day; minutes from midnight' },
);
agrees<Says<typeof DayRequestSchema, DayRequest>>();

/** The best day of one technician. */
export const computeDay = computation({
  name: 'day',
  summary: 'Which jobs a day holds, in which order, whose waits overlap, and how likely it holds',
  request: DayRequestSchema,
  megabytes: 2,
  answer: closed(
    {
      visits: Type.Array(closed({ job: Name, place: Name, arrive: Type.Number(), leave: Type.Number() })),
      tasks: Type.Array(closed({ job: Name, task: Name, start: Type.Number(), end: Type.Number() })),
      left: Type.Array(Name),
      worthLeft: Type.Number(),
      finish: Type.Number(),
      travelMinutes: Type.Number(),
      holds: Type.Optional(Type.Number()),
      optimal: Type.Boolean(),
      lowerBound: closed({ worthLeft: Type.Number(), finish: Type.Number() }),
    },
    { $id: 'DayAnswer' },
  ),
  run: day,
  heavy: 'day',
});
