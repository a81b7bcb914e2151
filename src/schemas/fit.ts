import { Type } from '@sinclair/typebox';
import type { ChemistryRow } from '../core/chemistry';
import { BATTERY_FORMS, type BatteryFitRequest, CHEMISTRY_CLASSES, MOUNTS, VERDICTS } from '../core/fit';
import { agrees, closed, Line, Name, oneOf, type Says } from './words';

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
  series: Figure,
  parallel: Figure,
  eachVolts: Figure,
  eachAmpHours: Figure,
  cellVolts: Type.Optional(Type.Array(Type.Number(), { maxItems: 400 })),
  mount: Type.Optional(oneOf(MOUNTS)),
  keeps: Type.Optional(Line),
  dateCode: Type.Optional(Name),
});

export const ChemistryRowSchema = closed({
  chemistry: Name,
  class: oneOf(CHEMISTRY_CLASSES),
  points: Type.Array(Type.Tuple([Type.Number(), Type.Number()]), { maxItems: 100 }),
  restHours: Type.Number(),
  doubt: Type.Number(),
  depth: Type.Number(),
  peukert: Type.Number(),
  ratedHours: Type.Number(),
  chargeFactor: Type.Number(),
  mostRate: Type.Number(),
  shelfMonths: Type.Number(),
  lifeYears: Type.Number(),
  usualFrom: Type.Number(),
  usualTo: Type.Number(),
  credibleTo: Type.Number(),
  small: Type.Optional(
    closed({
      underMl: Type.Number(),
      usualFrom: Type.Number(),
      usualTo: Type.Number(),
      credibleTo: Type.Number(),
    }),
  ),
  caution: Line,
  source: Line,
});
agrees<Says<typeof ChemistryRowSchema, ChemistryRow>>();

export const ChemistryTableSchema = closed(
  {
    version: Type.Integer({ minimum: 0 }),
    rows: Type.Array(ChemistryRowSchema, { minItems: 1, maxItems: 100 }),
  },
  { $id: 'ChemistryTable', title: 'Chemistry rows; the version is the one they were begun from' },
);

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
    notes: Type.Array(Type.String()),
  },
  { $id: 'BatteryFitAnswer' },
);
