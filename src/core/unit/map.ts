import type { Header, Plug } from '../mixups';
import type { Expect, Power, Remedy } from '../trace';
import type { Face } from './face';
import type { GateClear, HazardKind } from './hazard-kinds';

export const ELEMENT_KINDS = [
  'board',
  'cable',
  'connector',
  'battery',
  'supply',
  'motor',
  'lamp',
  'sensor',
  'setting',
] as const;
export type ElementKind = (typeof ELEMENT_KINDS)[number];

export const REMEDY_KINDS = ['set', 'reseat', 'clean', 'replace'] as const;
export type RemedyKind = (typeof REMEDY_KINDS)[number];

export interface MapRemedy extends Remedy {
  kind: RemedyKind;
  /** what the technician reads: "Replace the ribbon" */
  name: string;
  /** parts and consumables it takes */
  parts?: string[];
}

export interface MapElement {
  /** designator as written on the board: W4 */
  id: string;
  name: string;
  kind: ElementKind;
  /** relative failure rate, over 0 */
  weight: number;
  /** access that must be open to repair it */
  needs?: string[];
  /** access from which a finger can bend or press it; as `needs` when absent */
  touch?: string[];
  remedies: MapRemedy[];
  /** its own leads, as people call them, where no gate of the unit names them */
  leads?: string[];
  /** a known-good one is at hand to be tried in its place */
  spare?: boolean;
  /** what is said of it, kept apart from what closed jobs taught */
  hearsay?: Hearsay;
  only?: Only;
}

/** Variants that have this part; every variant when absent. */
export type Only = string[];

/** A weight somebody stated, with who said it and how many faults that saying is worth. */
export interface Hearsay {
  weight: number;
  /** pseudo-count: after this many faults of its own the unit's record weighs as much */
  count: number;
  source: string;
}

export interface Feed {
  from: string;
  to: string;
  carries: 'signal' | 'power';
  only?: Only;
}

export type TapHow = 'look' | 'listen' | 'measure';

export interface Tap {
  id: string;
  name: string;
  /** the element whose output is seen here */
  after: string;
  how: TapHow;
  minutes: number;
  expect?: Expect & { unit: string };
  /** alternating: the meter reads r.m.s. */
  ac?: boolean;
  needs?: string[];
  power?: Power;
  /** what to do first, or what to beware of */
  note?: string;
  only?: Only;
}

/** Elements that do the same work side by side, each list in signal order and of the same length. */
export interface Channel {
  id: string;
  name: string;
  elements: string[];
}

/** One answer of a check that has more than two: a code, a message, a lamp pattern. */
export interface CheckAnswer {
  id: string;
  name: string;
  /** elements it points at; none = all is well */
  points: string[];
}

/** A check that does not follow from the map by itself. */
export interface OwnCheck {
  id: string;
  name: string;
  /** elements that have to work for it to come out good */
  exercises: string[];
  minutes: number;
  /** words of the two answers; `in range` is not among them: a measured point is a tap */
  ok?: string;
  bad?: string;
  /** more than two answers, in place of good and bad */
  answers?: CheckAnswer[];
  /** element id to the chance that this check alone makes its fault show */
  provokes?: Record<string, number>;
  needs?: string[];
  power?: Power;
  note?: string;
  /** what it changes on the unit, to be put back: "left channel fed from A5" */
  leaves?: string;
  only?: Only;
}

export interface MapAccess {
  id: string;
  name: string;
  minutes: number;
  needs?: string[];
  only?: Only;
}

/** One move of the way in, as somebody found it. */
export interface MapMove {
  id: string;
  /** as on the entry line: `4 x M3x8 PH1 rear cover > cup 3` */
  text: string;
  /** null = the bare hand */
  tool: string | null;
  /** side up, null = any */
  sideUp: string | null;
  minutes: number;
  /** moves that must be done before it */
  after?: string[];
  /** groups of which one must be wholly done before it */
  afterAny?: string[][];
  /** access that is open once it is done */
  opens?: string;
  caution?: string;
  /** heat or a lever on it: held while a pack nearby is charged */
  works?: MoveWork;
  /** minutes after it in which nobody has to stand by: soak, warm, cool */
  handsOff?: number;
  /** what is different when it is made good again */
  back?: WayBackNote;
  /** elements that it is done for, beyond the covers over them */
  reaches?: string[];
  only?: Only;
}

export const MOVE_WORKS = ['heat', 'pry'] as const;
export type MoveWork = (typeof MOVE_WORKS)[number];

/** What is different on the way back: a new gasket, a torque, a sealant that cures. */
export interface WayBackNote {
  note?: string;
  /** a new one every time */
  fresh?: boolean;
  torqueNm?: number;
  /** minutes until the next thing may be done to it */
  cureMinutes?: number;
}

export interface UnitFunction {
  id: string;
  name: string;
  /** the element the user sees or hears it at */
  output: string;
  only?: Only;
}

export interface Hazard {
  id: string;
  kind: HazardKind;
  name: string;
  /** what and how much: "230 V inside the lid" */
  detail: string;
  /** the element it is on; the whole unit when absent */
  on?: string;
  /** access that bares it; empty = the whole unit */
  exposedBy?: string[];
  /** what brings it back: "power" or the designator of a plug or element */
  armedBy?: string[];
  clear: GateClear;
  /** of a cell pack: how full it may be before heat or a lever comes near */
  charge?: ChargeLimit;
  only?: Only;
}

/** How full a pack may be before heat or a lever comes near it, and how that is read. */
export interface ChargeLimit {
  maxPercent: number;
  /** name of its table of rest voltages */
  chemistry: string;
  /** cells in series */
  series: number;
}

/** Which lead is parted first: the signal lead before the power lead, or the battery before anything. */
export const FIRST_LEADS = ['battery first', 'signal before power'] as const;
export type FirstLead = (typeof FIRST_LEADS)[number];

/** One step of powering down the way the unit wants it. */
export interface PowerDownStep {
  id: string;
  text: string;
  /** why, or how one sees that it is done */
  note?: string;
}

export const TELL_MUSTS = ['told', 'allow'] as const;
/** Before what somebody has to know, in the order of the work. */
export const TELL_BEFORES = ['opening', 'test', 'hand over'] as const;

/** Somebody who has to be told of a test, or has to allow it. */
export interface Party {
  id: string;
  who: string;
  must: (typeof TELL_MUSTS)[number];
  /** the first cover when absent */
  before?: (typeof TELL_BEFORES)[number];
  why?: string;
}

/** Another way the same model is built. */
export interface Variant {
  id: string;
  name: string;
  /** how to tell it */
  tell: string;
}

/** Map of a unit: what it is made of, how signal and power run, what can be seen, what can hurt. */
export interface UnitMap {
  name: string;
  maker: string;
  model: string;
  elements: MapElement[];
  feeds: Feed[];
  taps: Tap[];
  access: MapAccess[];
  functions: UnitFunction[];
  hazards: Hazard[];
  variants?: Variant[];
  channels?: Channel[];
  checks?: OwnCheck[];
  /** headers on the boards, and the plugs that go into them */
  headers?: Header[];
  plugs?: Plug[];
  /** the way in, once somebody has found it */
  moves?: MapMove[];
  /** its sides, and what is seen under its covers */
  faces?: Face[];
  powerDown?: PowerDownStep[];
  firstLead?: FirstLead;
  /** who has to know before it is tried */
  parties?: Party[];
  /** kept from imports, not read */
  extra?: Record<string, unknown>;
}
