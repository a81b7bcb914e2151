import type { Hidden } from '../../simulate';

/** What a practice job hides, and how its run is played. */
export interface Practice {
  /** the exercise it belongs to */
  exercise: string;
  hidden: Hidden;
  /** a whole number: the same one gives the same answers */
  seed: number;
  /** after every decision the best there was is told */
  coach: boolean;
}

/** How a practice run ended: mended, stopped by something that would have hurt, or left. */
export const PRACTICE_ENDS = ['mended', 'stopped', 'left'] as const;
export type PracticeEnd = (typeof PRACTICE_ENDS)[number];

export interface Practising {
  /** the remedy that took the symptom away */
  mendedBy: { element: string; remedy: string; id: string } | null;
  practiceOver: { how: PracticeEnd; at: string; why?: string } | null;
}

export const startPractising = (): Practising => ({ mendedBy: null, practiceOver: null });
