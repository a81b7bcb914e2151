export const STOPS = [
  'take in',
  'trace',
  'plan',
  'make safe',
  'open up',
  'swap',
  'close up',
  'prove',
  'hand over',
] as const;
export type Stop = (typeof STOPS)[number];

/** Where on the run the job is, and whether it waits. */
export interface OnTheRun {
  stop: Stop;
  parked: { why: string; until?: string; at: string; by?: string } | null;
}

export const startOnTheRun = (): OnTheRun => ({ stop: 'take in', parked: null });
