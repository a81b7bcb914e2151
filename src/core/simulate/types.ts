import type { Access, Expect, Pattern, Power, TraceCheck, TraceElement } from '../trace';

/** How often a fault shows: always, now and then, rarely. */
export type HiddenPattern = Exclude<Pattern, 'only when warm'>;

export interface Hidden {
  faults: { id: string; pattern: HiddenPattern }[];
}

/** A check of a simulated unit; with `expect` it answers a reading. */
export interface SimulatedCheck extends TraceCheck {
  expect?: Expect;
}

/** Something done on a simulated unit. */
export type SimulatedAct = { check: string } | { tried: string; element: string } | { repaired: string };

export type SimulatedAnswer = { outcome: string } | { reading: number } | { mended: boolean };

export interface SimulateRequest {
  elements: TraceElement[];
  checks: SimulatedCheck[];
  access?: Access[];
  opened?: string[];
  power?: { now: Power; onMinutes: number; offMinutes: number };
  hidden: Hidden;
  /** a whole number */
  seed: number;
  acts: SimulatedAct[];
}

export interface SimulateAnswer {
  answers: SimulatedAnswer[];
  /** of each act: itself, what it opened, the power it changed */
  minutes: number[];
  totalMinutes: number;
}
