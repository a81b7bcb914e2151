import { type Static, type TSchema, Type } from '@sinclair/typebox';

/** A short name: an id, a designator, a title. */
export const Name = Type.String({ minLength: 1, maxLength: 120 });
/** A line of free text, may be empty. */
export const Line = Type.String({ maxLength: 400 });
/** A paragraph. */
export const Text = Type.String({ maxLength: 4000 });
export const Ulid = Type.String({ pattern: '^[0-9A-HJKMNP-TV-Z]{26}$', maxLength: 26 });
export const Moment = Type.String({ format: 'date-time', maxLength: 40 });
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
export const toldBy = <T extends TSchema[]>(property: string, branches: [...T]) =>
  Type.Unsafe<Static<T[number]>>({
    type: 'object',
    required: [property],
    discriminator: { propertyName: property },
    oneOf: branches,
  });

/** Compiles only when a schema says exactly what a core type says. */
export type Says<Schema extends TSchema, Core> = [Static<Schema>] extends [Core]
  ? [Core] extends [Static<Schema>]
    ? true
    : 'the core type is wider'
  : 'the schema is wider';
export const agrees = <_T extends true>(): void => {};
