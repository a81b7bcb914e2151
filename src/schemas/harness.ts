import type { FlatCableRequest } from '../core/flat-cable';
import type { MixupsRequest } from '../core/mixups';
import { HeaderSchema, PlugSchema } from '../core/mixups/schema';
import { agrees, closed, Name, oneOf, type Says, Type } from '../core/schema/words';
import type { SettingsDiffRequest } from '../core/settings';
import { JumpersSchema } from '../core/settings/schema';

const Real = Type.Number();
const MOST = 1000;

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

export const JumpersRequestSchema = closed(JumpersSchema.properties, {
  $id: 'JumpersRequest',
  title: 'Positions jumpers must have on this unit',
});

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
