import { agrees, closed, Line, Name, oneOf, type Says, Type } from '../schema/words';
import { CHEMISTRY_CLASSES, type ChemistryRow } from './row';

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
