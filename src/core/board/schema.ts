import { HeaderSchema } from '../mixups/schema';
import { agrees, closed, Name, type Says, Type } from '../schema/words';
import { JumpersSchema } from '../settings/schema';
import type { BoardFitRequest } from '.';

const Real = Type.Number();
const Hole = closed({ x: Real, y: Real });
const BoardSheet = closed({
  name: Type.Optional(Name),
  numbers: Type.Optional(Type.Array(Name, { maxItems: 12 })),
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
  ordered: Type.Optional(Type.Array(Name, { maxItems: 12 })),
  supplyVolts: Type.Optional(Real),
  jumpers: Type.Optional(JumpersSchema),
});
agrees<Says<typeof BoardFitRequestSchema, BoardFitRequest>>();
