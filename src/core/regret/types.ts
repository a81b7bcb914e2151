import type { Access, Power, TraceCheck, TraceElement, TraceLogEntry, TraceOptions } from '../trace';

/** A unit to be decided on, with what was found so far. */
export interface Decision {
  elements: TraceElement[];
  checks: TraceCheck[];
  access?: Access[];
  opened?: string[];
  power?: { now: Power; onMinutes: number; offMinutes: number };
  log?: TraceLogEntry[];
  options?: TraceOptions;
}

/** An act that was chosen: a check, or a rung of the ladder of an element; without `remedy` the next one. */
export type Chosen = { check: string } | { repair: string; remedy?: string };

export interface RegretRequest extends Decision {
  chosen: Chosen;
}

export interface Act {
  kind: 'check' | 'repair';
  id: string;
  /** the rung, for an element that has a ladder */
  remedy?: string;
}

/** An act with the minutes expected until the unit is mended when it is done now and the best after it. */
export interface Valued extends Act {
  minutes: number;
}

/** How far ahead was looked: every way on, or two checks. */
export type Method = 'exact' | 'lookahead 2';

export interface RegretAnswer {
  /** the acts allowed and the chosen one, soonest mended first */
  q: Valued[];
  best: Act;
  /** minutes that the choice costs over the best there was, at least 0 */
  regret: number;
  method: Method;
}

/** A unit from the start: nothing checked, nothing tried. */
export type HandWaysRequest = Omit<Decision, 'log'>;

export interface HandWaysAnswer {
  optimum: { minutes: number; method: Method };
  ways: { name: string; minutes: number; score: number }[];
}
