/** One rung of a ladder of remedies, cheapest and gentlest first. */
export interface Remedy {
  id: string;
  /** minutes to do it and see whether it helped */
  minutes: number;
  /** price in minor units of money */
  cost?: number;
  /** chance in (0, 1] that it lasts if this element is the fault */
  fixes: number;
}

export type Power = 'on' | 'off';

export interface TraceElement {
  id: string;
  /** relative failure rate, over 0 */
  weight: number;
  /** minutes to replace and verify; may be absent only where `remedies` is given */
  repairMinutes?: number;
  /** chance in (0, 1] that one exercise of the faulty element shows it; 1 = solid */
  q?: number;
  /** what must be open to repair it */
  needs?: string[];
  remedies?: Remedy[];
  /** the power as a repair of it wants it; the change is paid each time */
  power?: Power;
}

export interface TraceCheck {
  id: string;
  /** elements that could make this check come out bad */
  exercises?: string[];
  minutes: number;
  sensitivity?: number;
  falseAlarm?: number;
  needs?: string[];
  power?: Power;
  /** replaces q of these elements for this check alone */
  provokes?: Record<string, number>;
  /** a check with several answers, each pointing at some elements */
  outcomes?: { id: string; points: string[] }[];
}

export interface Access {
  id: string;
  /** minutes of opening, paid once */
  minutes: number;
  needs?: string[];
}

/** What a good reading looks like, in one unit: normal about `nominal`, anything in [low, high] possible. */
export interface Expect {
  nominal: number;
  tolerance: number;
  low: number;
  high: number;
}

export type TraceLogEntry =
  | { check: string; outcome: string }
  | { check: string; reading: number; expect: Expect }
  | { repaired: string }
  | { tried: string; element: string };

export interface TraceOptions {
  maxFaults?: 1 | 2;
  pairFactor?: number;
  noFaultWeight?: number;
  lookahead?: 1 | 2;
  top?: number;
  repeats?: 'allowed' | 'intermittent only';
  ratePerMinute?: number;
  /** looks at every way on where the model is small enough for it */
  exact?: boolean;
}

export interface TraceRequest {
  elements: TraceElement[];
  checks: TraceCheck[];
  access?: Access[];
  opened?: string[];
  power?: { now: Power; onMinutes: number; offMinutes: number };
  log?: TraceLogEntry[];
  options?: TraceOptions;
}

export interface NextAction {
  kind: 'check' | 'repair';
  id: string;
  /** the rung of the ladder, for a repair of an element that has one */
  remedy?: string;
  /** minutes expected until the unit is repaired, this action included */
  expectedMinutes: number;
  /** chance that the check comes out bad (two-answer checks) */
  pBad?: number;
  /** chance of each answer (checks with several) */
  pOutcomes?: { id: string; p: number }[];
  /** mutual information of outcome and fault set, in bits */
  bits?: number;
  openMinutes?: number;
  powerMinutes?: number;
}

export interface TraceAnswer {
  belief: { id: string; p: number }[];
  faultSets?: { ids: string[]; p: number }[];
  next: NextAction[];
  repairNowMinutes: number;
  enough: boolean;
  contradiction: boolean;
  /** how far ahead was looked, where the exact way was asked for */
  method?: 'exact' | 'lookahead 1' | 'lookahead 2';
}
