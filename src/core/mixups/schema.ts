import { closed, Line, Name, oneOf, Type } from '../schema/words';
import { BARE_ENDS, BARE_WANTS, LINE_KINDS } from '.';

const Real = Type.Number();
const Spot = closed({ x: Real, y: Real, board: Name });
const Shape = {
  family: Name,
  pitch: Real,
  rows: Real,
  positions: Real,
  key: Type.Union([Name, Type.Null()]),
  colour: Type.Optional(Name),
};
const MOST_CONTACTS = 400;

export const PlugSchema = closed({
  id: Name,
  home: Name,
  ...Shape,
  wires: Type.Optional(Type.Array(Name, { maxItems: MOST_CONTACTS })),
  exit: Spot,
  freeLength: Real,
  lines: Type.Array(Type.Union([Name, Type.Null()]), { maxItems: MOST_CONTACTS }),
  bundle: Type.Optional(Name),
  route: Type.Optional(Type.Array(Name, { maxItems: 40 })),
  latch: Type.Optional(Name),
  bare: Type.Optional(closed({ end: oneOf(BARE_ENDS), wants: oneOf(BARE_WANTS), polarity: Type.Boolean() })),
  cycles: Type.Optional(closed({ rated: Real, done: Real })),
});

export const HeaderSchema = closed({
  id: Name,
  ...Shape,
  open: Type.Boolean(),
  at: Spot,
  lines: Type.Array(
    closed({
      name: Name,
      kind: oneOf(LINE_KINDS),
      volts: Type.Optional(Real),
      maxVolts: Type.Optional(Real),
    }),
    { maxItems: MOST_CONTACTS },
  ),
  landmark: Type.Optional(Line),
  easyToMiss: Type.Optional(Type.Boolean()),
  leave: Type.Optional(Line),
});
