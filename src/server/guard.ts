import type { ErrorObject } from 'ajv';
import type { Static, TSchema } from '../core/schema/words';
import { guards } from '../gen/validators.js';

/** Says whether data is as a schema describes it, and what is wrong where it is not. */
export interface Guard<T> {
  (data: unknown): data is T;
  errors?: ErrorObject[] | null;
}

/**
 * The validator that was compiled for a document.
 *
 * @throws Error for a schema that is no document: it has no name, or no registry lists it
 */
export function guardOf<S extends TSchema>(schema: S): Guard<Static<S>> {
  const guard = guards[schema.$id ?? ''];
  if (!guard) throw new Error(`no validator was compiled for “${schema.$id ?? 'a schema without a name'}”`);
  return guard as Guard<Static<S>>;
}
