import { Type } from '../../../core/schema/words';

export const ConfidenceSchema = Type.Optional(Type.Number());
export const OrNull = Type.Union([Type.Number(), Type.Null()]);
/** Entries of a list that a figure is made from. */
export const MOST = 100_000;
