import { type OrderRequest, order } from '../../../core/order';
import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const Ids = (max: number) => Type.Array(Name, { maxItems: max });
const Real = Type.Number();
const Words = Type.Record(Name, Name);
const Limit = Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }));
const Setup = { tool: Type.Union([Name, Type.Null()]), sideUp: Type.Union([Name, Type.Null()]) };
const Power = oneOf(['on', 'off'] as const);
const AnyPower = Type.Optional(Type.Union([Power, Type.Null()]));
const OrderRequestSchema = closed(
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
const OrderAnswerSchema = closed(
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
agrees<Says<typeof OrderRequestSchema, OrderRequest>>();

/** The quickest order of moves to a goal */
export const computeOrder = computation({
  name: 'order',
  summary: 'The quickest order of moves to a goal',
  request: OrderRequestSchema,
  megabytes: 4,
  answer: OrderAnswerSchema,
  run: order,
  heavy: 'order',
});
