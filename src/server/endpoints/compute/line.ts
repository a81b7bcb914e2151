import {
  type LineEntry,
  NAMED_KINDS,
  type Named,
  PLACE_KINDS,
  readText,
  THING_KINDS,
} from '../../../core/line';
import { agrees, closed, Line, Name, oneOf, type Says, Type } from '../../../core/schema/words';
import { computation } from '../../endpoint';

interface LineRequest {
  text: string;
  names?: Named[];
}
interface LineAnswer {
  entries: LineEntry[];
  doubtful: { text: string; at: number; nearest: string[] }[];
}

const Words = Type.String({ maxLength: 2000 });
const LineRequestSchema = closed(
  {
    text: Line,
    names: Type.Optional(
      Type.Array(
        closed({
          id: Name,
          name: Name,
          kind: oneOf(NAMED_KINDS),
          aliases: Type.Optional(Type.Array(Name, { maxItems: 50 })),
        }),
        { maxItems: 5000 },
      ),
    ),
  },
  { $id: 'LineRequest', title: 'Reads a line as a technician jots it' },
);
const Real = Type.Number();
const LineAnswerSchema = closed(
  {
    entries: Type.Array(
      closed({
        does: Words,
        takesOff: Type.Boolean(),
        kind: Type.Optional(oneOf(THING_KINDS)),
        known: Type.Optional(Words),
        name: Type.Optional(Words),
        count: Type.Optional(Type.Union([Type.Integer(), Type.Null()])),
        thread: Type.Optional(Words),
        lengthMm: Type.Optional(Real),
        drive: Type.Optional(Words),
        head: Type.Optional(Words),
        from: Type.Optional(Words),
        fromKnown: Type.Optional(Words),
        contacts: Type.Optional(Type.Integer()),
        wires: Type.Optional(Type.Integer()),
        latch: Type.Optional(Type.Boolean()),
        tool: Type.Optional(Words),
        minutes: Type.Optional(Real),
        place: Type.Optional(closed({ kind: oneOf(PLACE_KINDS), label: Type.Optional(Words) })),
        aside: Type.Optional(Type.Boolean()),
        to: Type.Optional(Words),
        note: Type.Optional(Words),
      }),
    ),
    doubtful: Type.Array(
      closed({ text: Words, at: Type.Integer({ minimum: 0 }), nearest: Type.Array(Words) }),
    ),
  },
  { $id: 'LineAnswer' },
);
agrees<Says<typeof LineRequestSchema, LineRequest>>();
agrees<Says<typeof LineAnswerSchema, LineAnswer>>();

/** Reads a line as a technician jots it. */
export const computeLine = computation({
  name: 'line',
  summary: 'Reads a line as a technician jots it',
  request: LineRequestSchema,
  megabytes: 1,
  answer: LineAnswerSchema,
  run({ text, names }: LineRequest): LineAnswer {
    const { entries, doubtful } = readText(text, names);
    return { entries, doubtful };
  },
});
