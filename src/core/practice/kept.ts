import type { Shape } from './made-unit';
import type { KindId } from './registry';
import type { Skill } from './skills';

/** The kind that is done on the screens of the run. */
export const FIND_IT = 'find it';
export type PracticeKind = KindId | typeof FIND_IT;

/** An exercise as it is kept, without the map it is done on. */
export interface Exercise {
  id: string;
  /** name of who practises */
  by: string;
  kind: PracticeKind;
  /** name of the unit */
  unit: string;
  seed: number;
  /** the practice job, where it is done on the screens of the run */
  job?: string;
  startedAt: string;
  /** absent while it can be gone on with */
  endedAt?: string;
  /** as far as it was answered */
  answer?: unknown;
  skills: Skill[];
  /** 0 to 1 */
  score?: number;
  /** simulated minutes that the run took */
  minutes?: number;
  /** minutes expected of the best way, where that is known */
  optimum?: number;
  /** what the usual ways would have scored on the same unit, 0 to 1 */
  ways?: { name: string; score: number }[];
  /** the one thing worth remembering */
  remember?: string;
  /** begun anew from a decision of another */
  from?: { exercise: string; decisions: number };
  /** ended, and not counted: played again knowing what is hidden */
  again?: true;
}

/** What is to be practised, and on what. */
export interface Wanted {
  kind: PracticeKind;
  /** a unit on the map */
  unit?: string;
  /** or one that is made up */
  made?: { shape: Shape; size: number };
  /** a whole number; drawn where it is not given */
  seed?: number;
  /** after every decision the best there was is told */
  coach?: boolean;
  /** the element whose fault is looked for; drawn by weight where it is not given */
  element?: string;
  /** the one that fails most often by the map */
  likeliest?: boolean;
  /** how many faults at once */
  faults?: 1 | 2;
}
