import { expectedCost } from '../../../core/cost';
import { closed, Minutes, Name, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const Money = Type.Number();
const CostRequestSchema = closed(
  {
    remedies: Type.Array(
      closed({
        id: Name,
        minutes: Type.Number(),
        parts: Type.Optional(Money),
        travel: Type.Optional(Money),
        lasts: Type.Number(),
      }),
      { maxItems: 100 },
    ),
    ratePerHour: Money,
    refer: closed({ price: Money, minutes: Type.Optional(Minutes) }),
  },
  { $id: 'CostRequest', title: 'A ladder with what each rung takes; money in minor units' },
);

/** What a repair comes to in the end, by the rung it begins with. */
export const computeCosts = computation({
  name: 'costs',
  summary: 'What a repair comes to in the end, by the rung it begins with: money and minutes',
  request: CostRequestSchema,
  megabytes: 1,
  answer: closed(
    {
      costs: Type.Array(closed({ id: Type.String(), expected: Type.Number(), minutes: Type.Number() })),
      cheapest: Type.Union([Type.String(), Type.Null()]),
      soonest: Type.Union([Type.String(), Type.Null()]),
    },
    { $id: 'CostAnswer' },
  ),
  run: expectedCost,
});
