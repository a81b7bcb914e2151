import { closed, type TObject, type TSchema, Type } from '../core/schema/words';
import type { Sum, SumInput } from '../core/sums';

const Word = Type.String({ minLength: 1, maxLength: 60 });

const OF: Record<SumInput['kind'], (i: SumInput) => TSchema> = {
  number: (i) => (i.alsoText ? Type.Union([Type.Number(), Word]) : Type.Number()),
  choice: (i) => Type.Unsafe<string>({ type: 'string', enum: [...(i.options ?? [])] }),
  text: () => Word,
  words: () => Type.Array(Word, { minItems: 1, maxItems: 40 }),
  numbers: () => Type.Array(Type.Number(), { minItems: 1, maxItems: 400 }),
};

const described = (i: SumInput): TSchema => {
  const schema = { ...OF[i.kind](i), description: i.unit ? `${i.label}, ${i.unit}` : i.label };
  return i.optional ? Type.Optional(schema) : schema;
};

/** `wire-drop` as `SumWireDrop`, the name of its documents. */
export const sumId = (name: string): string =>
  `Sum${name
    .split('-')
    .map((w) => w.charAt(0).toUpperCase() + w.slice(1))
    .join('')}`;

/** What a sum takes: closed, so that a mistyped name is told and not passed over. */
export const sumRequest = (sum: Sum): TObject =>
  closed(Object.fromEntries(sum.inputs.map((i) => [i.name, described(i)])), {
    $id: sumId(sum.name),
    title: sum.title,
  });

const Anything = Type.Union([
  Type.Number(),
  Type.String(),
  Type.Boolean(),
  Type.Null(),
  Type.Array(Type.String()),
  Type.Array(Type.Number()),
]);

/** What a sum answers: its outputs, and beside them the formula, the source and the caution. */
export const sumAnswer = (sum: Sum): TObject =>
  closed(
    {
      ...Object.fromEntries(
        sum.outputs.map((o) => [
          o.name,
          Type.Optional({ ...Anything, description: o.unit ? `${o.label}, ${o.unit}` : o.label }),
        ]),
      ),
      formula: Type.String(),
      source: Type.String(),
      say: Type.Optional(Type.String()),
      caution: Type.Optional(Type.String()),
    },
    { $id: `${sumId(sum.name)}Answer` },
  );
