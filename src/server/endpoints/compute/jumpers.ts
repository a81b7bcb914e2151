import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { type JumpersRequest, jumpers } from '../../../core/settings';
import { JumpersSchema } from '../../../core/settings/schema';
import { computation } from '../../endpoint';

const Position = oneOf(['open', 'closed'] as const);
const JumpersRequestSchema = closed(JumpersSchema.properties, {
  $id: 'JumpersRequest',
  title: 'Positions jumpers must have on this unit',
});

const JumpersAnswerSchema = closed(
  {
    required: Type.Record(Type.String(), Position),
    differences: Type.Array(
      closed({ jumper: Name, required: Position, set: Type.Union([Position, Type.Null()]) }),
    ),
  },
  { $id: 'JumpersAnswer' },
);
agrees<Says<typeof JumpersRequestSchema, JumpersRequest>>();

/** Positions jumpers must have, against what is set */
export const computeJumpers = computation({
  name: 'jumpers',
  summary: 'Positions jumpers must have, against what is set',
  request: JumpersRequestSchema,
  megabytes: 1,
  answer: JumpersAnswerSchema,
  run: jumpers,
});
