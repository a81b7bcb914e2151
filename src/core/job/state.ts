import type { BoardFitRequest } from '../board';
import type { BatteryFitRequest } from '../fit';
import type { HazardState, Source, UnitPower } from '../hazard';
import type { Ledger } from '../ledger';
import type { ReferRequest } from '../refer';
import type { Expect } from '../trace';
import type { FirstLead, RemedyKind, UnitMap } from '../unit';
import type { Learned } from './event';

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

export const PATTERNS = ['always', 'now and then', 'rarely', 'only when warm'] as const;
export type Pattern = (typeof PATTERNS)[number];

/** Chance that one exercise of the faulty element shows it, by how often the symptom comes. Common practice, no source. */
export const PATTERN_Q: Record<Pattern, number> = {
  always: 1,
  'now and then': 0.5,
  rarely: 0.2,
  'only when warm': 0.5,
};

export interface Intake {
  /** the function that fails, by its id on the map */
  function: string;
  /** further functions that fail with it */
  alsoFails?: string[];
  /** in the owner's words */
  symptom: string;
  pattern: Pattern;
  since?: string;
  variant?: string;
  /** message, code or lamp of the unit itself */
  unitSays?: string;
  /** what the owner would lose: data, settings, seals */
  keep: string[];
  /** whether it was to be repaired or referred, with the figures */
  weighed?: Weighed;
}

/** The figures behind repair or refer, and what was chosen. */
export interface Weighed extends ReferRequest {
  advice: 'repair' | 'refer';
  choice: 'repair' | 'refer';
  /** why it went against the advice */
  reason?: string;
}

export interface TraceRecord {
  id: string;
  at: string;
  by: string;
  check?: string;
  outcome?: string;
  reading?: number;
  unit?: string;
  expect?: Expect;
  /** single readings behind `reading`, which is their mean */
  takes?: number[];
  source?: Source;
  note?: string;
  /** a remedy that was tried while the symptom stayed */
  tried?: { element: string; remedy: string };
}

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

export interface Fix {
  element: string;
  remedy: string;
  at: string;
  name: string;
  /** proofs made before it: those after it count, whatever the clocks say */
  proofsBefore: number;
  /** ids of the old and the new part in the ledger, for a replacement */
  oldItem?: string;
  newItem?: string;
  serial?: string;
  dateCode?: string;
  /** what the old part said of itself */
  old?: { serial?: string; dateCode?: string };
  /** plugs that went across from the old part */
  across?: string[];
  prepared?: Swapping['prepared'];
}

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

export interface HandOver {
  at: string;
  by: string;
  to: string;
  result: 'works' | 'referred' | 'returned as it was';
  settings?: string;
  note?: string;
  followUp?: string;
}

/** Everything known of a job, folded from its events. */
export interface JobState {
  id: string;
  tag: string;
  openedAt: string;
  /** the map as this unit is built: the variant that was taken in */
  map: UnitMap;
  /** the map with all its variants */
  whole: UnitMap;
  /** weights that closed jobs taught, as they stood when the job was opened */
  learned?: Learned;
  /** the unit's row on the shelf of maps, where it came from one */
  unit?: { id: string; version: number };
  place?: string;
  intake: Intake | null;
  stop: Stop;
  parked: { why: string; until?: string; at: string; by?: string } | null;
  power: UnitPower;
  hazards: HazardState[];
  trace: TraceRecord[];
  plan: Plan | null;
  /** old part out, not yet replaced */
  out: { element: string; item: string; serial?: string; dateCode?: string } | null;
  fix: Fix | null;
  /** remedies done that did not mend it */
  failed: Fix[];
  ledger: Ledger;
  proofs: ProofRecord[];
  handedOver: HandOver | null;
  notes: { at: string; by: string; text: string }[];
  photos: Photo[];
  /** moves of the unit's recipe that were done, by id */
  followed: string[];
  timers: Timer[];
  /** where the screws of an item sit, by item: millimetres or any one unit, in their numbering */
  holes: Record<string, Holes>;
  /** steps of powering down that were done, or why they were passed over */
  poweredDown: { done: string[]; passed?: { reason: string; at: string } };
  /** how full each pack was read, by hazard */
  charges: Record<string, ChargeRead>;
  /** which lead is parted first on this unit; as the pack asks for when absent */
  firstLead?: FirstLead | 'no rule';
  swap: Swapping;
  subUnits: SubUnit[];
  told: { party: string; how: string; at: string; by: string }[];
  proving: ProvingTick[];
  soak: Soak | null;
  /** old and new battery laid beside each other, by element */
  batteries: Record<string, BatteryCompared>;
  /** old and new board, likewise */
  boards: Record<string, { request: BoardFitRequest; at: string; by: string }>;
  consumables: { id: string; what: string; amount?: string; on?: string; at: string; by: string }[];
}

export interface ChargeRead {
  percent: number;
  /** rest voltage it was worked out from, and which chemistry rows were in force */
  volts?: number;
  chemistry?: number;
  source: Source;
  at: string;
}

export const CABLE_MODES = ['all off', 'one across'] as const;
export type CableMode = (typeof CABLE_MODES)[number];

export interface Swapping {
  /** all plugs off the old part, or one at a time across to the new one */
  mode: CableMode;
  /** lines of the preparation list that are done */
  prepared: { line: string; note?: string; at: string }[];
  /** plugs that went across, one at a time */
  across: string[];
}

/** Two battery sheets as they were compared, with the chemistry that was in force. */
export interface BatteryCompared {
  request: BatteryFitRequest;
  /** how often the chemistry rows had been changed; 0 as shipped */
  chemistry: number;
  at: string;
  by: string;
}

/** A unit inside the unit: a feeder, a pair of boards; with its own goal and its own things off. */
export interface SubUnit {
  id: string;
  name: string;
  goal: string;
  at: string;
  leftAt?: string;
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

export interface Holes {
  points: { x: number; y: number }[];
  lid: 'metal' | 'plastic';
}

/** Something that takes its time by itself: heat, soak, cure, charge, boot. */
export interface Timer {
  id: string;
  what: string;
  startedAt: string;
  minutes: number;
  endedAt?: string;
}

/** A picture taken at the bench; the picture itself is kept beside the job. */
export interface Photo {
  id: string;
  at: string;
  by: string;
  file: string;
  caption: string;
  width: number;
  height: number;
  stop: Stop;
  /** the earlier picture it stands beside: before and after */
  after?: string;
  pins?: PhotoPin[];
}

/** A numbered pin on a picture; x and y from 0 to 1 of its width and height. */
export interface PhotoPin {
  x: number;
  y: number;
  /** designator, or words of one's own */
  on: string;
  /** the thing of the tray it is bound to */
  item?: string;
}
