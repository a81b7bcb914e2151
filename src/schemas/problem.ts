import { Type } from '../core/schema/words';
/** RFC 9457 problem details, with the JSON pointer of the field that is wrong. */
export const ProblemSchema = Type.Object(
  {
    type: Type.String(),
    title: Type.String(),
    status: Type.Integer(),
    detail: Type.String(),
    path: Type.Optional(Type.String()),
    event: Type.Optional(Type.String()),
  },
  { $id: 'Problem' },
);
