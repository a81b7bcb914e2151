import type { Place } from './place';
import type { ThingKind } from './verbs';

/** One move of a line, as it is understood. */
export interface LineEntry {
  /** the verb, in its one word */
  does: string;
  takesOff: boolean;
  kind?: ThingKind;
  /** what is named, where it has a name already */
  known?: string;
  name?: string;
  /** null = several, not counted */
  count?: number | null;
  thread?: string;
  lengthMm?: number;
  drive?: string;
  head?: string;
  from?: string;
  fromKnown?: string;
  contacts?: number;
  wires?: number;
  latch?: boolean;
  tool?: string;
  minutes?: number;
  place?: Place;
  aside?: boolean;
  /** side that is up, or the position something is turned or set to */
  to?: string;
  note?: string;
}

/** A piece that was not understood, or is nearly a name. */
export interface Doubtful {
  text: string;
  /** where it stands in the line, counted in signs from 0 */
  at: number;
  /** ids of the nearest names, the nearest first */
  nearest: string[];
}

/** A stretch of the line and what it was read as. */
export interface Span {
  from: number;
  to: number;
  as: string;
}

export interface LineRead {
  entries: LineEntry[];
  doubtful: Doubtful[];
  spans: Span[];
}
