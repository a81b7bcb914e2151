import { CHEMISTRY_CLASSES } from '../chemistry';
import { ChemistryRowSchema } from '../chemistry/schema';
import { agrees, closed, Line, Name, oneOf, type Says, Type } from '../schema/words';
import { BATTERY_FORMS, type BatteryFitRequest, MOUNTS } from '.';

const Figure = Type.Optional(Type.Number());
const Sheet = closed({
  chemistry: Type.Optional(oneOf(CHEMISTRY_CLASSES)),
  form: Type.Optional(oneOf(BATTERY_FORMS)),
  lengthMm: Figure,
  widthMm: Figure,
  thicknessMm: Figure,
  volts: Figure,
  cellChargeV: Figure,
  ampHours: Figure,
  foundAmpHours: Figure,
  maxAmps: Figure,
  contacts: Type.Optional(Type.Array(oneOf(['+', '-', 'T'] as const), { maxItems: 12 })),
  plug: Type.Optional(Name),
  plugFacing: Type.Optional(Line),
  leadFold: Type.Optional(Line),
  outline: Type.Optional(Line),
  leadMm: Figure,
  protection: Type.Optional(Type.Boolean()),
  series: Figure,
  parallel: Figure,
  eachVolts: Figure,
  eachAmpHours: Figure,
  cellVolts: Type.Optional(Type.Array(Type.Number(), { maxItems: 400 })),
  mount: Type.Optional(oneOf(MOUNTS)),
  keeps: Type.Optional(Line),
  dateCode: Type.Optional(Name),
});

export const BatteryFitRequestSchema = closed(
  {
    old: Sheet,
    new: Sheet,
    bay: Type.Optional(
      closed({ lengthMm: Type.Number(), widthMm: Type.Number(), thicknessMm: Type.Number() }),
    ),
    loadAmps: Figure,
    chargerAmps: Figure,
    today: Type.Optional(Name),
    rows: Type.Optional(Type.Array(ChemistryRowSchema, { minItems: 1, maxItems: 100 })),
  },
  { $id: 'BatteryFitRequest', title: 'May this battery take the place of that one' },
);
agrees<Says<typeof BatteryFitRequestSchema, BatteryFitRequest>>();
