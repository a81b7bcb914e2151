import { Type } from '@sinclair/typebox';
import { BATTERY_FORMS, type BatteryFitRequest, CHEMISTRY_CLASSES, VERDICTS } from '../core/fit';
import { agrees, closed, Name, oneOf, type Says } from './words';

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
  leadMm: Figure,
  protection: Type.Optional(Type.Boolean()),
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
  },
  { $id: 'BatteryFitRequest', title: 'May this battery take the place of that one' },
);
agrees<Says<typeof BatteryFitRequestSchema, BatteryFitRequest>>();

export const BatteryFitAnswerSchema = closed(
  {
    lines: Type.Array(
      closed({
        line: Name,
        verdict: oneOf(VERDICTS),
        old: Type.String(),
        new: Type.String(),
        why: Type.String(),
        work: Type.Optional(Type.Array(Type.String())),
        caution: Type.Optional(Type.String()),
      }),
    ),
    verdict: oneOf(VERDICTS),
    work: Type.Array(Type.String()),
  },
  { $id: 'BatteryFitAnswer' },
);
