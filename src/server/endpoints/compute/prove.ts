import { bestTest, type ProveRequest } from '../../../core/prove';
import { agrees, closed, Name, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

const Real = Type.Number();
const ProveRequestSchema = closed(
  {
    closing: Type.Array(
      closed({
        id: Name,
        minutes: Real,
        undoMinutes: Type.Optional(Real),
        testableAfter: Type.Optional(Type.Boolean()),
        holdOpenMinutes: Type.Optional(Real),
      }),
      { maxItems: 1000 },
    ),
    testMinutes: Real,
    pFail: Real,
  },
  { $id: 'ProveRequest', title: 'Where on the way back a test costs least' },
);
const ProveAnswerSchema = closed(
  {
    places: Type.Array(closed({ after: Type.Union([Name, Type.Null()]), expectedMinutes: Real })),
    best: Type.Union([Name, Type.Null()]),
    skipMinutes: Real,
  },
  { $id: 'ProveAnswer' },
);
agrees<Says<typeof ProveRequestSchema, ProveRequest>>();

/** Where on the way back a test costs least */
export const computeProve = computation({
  name: 'prove',
  summary: 'Where on the way back a test costs least',
  request: ProveRequestSchema,
  megabytes: 1,
  answer: ProveAnswerSchema,
  run: bestTest,
});
