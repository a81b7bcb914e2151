import type { Source } from '../../hazard';

export interface ProofRecord {
  id: string;
  at: string;
  by: string;
  check: string;
  outcome: 'ok' | 'bad';
  reading?: number;
  unit?: string;
  source: Source;
  /** covers that were off during the test */
  open: string[];
  note?: string;
}

/** One line of what has to be shown beside the failing check, as it came out. */
export interface ProvingTick {
  line: string;
  outcome: 'ok' | 'bad';
  reading?: number;
  unit?: string;
  note?: string;
  at: string;
  by: string;
}

/** The unit left running, looked at now and again. */
export interface Soak {
  id: string;
  startedAt: string;
  minutes: number;
  everyMinutes: number;
  /** proofs made before it */
  proofsBefore: number;
  endedAt?: string;
}

export interface Proving {
  proofs: ProofRecord[];
  told: { party: string; how: string; at: string; by: string }[];
  proving: ProvingTick[];
  soak: Soak | null;
}

export const startProving = (): Proving => ({ proofs: [], told: [], proving: [], soak: null });
