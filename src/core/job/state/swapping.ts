import type { Plan } from './planning';

export const CABLE_MODES = ['all off', 'one across'] as const;
export type CableMode = (typeof CABLE_MODES)[number];

export interface Swap {
  /** all plugs off the old part, or one at a time across to the new one */
  mode: CableMode;
  /** lines of the preparation list that are done */
  prepared: { line: string; note?: string; at: string }[];
  /** plugs that went across, one at a time */
  across: string[];
}

export interface Fix {
  element: string;
  remedy: string;
  at: string;
  name: string;
  /** what was seen while it was done */
  seen?: string;
  /** proofs made before it: those after it count, whatever the clocks say */
  proofsBefore: number;
  /** ids of the old and the new part in the ledger, for a replacement */
  oldItem?: string;
  newItem?: string;
  serial?: string;
  dateCode?: string;
  /** the unit it was taken from */
  donor?: { job: string; tag: string };
  /** what the old part said of itself */
  old?: { serial?: string; dateCode?: string };
  /** plugs that went across from the old part */
  across?: string[];
  prepared?: Swap['prepared'];
  /** what it was planned as, where more was mended in the same opening */
  plan?: Plan;
}

/** An old part that is out, not yet replaced. */
export interface Out {
  element: string;
  item: string;
  serial?: string;
  dateCode?: string;
}

export interface Swapping {
  /** old part out, not yet replaced */
  out: Out | null;
  /** old parts of further remedies that are out already */
  outBeside: Out[];
  /** remedies done in this opening before the last */
  fixes: Fix[];
  fix: Fix | null;
  /** remedies done that did not mend it */
  failed: Fix[];
  swap: Swap;
}

export const startSwapping = (): Swapping => ({
  out: null,
  outBeside: [],
  fixes: [],
  fix: null,
  failed: [],
  swap: { mode: 'all off', prepared: [], across: [] },
});
