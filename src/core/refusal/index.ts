/**
 * A refusal: something a person or a program asked for that a rule forbids or that cannot be read.
 * It is thrown by core functions and becomes a message at the field, or an `application/problem+json`
 * answer. Nothing has changed when it is thrown.
 *
 * @example new Refusal('1 × M3×8 is still in cup 4', '/cover').path // '/cover'
 */
export class Refusal extends Error {
  /** JSON pointer of the field that is wrong, empty when the whole is meant. */
  readonly path: string;

  constructor(reason: string, path = '') {
    super(reason);
    this.name = 'Refusal';
    this.path = path;
  }
}

/**
 * Throws a {@link Refusal} unless the condition holds.
 *
 * @param holds the rule
 * @param reason what is wrong and, where it helps, what to do
 * @param path JSON pointer of the field
 * @throws Refusal when `holds` is false
 * @example demand(2 > 1, 'never') // returns
 */
export function demand(holds: unknown, reason: string, path = ''): asserts holds {
  if (!holds) throw new Refusal(reason, path);
}
