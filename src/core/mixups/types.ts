export interface Spot {
  /** millimetres on the board */
  x: number;
  y: number;
  board: string;
}

export const LINE_KINDS = ['supply', 'ground', 'signal', 'nc'] as const;

/** What one contact of a header carries. */
export interface HeaderLine {
  name: string;
  kind: (typeof LINE_KINDS)[number];
  volts?: number;
  /** what it stands */
  maxVolts?: number;
}

export interface Header {
  id: string;
  family: string;
  /** mm */
  pitch: number;
  rows: number;
  /** number of all contacts */
  positions: number;
  /** null = unkeyed, mates any */
  key: string | null;
  /** no shroud: a plug can sit one off */
  open: boolean;
  colour?: string;
  at: Spot;
  /** one per contact, zig-zag where there are two rows */
  lines: HeaderLine[];
  /** "between the two relays" */
  landmark?: string;
  easyToMiss?: boolean;
  /** screws or parts beside it that are not to be touched */
  leave?: string;
}

export const BARE_ENDS = ['screw terminal', 'lug', 'pad'] as const;
export const BARE_WANTS = ['ferrule', 'tinned', 'ring'] as const;

export interface Plug {
  id: string;
  home: string;
  family: string;
  pitch: number;
  rows: number;
  positions: number;
  key: string | null;
  colour?: string;
  wires?: string[];
  /** where the cable leaves what it is fixed to */
  exit: Spot;
  /** mm of cable that can be moved about */
  freeLength: number;
  /** a name where there is a wire, null where there is none */
  lines: (string | null)[];
  /** group it is tied into */
  bundle?: string;
  /** where its lead runs, from the plug on: guide, tunnel, hole, fold, slack */
  route?: string[];
  /** how it is held: one of the latches, or words */
  latch?: string;
  /** a bare end in place of a plug: what it goes to, what it wants, whether it may be turned round */
  bare?: { end: (typeof BARE_ENDS)[number]; wants: (typeof BARE_WANTS)[number]; polarity: boolean };
  /** times it may be mated, and was */
  cycles?: { rated: number; done: number };
}

export interface MixupsRequest {
  plugs: Plug[];
  headers: Header[];
}

export type Severity = 0 | 1 | 2 | 3;

export interface Risk {
  plug: string;
  header: string;
  how: 'wrong header' | 'reversed' | 'shifted';
  /** contact n meets contact n + shift; in two rows ±2 is one place along, ±1 one row over */
  shift?: number;
  effect: string;
  severity: Severity;
  /** the contact that makes it so */
  why: string;
}

export interface MixupsAnswer {
  /** worst first; those of severity 0 too */
  risks: Risk[];
  /** the fewest plugs to label */
  labels: string[];
  /** plugs that need a mark for which way round */
  orientationMarks: string[];
  /** plugs that could be exchanged and are told apart, and by what */
  told: { plugs: [string, string]; by: string }[];
  /** whether `labels` is known to be the fewest */
  fewest: boolean;
}
