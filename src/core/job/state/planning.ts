import type { BoardFitRequest } from '../../board';
import type { QuoteLine } from '../../cost';
import type { BatteryFitRequest } from '../../fit';
import type { RemedyKind } from '../../unit';

export interface Plan {
  kind: 'remedy' | 'refer';
  element?: string;
  remedy?: string;
  remedyKind?: RemedyKind;
  name: string;
  minutes?: number;
  parts: string[];
  /** chance that it mends the unit, as reckoned when it was chosen */
  chance?: number;
  why: string;
  /** taken from what the unit itself said, without tracing */
  saidByUnit?: boolean;
  at: string;
}

/** Two battery sheets as they were compared, with the chemistry that was in force. */
export interface BatteryCompared {
  request: BatteryFitRequest;
  /** how often the chemistry rows had been changed; 0 as shipped */
  chemistry: number;
  at: string;
  by: string;
}

/** What was offered to the owner, and what came of it. */
export interface Quote {
  id: string;
  lines: QuoteLine[];
  /** three letters */
  currency: string;
  /** in minor units */
  ratePerHour: number;
  /** its last day */
  validUntil: string;
  /** what it does not cover */
  notCovered?: string;
  /** nothing is mended before it is accepted */
  needed: boolean;
  at: string;
  by: string;
  sent: { to: string; how: string; at: string; by: string }[];
  answer: QuoteAnswer | null;
}

export interface QuoteAnswer {
  /** the way that was chosen; none where it was refused */
  line: number | null;
  who: string;
  note?: string;
  at: string;
  by: string;
}

export interface Planning {
  /** the one that holds: a later one takes its place */
  quote: Quote | null;
  plan: Plan | null;
  /** further remedies of the same opening, in their order */
  also: Plan[];
  /** what somebody takes along beside what the plan asks for */
  kit: string[];
  /** old and new battery laid beside each other, by element */
  batteries: Record<string, BatteryCompared>;
  /** old and new board, likewise */
  boards: Record<string, { request: BoardFitRequest; at: string; by: string }>;
}

export const startPlanning = (): Planning => ({
  quote: null,
  plan: null,
  also: [],
  kit: [],
  batteries: {},
  boards: {},
});
