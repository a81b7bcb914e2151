import type { UnitMap } from '../unit';
import type { BenchEvent, Meta } from './events/index';

/** The first event of every job. It carries the whole map, so that a job needs nothing beside itself. */
export type JobOpened = Meta & {
  type: 'job.opened';
  job: string;
  tag: string;
  map: UnitMap;
  unit?: { id: string; version: number };
  place?: string;
  learned?: Learned;
};

/** Weights from closed jobs, kept in the job so that its figures stay what they were. */
export interface Learned {
  /** closed jobs on this model */
  jobs: number;
  weights: { element: string; weight: number; faults: number }[];
}

/** Takes another event back; taking back an `undone` brings its event again. */
export type Undone = Meta & { type: 'undone'; event: string };

export type JobEvent = JobOpened | Undone | BenchEvent;
