import type { OrderRequest } from '../core/order';
import type { ProveRequest } from '../core/prove';
import type { ScheduleRequest } from '../core/schedule';
import { agrees, closed, Minutes, Name, oneOf, type Says, Type } from '../core/schema/words';
import type { TightenRequest } from '../core/tighten';
import type { TraceRequest } from '../core/trace';
import { ExpectSchema } from '../core/unit/schema';
import { LedgerEventSchema } from './job-event';

const Ids = (max: number) => Type.Array(Name, { maxItems: max });
const Power = oneOf(['on', 'off'] as const);
const MANY = 2000;

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

export const TraceRequestSchema = closed(
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
      }),
    ),
  },
  { $id: 'TraceRequest', title: 'What to check next' },
);

agrees<Says<typeof TraceRequestSchema, TraceRequest>>();

const Chance = Type.Number({ minimum: 0, maximum: 1 });
export const TraceAnswerSchema = closed(
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
  },
  { $id: 'TraceAnswer' },
);

export const LedgerRequestSchema = closed(
  { events: Type.Array(LedgerEventSchema, { maxItems: 5000 }) },
  { $id: 'LedgerRequest', title: 'What is off, and what may close' },
);

export const LedgerAnswerSchema = closed(
  {
    items: Type.Array(
      Type.Object({
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

const Real = Type.Number();
export const TightenRequestSchema = closed(
  {
    points: Type.Array(closed({ id: Name, x: Real, y: Real }), { minItems: 1, maxItems: 500 }),
    torque: Type.Optional(Real),
    lid: Type.Optional(oneOf(['metal', 'plastic'] as const)),
  },
  { $id: 'TightenRequest', title: 'Order and passes for the screws of a lid' },
);
agrees<Says<typeof TightenRequestSchema, TightenRequest>>();

export const TightenAnswerSchema = closed(
  {
    passes: Type.Array(
      closed({ name: Name, fraction: Chance, torque: Type.Optional(Real), sequence: Type.Array(Name) }),
    ),
  },
  { $id: 'TightenAnswer' },
);

export const ProveRequestSchema = closed(
  {
    closing: Type.Array(
      closed({
        id: Name,
        minutes: Real,
        undoMinutes: Type.Optional(Real),
        testableAfter: Type.Optional(Type.Boolean()),
        holdOpenMinutes: Type.Optional(Real),
      }),
      { maxItems: 1000 },
    ),
    testMinutes: Real,
    pFail: Real,
  },
  { $id: 'ProveRequest', title: 'Where on the way back a test costs least' },
);
agrees<Says<typeof ProveRequestSchema, ProveRequest>>();

export const ProveAnswerSchema = closed(
  {
    places: Type.Array(closed({ after: Type.Union([Name, Type.Null()]), expectedMinutes: Real })),
    best: Type.Union([Name, Type.Null()]),
    skipMinutes: Real,
  },
  { $id: 'ProveAnswer' },
);

const Words = Type.Record(Name, Name);
const Setup = { tool: Type.Union([Name, Type.Null()]), sideUp: Type.Union([Name, Type.Null()]) };
const AnyPower = Type.Optional(Type.Union([Power, Type.Null()]));
const Limit = Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }));

export const OrderRequestSchema = closed(
  {
    moves: Type.Array(
      closed({
        id: Name,
        minutes: Real,
        after: Type.Optional(Ids(1000)),
        afterAny: Type.Optional(Type.Array(Ids(1000), { maxItems: 50 })),
        ...Setup,
        power: AnyPower,
        ways: Type.Optional(
          Type.Array(closed({ ...Setup, minutes: Real, after: Type.Optional(Ids(1000)) }), { maxItems: 10 }),
        ),
        when: Type.Optional(Words),
      }),
      { maxItems: 1000 },
    ),
    goal: Ids(1000),
    done: Type.Optional(Ids(1000)),
    start: Type.Optional(
      closed({ tool: Type.Optional(Setup.tool), sideUp: Type.Optional(Setup.sideUp), power: AnyPower }),
    ),
    toolMinutes: Real,
    flipMinutes: Type.Union([Real, Type.Record(Name, Real)]),
    powerMinutes: Type.Optional(Real),
    options: Type.Optional(Words),
    keep: Type.Optional(Type.Array(closed({ from: Name, until: Name, sides: Ids(50) }), { maxItems: 50 })),
    timeLimitMs: Limit,
  },
  { $id: 'OrderRequest', title: 'The quickest way in or out' },
);
agrees<Says<typeof OrderRequestSchema, OrderRequest>>();

export const OrderAnswerSchema = closed(
  {
    order: Type.Array(Name),
    minutes: Real,
    toolChanges: Type.Integer(),
    flips: Type.Integer(),
    powerChanges: Type.Optional(Type.Integer()),
    optimal: Type.Boolean(),
    lowerBound: Real,
  },
  { $id: 'OrderAnswer' },
);

export const ScheduleRequestSchema = closed(
  {
    tasks: Type.Array(closed({ id: Name, handsOn: Real, handsOff: Real, after: Type.Optional(Ids(500)) }), {
      maxItems: 500,
    }),
    timeLimitMs: Limit,
  },
  { $id: 'ScheduleRequest', title: 'Earliest finish with one pair of hands' },
);
agrees<Says<typeof ScheduleRequestSchema, ScheduleRequest>>();

export const ScheduleAnswerSchema = closed(
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
