import { closed, Minutes, Name, oneOf, Type } from '../../../core/schema/words';
import { ExpectSchema } from '../../../core/unit/schema';

/** What computations about finding a fault take alike: the elements, checks and covers of a unit, and its log. */
export const MANY = 2000;
const Ids = (max: number) => Type.Array(Name, { maxItems: max });
export const PowerSchema = oneOf(['on', 'off'] as const);
export const Chance = Type.Number({ minimum: 0, maximum: 1 });
/** Whether low lies under high and the tolerance over 0 is judged by the computation, which can name the check. */
export const ReadingExpectSchema = closed({ ...ExpectSchema.properties, tolerance: Type.Number() });
export const LogEntrySchema = Type.Union([
  closed({ check: Name, outcome: Name }),
  closed({ check: Name, reading: Type.Number(), expect: ReadingExpectSchema }),
  closed({ repaired: Name }),
  closed({ tried: Name, element: Name }),
]);
export const ElementSchema = closed({
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
  power: Type.Optional(PowerSchema),
});
export const CheckSchema = closed({
  id: Name,
  exercises: Type.Optional(Ids(MANY)),
  minutes: Type.Number(),
  sensitivity: Type.Optional(Type.Number()),
  falseAlarm: Type.Optional(Type.Number()),
  needs: Type.Optional(Ids(100)),
  power: Type.Optional(PowerSchema),
  provokes: Type.Optional(Type.Record(Name, Type.Number())),
  outcomes: Type.Optional(Type.Array(closed({ id: Name, points: Ids(MANY) }), { maxItems: 50 })),
});
const AccessListSchema = Type.Array(closed({ id: Name, minutes: Minutes, needs: Type.Optional(Ids(100)) }), {
  maxItems: 200,
});
const OpenedSchema = Ids(200);
const PowerNowSchema = closed({ now: PowerSchema, onMinutes: Minutes, offMinutes: Minutes });
export const OptionsSchema = closed({
  maxFaults: Type.Optional(Type.Union([Type.Literal(1), Type.Literal(2)])),
  pairFactor: Type.Optional(Type.Number()),
  noFaultWeight: Type.Optional(Type.Number()),
  lookahead: Type.Optional(Type.Union([Type.Literal(1), Type.Literal(2)])),
  top: Type.Optional(Type.Integer({ minimum: 1, maximum: MANY * 2 })),
  repeats: Type.Optional(oneOf(['allowed', 'intermittent only'] as const)),
  ratePerMinute: Type.Optional(Type.Number()),
  exact: Type.Optional(Type.Boolean()),
});
/** What stands around the elements and checks of every such request. */
export const AROUND = {
  access: Type.Optional(AccessListSchema),
  opened: Type.Optional(OpenedSchema),
  power: Type.Optional(PowerNowSchema),
};
