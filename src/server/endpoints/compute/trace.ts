import { agrees, closed, Minutes, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { type TraceRequest, trace } from '../../../core/trace';
import { ExpectSchema } from '../../../core/unit/schema';
import { computation } from '../../endpoint';

const Ids = (max: number) => Type.Array(Name, { maxItems: max });
const Power = oneOf(['on', 'off'] as const);
const MANY = 2000;
const Chance = Type.Number({ minimum: 0, maximum: 1 });
const LogEntry = Type.Union([
  closed({ check: Name, outcome: Name }),
  closed({
    check: Name,
    reading: Type.Number(),
    // Whether low lies under high and the tolerance over 0 is judged by the computation, which can name the check.
    expect: closed({ ...ExpectSchema.properties, tolerance: Type.Number() }),
  }),
  closed({ repaired: Name }),
  closed({ tried: Name, element: Name }),
]);
const TraceRequestSchema = closed(
  {
    elements: Type.Array(
      closed({
        id: Name,
        weight: Type.Number(),
        repairMinutes: Type.Optional(Type.Number()),
        q: Type.Optional(Type.Number()),
        needs: Type.Optional(Ids(100)),
        remedies: Type.Optional(
          Type.Array(
            closed({
              id: Name,
              minutes: Type.Number(),
              cost: Type.Optional(Type.Number()),
              fixes: Type.Number(),
            }),
            { maxItems: 12 },
          ),
        ),
      }),
      { minItems: 1, maxItems: MANY },
    ),
    checks: Type.Array(
      closed({
        id: Name,
        exercises: Type.Optional(Ids(MANY)),
        minutes: Type.Number(),
        sensitivity: Type.Optional(Type.Number()),
        falseAlarm: Type.Optional(Type.Number()),
        needs: Type.Optional(Ids(100)),
        power: Type.Optional(Power),
        provokes: Type.Optional(Type.Record(Name, Type.Number())),
        outcomes: Type.Optional(Type.Array(closed({ id: Name, points: Ids(MANY) }), { maxItems: 50 })),
      }),
      { maxItems: MANY },
    ),
    access: Type.Optional(
      Type.Array(closed({ id: Name, minutes: Minutes, needs: Type.Optional(Ids(100)) }), { maxItems: 200 }),
    ),
    opened: Type.Optional(Ids(200)),
    power: Type.Optional(closed({ now: Power, onMinutes: Minutes, offMinutes: Minutes })),
    log: Type.Optional(Type.Array(LogEntry, { maxItems: MANY })),
    options: Type.Optional(
      closed({
        maxFaults: Type.Optional(Type.Union([Type.Literal(1), Type.Literal(2)])),
        pairFactor: Type.Optional(Type.Number()),
        noFaultWeight: Type.Optional(Type.Number()),
        lookahead: Type.Optional(Type.Union([Type.Literal(1), Type.Literal(2)])),
        top: Type.Optional(Type.Integer({ minimum: 1, maximum: MANY * 2 })),
        repeats: Type.Optional(oneOf(['allowed', 'intermittent only'] as const)),
        ratePerMinute: Type.Optional(Type.Number()),
        exact: Type.Optional(Type.Boolean()),
      }),
    ),
  },
  { $id: 'TraceRequest', title: 'What to check next' },
);
const TraceAnswerSchema = closed(
  {
    belief: Type.Array(closed({ id: Name, p: Chance })),
    faultSets: Type.Optional(Type.Array(closed({ ids: Type.Array(Name), p: Chance }))),
    next: Type.Array(
      closed({
        kind: oneOf(['check', 'repair'] as const),
        id: Name,
        remedy: Type.Optional(Name),
        expectedMinutes: Type.Number(),
        pBad: Type.Optional(Chance),
        pOutcomes: Type.Optional(Type.Array(closed({ id: Name, p: Chance }))),
        bits: Type.Optional(Type.Number()),
        openMinutes: Type.Optional(Type.Number()),
        powerMinutes: Type.Optional(Type.Number()),
      }),
    ),
    repairNowMinutes: Type.Number(),
    enough: Type.Boolean(),
    contradiction: Type.Boolean(),
    method: Type.Optional(oneOf(['exact', 'lookahead 1', 'lookahead 2'] as const)),
  },
  { $id: 'TraceAnswer' },
);
agrees<Says<typeof TraceRequestSchema, TraceRequest>>();

/** Suspicion of every element and the next best check */
export const computeTrace = computation({
  name: 'trace',
  summary: 'Suspicion of every element and the next best check',
  request: TraceRequestSchema,
  megabytes: 16,
  answer: TraceAnswerSchema,
  run: trace,
  heavy: 'trace',
});
