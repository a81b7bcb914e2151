import { FIND_IT, KINDS, SHAPES, SKILLS } from '../../../core/practice';
import { closed, Line, Moment, Name, oneOf, Text, Type, Ulid } from '../../../core/schema/words';

export const KindSchema = oneOf([FIND_IT, ...KINDS.map((k) => k.id)] as const);
export const MadeSchema = closed({ shape: oneOf(SHAPES), size: Type.Number() });
const Share = Type.Number({ minimum: 0, maximum: 1 });
export const WaysSchema = Type.Array(closed({ name: Name, score: Share }), { maxItems: 20 });
/** An answer of any kind of exercise that is answered on a sheet of its own. */
export const AnswerSchema = Type.Union(KINDS.map((k) => k.answer));
export const ExerciseSchema = closed({
  id: Ulid,
  by: Name,
  kind: KindSchema,
  unit: Line,
  seed: Type.Integer(),
  job: Type.Optional(Ulid),
  startedAt: Moment,
  endedAt: Type.Optional(Moment),
  answer: Type.Optional(Type.Unknown()),
  skills: Type.Array(oneOf(SKILLS)),
  score: Type.Optional(Share),
  minutes: Type.Optional(Type.Number()),
  optimum: Type.Optional(Type.Number()),
  ways: Type.Optional(WaysSchema),
  remember: Type.Optional(Text),
  from: Type.Optional(closed({ exercise: Ulid, decisions: Type.Integer() })),
  again: Type.Optional(Type.Literal(true)),
});
export const JudgedSchema = closed({
  score: Share,
  remember: Type.String(),
  lines: Type.Array(closed({ text: Type.String(), right: Type.Boolean(), why: Type.String() })),
  practised: Type.Optional(Type.Array(oneOf(SKILLS))),
});
