import type { JobSummary, Stop } from '../job';

/** A task of a job as it is offered to a day: minutes from the record, and its wait in words. */
export interface OfferedTask {
  id: string;
  words: string;
  /** the 70 % quantile of the minutes on it */
  handsOn: number;
  handsOff: number;
  sigma: number;
  after?: string[];
  /** what is waited for after it */
  wait?: string;
}

/** A job that is here, as a day may take it in. */
export interface DayOffer {
  job: string;
  tag: string;
  unit: string;
  place: string;
  stop: Stop;
  owner?: string;
  /** where the owner is reached */
  reach?: string;
  /** why it is parked */
  parked?: string;
  /** it is handed over already */
  over?: true;
  next: JobSummary['next'];
  tasks: OfferedTask[];
  /** a wait that runs already, with the moment at which it is over */
  runs?: { what: string; until: string };
  /** how many durations of the record stand behind the minutes; 0 where they are defaults */
  known: number;
}

/** A job in the plan of a day, with what was said of it. Times as 14:30 on the clock. */
export interface PlannedJob {
  job: string;
  /** where it is, where the job does not say so */
  place?: string;
  from?: string;
  until?: string;
  must?: boolean;
  worth?: number;
  /** whether it may be left alone in its waits */
  mayLeave?: boolean;
  /** minutes that somebody knows better */
  minutes?: { task: string; handsOn?: number; handsOff?: number }[];
}

export interface BusyTime {
  from: string;
  until: string;
  what: string;
  place?: string;
}

/** One technician’s day. */
export interface DayPlan {
  /** as 2026-11-27 */
  day: string;
  person: string;
  /** the clock it is read on: Europe/Lisbon */
  zone: string;
  start: { place: string; at: string };
  end: { place?: string; at: string };
  jobs: PlannedJob[];
  /** jobs that are begun in this order; any order where it is empty */
  order: string[];
  busy: BusyTime[];
  /** planned anew from here, since the day went otherwise */
  since?: { place: string; at: string };
  /** what lies in the van: lines ticked, and what came back of things of the store */
  van: { ticked: string[]; back: { item: string; took: number; back: number }[] };
}

/** What days have in common: how far it is from place to place, and what the van holds. */
export interface DayHouse {
  travel: { from: string; to: string; minutes: number }[];
  /** room in the van for spares */
  litres?: number;
}

/** A day as a page shows it. */
export interface DaySheet {
  plan: DayPlan | null;
  /** 0 where none is kept yet */
  version: number;
  /** the last day that was planned, for a new one to begin like it */
  before: DayPlan | null;
  /** the same day of others */
  others: DayPlan[];
  offers: DayOffer[];
  house: DayHouse;
  houseVersion: number;
  /** ways that the record knows */
  learned: DayHouse['travel'];
  people: string[];
}
