import { Type } from '@sinclair/typebox';
import type { BoardFitRequest } from '../core/board';
import type { FlatCableRequest } from '../core/flat-cable';
import { BARE_ENDS, BARE_WANTS, LINE_KINDS, type MixupsRequest } from '../core/mixups';
import type { JumpersRequest, SettingsDiffRequest } from '../core/settings';
import { agrees, closed, Line, Name, oneOf, type Says } from './words';

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
const MOST = 1000;
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

export const MixupsRequestSchema = closed(
  {
    plugs: Type.Array(PlugSchema, { maxItems: MOST }),
    headers: Type.Array(HeaderSchema, { maxItems: MOST }),
  },
  { $id: 'MixupsRequest', title: 'What could be plugged in wrongly' },
);
agrees<Says<typeof MixupsRequestSchema, MixupsRequest>>();

export const MixupsAnswerSchema = closed(
  {
    risks: Type.Array(
      closed({
        plug: Name,
        header: Name,
        how: oneOf(['wrong header', 'reversed', 'shifted'] as const),
        shift: Type.Optional(Type.Integer()),
        effect: Type.String(),
        severity: Type.Integer({ minimum: 0, maximum: 3 }),
        why: Type.String(),
      }),
    ),
    labels: Type.Array(Name),
    orientationMarks: Type.Array(Name),
    told: Type.Array(closed({ plugs: Type.Array(Name, { minItems: 2, maxItems: 2 }), by: Type.String() })),
    fewest: Type.Boolean(),
  },
  { $id: 'MixupsAnswer' },
);

const Side = oneOf(['up', 'down'] as const);
const End = Type.Union([Side, closed({ contacts: Side, latch: Type.Optional(Name) })]);

export const FlatCableRequestSchema = closed(
  {
    cable: oneOf(['same', 'opposite'] as const),
    a: End,
    b: End,
    folds: Type.Optional(Real),
    contacts: Type.Optional(closed({ cable: Real, a: Real, b: Real })),
  },
  { $id: 'FlatCableRequest', title: 'Does this flat cable suit its two headers' },
);
agrees<Says<typeof FlatCableRequestSchema, FlatCableRequest>>();

export const FlatCableAnswerSchema = closed(
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

const Position = oneOf(['open', 'closed'] as const);
const Words = Type.Record(Name, Name);

export const JumpersRequestSchema = closed(
  {
    rules: Type.Array(closed({ when: Words, then: Type.Record(Name, Position) }), { maxItems: 500 }),
    options: Words,
    set: Type.Optional(Type.Record(Name, Position)),
  },
  { $id: 'JumpersRequest', title: 'Positions jumpers must have on this unit' },
);
agrees<Says<typeof JumpersRequestSchema, JumpersRequest>>();

export const JumpersAnswerSchema = closed(
  {
    required: Type.Record(Type.String(), Position),
    differences: Type.Array(
      closed({ jumper: Name, required: Position, set: Type.Union([Position, Type.Null()]) }),
    ),
  },
  { $id: 'JumpersAnswer' },
);

const Dump = Type.String({ maxLength: 500_000 });

export const SettingsDiffRequestSchema = closed(
  {
    before: Dump,
    after: Dump,
    mustDiffer: Type.Optional(Type.Array(Name, { maxItems: 1000 })),
    tolerance: Type.Optional(Real),
  },
  { $id: 'SettingsDiffRequest', title: 'Two dumps of settings, key by key' },
);
agrees<Says<typeof SettingsDiffRequestSchema, SettingsDiffRequest>>();

const KeyValue = closed({ key: Type.String(), value: Type.String() });

export const SettingsDiffAnswerSchema = closed(
  {
    changed: Type.Array(closed({ key: Type.String(), before: Type.String(), after: Type.String() })),
    added: Type.Array(KeyValue),
    removed: Type.Array(KeyValue),
    verdict: Type.Record(Type.String(), Type.String()),
  },
  { $id: 'SettingsDiffAnswer' },
);

const Hole = closed({ x: Real, y: Real });
const BoardSheet = closed({
  name: Type.Optional(Name),
  headers: Type.Optional(
    Type.Array(
      closed({
        id: Name,
        positions: Real,
        lines: HeaderSchema.properties.lines,
        key: Type.Union([Name, Type.Null()]),
      }),
      { maxItems: 100 },
    ),
  ),
  holes: Type.Optional(Type.Array(Hole, { maxItems: 60 })),
  widthMm: Type.Optional(Real),
  heightMm: Type.Optional(Real),
  supplyMin: Type.Optional(Real),
  supplyMax: Type.Optional(Real),
  firmware: Type.Optional(Name),
  carries: Type.Optional(Type.Array(Name, { maxItems: 30 })),
  control: Type.Optional(Name),
});

/** Old and new board, as they are compared in a job. */
export const BoardFitRequestSchema = closed({
  old: BoardSheet,
  new: BoardSheet,
  supplyVolts: Type.Optional(Real),
  jumpers: Type.Optional(
    closed({
      rules: JumpersRequestSchema.properties.rules,
      options: Words,
      set: Type.Optional(Type.Record(Name, Position)),
    }),
  ),
});
agrees<Says<typeof BoardFitRequestSchema, BoardFitRequest>>();
