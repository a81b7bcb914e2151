export type Power = 'on' | 'off';

/** One way of doing a move, where there are several: a long driver or an angle key. */
export interface Way {
  tool: string | null;
  sideUp: string | null;
  minutes: number;
  after?: string[];
}

export interface OrderMove {
  id: string;
  minutes: number;
  /** moves that must be done before it */
  after?: string[];
  /** groups of which one must be wholly done before it */
  afterAny?: string[][];
  /** null = bare hand, the tool in hand stays in hand */
  tool: string | null;
  /** null = any side */
  sideUp: string | null;
  power?: Power | null;
  ways?: Way[];
  /** the move exists only where these options are so */
  when?: Record<string, string>;
}

export interface OrderRequest {
  moves: OrderMove[];
  goal: string[];
  done?: string[];
  start?: { tool?: string | null; sideUp?: string | null; power?: Power | null };
  toolMinutes: number;
  /** minutes of any flip, or a table “from to” by pair with the rest under “other” */
  flipMinutes: number | Record<string, number>;
  powerMinutes?: number;
  options?: Record<string, string>;
  /** from one move until another only these sides may be up */
  keep?: { from: string; until: string; sides: string[] }[];
  /** about how long a slow machine may look: work is counted, not timed */
  timeLimitMs?: number;
}

export interface OrderAnswer {
  order: string[];
  minutes: number;
  toolChanges: number;
  flips: number;
  powerChanges?: number;
  optimal: boolean;
  lowerBound: number;
}
