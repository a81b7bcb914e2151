import { ChemistryRowSchema } from '../core/chemistry/schema';
import { VERDICTS } from '../core/fit';
import { closed, Name, oneOf, Type } from '../core/schema/words';

export const ChemistryTableSchema = closed(
  {
    version: Type.Integer({ minimum: 0 }),
    rows: Type.Array(ChemistryRowSchema, { minItems: 1, maxItems: 100 }),
  },
  { $id: 'ChemistryTable', title: 'Chemistry rows; the version is the one they were begun from' },
);

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
