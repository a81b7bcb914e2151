import type { TSchema } from './words';

/** A value beyond what its schema lets it be, and where. */
export interface Beyond {
  /** JSON pointer below what was asked about */
  path: string;
  reason: string;
}

interface Limits {
  maxLength?: number;
  maxItems?: number;
  minimum?: number;
  maximum?: number;
  items?: TSchema | TSchema[];
  properties?: Record<string, TSchema>;
}

/**
 * The first text that is too long, list that has too many, or number out of bounds.
 *
 * Method: the limits that a JSON schema names (JSON Schema 2020-12, Validation, sections 6.2 to 6.4), of
 * plain objects and lists; where a schema leaves a choice, nothing is said.
 *
 * @param schema of the value
 * @param value any value
 * @param path JSON pointer of the value
 * @returns where it goes beyond and by what, or null
 * @example beyond(Type.String({ maxLength: 3 }), 'four')?.reason // 'at most 3 characters: these are 4'
 */
export function beyond(schema: TSchema, value: unknown, path = ''): Beyond | null {
  const { maxLength, maxItems, minimum, maximum, items, properties } = schema as Limits;
  if (typeof value === 'string' && maxLength !== undefined) {
    // Characters, as JSON Schema counts them.
    const length = [...value].length;
    if (length > maxLength) return { path, reason: `at most ${maxLength} characters: these are ${length}` };
  }
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) return { path, reason: 'that is no number' };
    if (maximum !== undefined && value > maximum) return { path, reason: `at most ${maximum}` };
    if (minimum !== undefined && value < minimum) return { path, reason: `at least ${minimum}` };
  }
  if (Array.isArray(value)) {
    if (maxItems !== undefined && value.length > maxItems)
      return { path, reason: `at most ${maxItems}: these are ${value.length}` };
    for (const [k, v] of value.entries()) {
      const of = Array.isArray(items) ? items[k] : items;
      const found = of && beyond(of, v, `${path}/${k}`);
      if (found) return found;
    }
  } else if (value && typeof value === 'object' && properties) {
    for (const [name, of] of Object.entries(properties)) {
      const found = beyond(of, (value as Record<string, unknown>)[name], `${path}/${name}`);
      if (found) return found;
    }
  }
  return null;
}
