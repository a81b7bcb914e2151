import {
  Array as ArrayOf,
  Boolean as BooleanOf,
  Integer as IntegerOf,
  Literal,
  Null,
  Number as NumberOf,
  type NumberOptions,
  Object as ObjectOf,
  Optional,
  Record as RecordOf,
  type Static,
  String as StringOf,
  type TObject,
  type TSchema,
  Tuple,
  Union,
  Unknown,
  Unsafe,
} from '@sinclair/typebox';

export type { Static, TObject, TSchema };

/** No figure of a bench lies beyond; sums over many of them stay numbers. */
const MOST = 1e15;

/** A number within reason; narrower where it is said. */
const bounded = (options: NumberOptions = {}) => {
  const { minimum, exclusiveMinimum, maximum, exclusiveMaximum } = options;
  return {
    ...(minimum === undefined && exclusiveMinimum === undefined ? { minimum: -MOST } : {}),
    ...(maximum === undefined && exclusiveMaximum === undefined ? { maximum: MOST } : {}),
    ...options,
  };
};

/** What schemas are written with: only these builders reach the browser. */
export const Type = {
  Array: ArrayOf,
  Boolean: BooleanOf,
  Integer: (options?: NumberOptions) => IntegerOf(bounded(options)),
  Literal,
  Null,
  Number: (options?: NumberOptions) => NumberOf(bounded(options)),
  Object: ObjectOf,
  Optional,
  Record: RecordOf,
  String: StringOf,
  Tuple,
  Union,
  Unknown,
  Unsafe,
};

/** A short name: an id, a designator, a title. */
export const Name = Type.String({ minLength: 1, maxLength: 120 });
/** A line of free text, may be empty. */
export const Line = Type.String({ maxLength: 400 });
/** A paragraph. */
export const Text = Type.String({ maxLength: 4000 });
export const Ulid = Type.String({ pattern: '^[0-9A-HJKMNP-TV-Z]{26}$', maxLength: 26 });
export const Moment = Type.String({ format: 'date-time', maxLength: 40 });
/** A day of the calendar: 2026-11-27. */
export const Day = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$', maxLength: 10 });
export const Minutes = Type.Number({ minimum: 0, maximum: 100_000 });
export const Chance = Type.Number({ minimum: 0, maximum: 1 });
export const Count = Type.Integer({ minimum: 0, maximum: 9999 });

/** One of a list of words that the core names. */
export const oneOf = <T extends readonly string[]>(words: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...words] });

/** An object that refuses properties it does not know. */
export const closed = <P extends Record<string, TSchema>>(properties: P, options: object = {}) =>
  Type.Object(properties, { additionalProperties: false, ...options });

/** A choice told by one property, so that an error names the right branch. */
export const choiceBy = <T extends TSchema[]>(property: string, branches: [...T]) =>
  Type.Unsafe<Static<T[number]>>({
    type: 'object',
    required: [property],
    discriminator: { propertyName: property },
    oneOf: branches,
  });

/** Keys of every member of a union. */
type Keys<T> = T extends unknown ? keyof T : never;
/** What stands under a key in any member of a union. */
type At<T, K extends PropertyKey> = T extends unknown ? (K extends keyof T ? T[K] : never) : never;
type Plain = string | number | boolean | null | undefined;
type Lists<T> = Extract<T, readonly unknown[]>;
type Objects<T> = Exclude<T, Plain | readonly unknown[]>;
type SameItems<A, B> = [Lists<A>] extends [never] ? true : SameKeys<Lists<A>[number], Lists<B>[number]>;

/** Whether two types have the same properties all the way down: assignability alone lets an optional one slip. */
type SameKeys<A, B> = unknown extends A
  ? true
  : SameItems<A, B> extends true
    ? [Objects<A>] extends [never]
      ? true
      : [Keys<Objects<A>>] extends [Keys<Objects<B>>]
        ? [Keys<Objects<B>>] extends [Keys<Objects<A>>]
          ? false extends { [K in Keys<Objects<A>>]: SameKeys<At<Objects<A>, K>, At<Objects<B>, K>> }[Keys<
              Objects<A>
            >]
            ? false
            : true
          : false
        : false
    : false;

/** Compiles only when a schema says exactly what a core type says: no property more, none less. */
export type Says<Schema extends TSchema, Core> = Same<Static<Schema>, Core>;
export type Same<Told, Core> = [Told] extends [Core]
  ? [Core] extends [Told]
    ? SameKeys<Told, Core> extends true
      ? true
      : 'one of the two has a property that the other lacks'
    : 'the core type is wider'
  : 'the schema is wider';
export const agrees = <_T extends true>(): void => {};
