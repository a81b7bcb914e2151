import type { ErrorObject } from 'ajv';

/** What is wrong and where, in words. */
export interface Fault {
  path: string;
  reason: string;
}

const SAYS: Record<string, (p: Record<string, unknown>, data: unknown) => string> = {
  required: (p) => `“${p.missingProperty}” is missing`,
  additionalProperties: (p) => `“${p.additionalProperty}” is not known here`,
  type: (p) => `must be ${Array.isArray(p.type) ? p.type.join(' or ') : p.type}`,
  enum: (p) => `must be one of: ${(p.allowedValues as unknown[]).join(', ')}`,
  const: (p) => `must be ${JSON.stringify(p.allowedValue)}`,
  minLength: () => 'must not be empty',
  maxLength: (p) => `is longer than ${p.limit} characters`,
  minItems: (p) => `needs at least ${p.limit}`,
  maxItems: (p) => `holds more than ${p.limit}`,
  minimum: (p) => `must be ${p.limit} or more`,
  maximum: (p) => `must be ${p.limit} or less`,
  exclusiveMinimum: (p) => `must be over ${p.limit}`,
  format: (p) => `is not a ${p.format}`,
  pattern: () => 'has not the right form',
  discriminator: (p) => `“${p.tagValue}” is not a known ${p.tag}`,
};

/**
 * Picks the error that says most: the deepest one, and of those one that is not merely a failed choice.
 *
 * @param errors of an Ajv validator
 * @returns path as a JSON pointer, and the reason in words
 * @example explain(validate.errors).path // '/events/3/count'
 */
export function explain(errors: ErrorObject[] | null | undefined): Fault {
  const weigh = (e: ErrorObject) =>
    e.instancePath.split('/').length * 4 +
    (e.keyword === 'anyOf' || e.keyword === 'oneOf'
      ? 0
      : e.keyword === 'type' || e.keyword === 'required'
        ? 2
        : 3);
  const worst = [...(errors ?? [])].sort((a, b) => weigh(b) - weigh(a))[0];
  if (!worst) return { path: '', reason: 'is not what was expected' };
  const say = SAYS[worst.keyword];
  const reason = say
    ? say(worst.params as Record<string, unknown>, worst.data)
    : (worst.message ?? 'is wrong');
  const { missingProperty, additionalProperty } = worst.params as Record<string, unknown>;
  const field = missingProperty ?? additionalProperty;
  return { path: field === undefined ? worst.instancePath : `${worst.instancePath}/${field}`, reason };
}
