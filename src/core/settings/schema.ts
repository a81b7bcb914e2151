import { agrees, closed, Name, oneOf, type Says, Type } from '../schema/words';
import type { JumpersRequest } from '.';

const Position = oneOf(['open', 'closed'] as const);
const Words = Type.Record(Name, Name);

/** What is asked of jumpers: their rules, how this unit is built, how they are set. */
export const JumpersSchema = closed({
  rules: Type.Array(closed({ when: Words, then: Type.Record(Name, Position) }), { maxItems: 500 }),
  options: Words,
  set: Type.Optional(Type.Record(Name, Position)),
});
agrees<Says<typeof JumpersSchema, JumpersRequest>>();
