import { type FlatCableRequest, flatCable } from '../../../core/flat-cable';
import { agrees, closed, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const Real = Type.Number();
const Side = oneOf(['up', 'down'] as const);
const End = Type.Union([Side, closed({ contacts: Side, latch: Type.Optional(Name) })]);
const FlatCableRequestSchema = closed(
  {
    cable: oneOf(['same', 'opposite'] as const),
    a: End,
    b: End,
    folds: Type.Optional(Real),
    contacts: Type.Optional(closed({ cable: Real, a: Real, b: Real })),
  },
  { $id: 'FlatCableRequest', title: 'Does this flat cable suit its two headers' },
);
const FlatCableAnswerSchema = closed(
  {
    fits: Type.Boolean(),
    why: Type.String(),
    needed: oneOf(['same', 'opposite'] as const),
    latches: Type.Array(
      closed({ end: oneOf(['a', 'b'] as const), opens: Type.String(), breaks: Type.String() }),
    ),
  },
  { $id: 'FlatCableAnswer' },
);
agrees<Says<typeof FlatCableRequestSchema, FlatCableRequest>>();

/** Whether a flat cable suits its two headers */
export const computeFlatCable = computation({
  name: 'flat-cable',
  summary: 'Whether a flat cable suits its two headers',
  request: FlatCableRequestSchema,
  megabytes: 1,
  answer: FlatCableAnswerSchema,
  run: flatCable,
});
