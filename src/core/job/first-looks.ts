import type { ElementKind } from '../unit';
import { isAimed, type JobState } from './state';

export type FirstLookId = 'trial start' | 'warmed up' | 'setting' | 'interlock';

/** What rules a fault out before anything is opened or measured. */
export interface FirstLook {
  id: FirstLookId;
  ask: string;
  /** the answer after which the search goes on */
  clear: string;
  /** the answer that says something */
  found: string;
  /** what follows from it */
  then: string;
  /** what put it right, where that may be all that was wrong */
  mends?: string;
  /** what is less suspect once it is clear */
  clears?: ElementKind;
}

/** What is left of the weight of what a first look cleared. Common practice, no source. */
export const LOOKED_AT = 0.1;

/** Asked first, in this order. Common practice, no source. One more is one more entry. */
export const FIRST_LOOKS: FirstLook[] = [
  {
    id: 'trial start',
    ask: 'Start it once as its owner does: does it fail here too?',
    clear: 'it fails here too',
    found: 'it works here',
    then: 'Ask how and where it was used. Take it as a fault that comes and goes: a good answer clears little.',
  },
  {
    id: 'warmed up',
    ask: 'Does it fail warm and cold alike?',
    clear: 'warm and cold alike',
    found: 'only in one of them',
    then: 'Check it in the state in which it fails; a good answer in the other clears nothing.',
  },
  {
    id: 'setting',
    ask: 'Are settings, mode, input and level as they should be?',
    clear: 'they are',
    found: 'a setting was off',
    then: 'Note what it was, set it, and prove it: no part may be at fault.',
    mends: 'the setting put right',
    clears: 'setting',
  },
  {
    id: 'interlock',
    ask: 'Are doors, cover switches, stops and the fuse of the outlet closed?',
    clear: 'all closed',
    found: 'one was open',
    then: 'Close it, find out why it was open, and prove it: no part may be at fault.',
    mends: 'the interlock closed',
  },
];

/**
 * Looks that are still to be asked before anything else: none once something was checked, planned, or
 * brought in with an aim and no fault.
 *
 * @param state a job
 * @returns looks in the order in which they are asked
 * @example firstLooksLeft(state)[0]?.id // 'trial start'
 */
export function firstLooksLeft(state: JobState): FirstLook[] {
  if (!state.intake || isAimed(state) || state.plan || state.trace.length > 0) return [];
  return FIRST_LOOKS.filter((l) => !state.looked.some((a) => a.look === l.id));
}

/**
 * What a first look brought to light, newest last.
 *
 * @param state a job
 * @returns looks whose answer says something
 * @example firstLooksFound(state)[0]?.then // 'Note what it was, set it, …'
 */
export const firstLooksFound = (state: JobState): FirstLook[] =>
  state.looked.flatMap((a) => (a.found ? FIRST_LOOKS.filter((l) => l.id === a.look) : []));

/**
 * Kinds of elements that a first look found as they should be: a board is named before them.
 *
 * @param state a job
 * @returns kinds whose weight counts {@link LOOKED_AT} of itself
 * @example clearedByLooks(state).has('setting') // true once the settings were found right
 */
export const clearedByLooks = (state: JobState): Set<ElementKind> =>
  new Set(
    state.looked.flatMap((a) => {
      const clears = FIRST_LOOKS.find((l) => l.id === a.look)?.clears;
      return clears && !a.found ? [clears] : [];
    }),
  );
