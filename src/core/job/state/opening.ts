import type { UnitMap } from '../../unit';
import type { Practice } from './practising';

/** Weights from closed jobs, kept in the job so that its figures stay what they were. */
export interface Learned {
  /** closed jobs on this model */
  jobs: number;
  weights: { element: string; weight: number; faults: number }[];
}

/** What a job is opened with. */
export interface Opening {
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
  /** a simulated unit: no job of the workshop */
  practice?: Practice;
}
