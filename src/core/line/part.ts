import type { LineEntry } from './entry';
import type { Place } from './place';

/** What one piece of a line was read as. */
export interface Part {
  of: LineEntry[];
  /** joined to the one before by "and" */
  joined: boolean;
  /** told of the one before: behind a colon or a dash, in brackets */
  told: boolean;
  /** it came after the one before: behind "then" */
  then?: boolean | undefined;
  /** what was done is not said */
  verbless?: boolean;
  /** where each of several is kept, in their order */
  places: readonly Place[];
}

/** Whether screws and their like are all that was read. */
export const isFasteners = ({ of }: Part): boolean => of.length > 0 && of.every((e) => e.kind === 'fastener');
/** Where an entry says that its screws came from. */
export const fromOf = (e: LineEntry | undefined) =>
  e?.from ? { from: e.from, ...(e.fromKnown ? { fromKnown: e.fromKnown } : {}) } : undefined;

const WHERE =
  /^(?:the )?(?:top|bottom|left|right|front|back|rear|sides?|corners?|middle|cent(?:er|re)|inside|outside|below|above|underneath|underside|edges?|rim|foot|feet)$/i;
/** Whether words say behind or below what was told before: "rubber feet off, 2 screws below". */
export const isBeneath = (said: string): boolean =>
  /^(?:behind|below|beneath|underneath|under|inside)(?: (?:it|them))?$/i.test(said);
/** Whether words say where on a thing, and name none: "the top", "edge", "by the sockets". */
export const isWhere = (said: string): boolean => WHERE.test(said) || /^(?:by|near|at|beside) /i.test(said);
