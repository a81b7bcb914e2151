import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { type TightenRequest, tighten } from '../../../core/tighten';
import { computation } from '../../endpoint';

const Real = Type.Number();
const Chance = Type.Number({ minimum: 0, maximum: 1 });
const TightenRequestSchema = closed(
  {
    points: Type.Array(closed({ id: Name, x: Real, y: Real }), { minItems: 1, maxItems: 500 }),
    torque: Type.Optional(Real),
    lid: Type.Optional(oneOf(['metal', 'plastic'] as const)),
  },
  { $id: 'TightenRequest', title: 'Order and passes for the screws of a lid' },
);
const TightenAnswerSchema = closed(
  {
    passes: Type.Array(
      closed({ name: Name, fraction: Chance, torque: Type.Optional(Real), sequence: Type.Array(Name) }),
    ),
  },
  { $id: 'TightenAnswer' },
);
agrees<Says<typeof TightenRequestSchema, TightenRequest>>();

/** Order and passes for the screws of a lid */
export const computeTighten = computation({
  name: 'tighten',
  summary: 'Order and passes for the screws of a lid',
  request: TightenRequestSchema,
  megabytes: 1,
  answer: TightenAnswerSchema,
  run: tighten,
});
