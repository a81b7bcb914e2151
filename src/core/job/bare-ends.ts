import { belongsTo, folded } from '../hazard';
import { type Item, joint, tally } from '../ledger';
import { HAZARDS } from '../unit';
import { packsIn } from './packs';
import type { JobState } from './state';

/**
 * Leads with bare ends that lie open: off, bare by how they were held, of a pack or in a unit whose pack
 * is in, and not taped over. The next lead waits for them.
 *
 * @param state a job
 * @returns things of the tray, in the order in which they came off
 * @example bareEnds(state).map((i) => i.name) // ['red wire']
 */
export function bareEnds(state: JobState): Item[] {
  const charged = packsIn(state).length > 0;
  return state.ledger.items.filter(
    (i) =>
      i.kind === 'plug' &&
      joint(i.joint).bare === true &&
      tally(i).off > 0 &&
      !state.taped.includes(i.id) &&
      (charged || state.map.hazards.some((h) => HAZARDS[h.kind].isPack && belongsTo(state.map, h, i.name))),
  );
}

/**
 * The job with bare ends taped over: the one that is named, or all of them.
 *
 * @param state a job
 * @param on what was taped, as it was said; all bare ends when absent or not one of them
 * @returns the job
 * @example taped(state, 'red wire').taped.length // 1
 */
export function taped(state: JobState, on: string | undefined): JobState {
  const bare = bareEnds(state);
  const named = bare.filter((i) => on !== undefined && folded(i.name) === folded(on));
  return { ...state, taped: [...state.taped, ...(named.length ? named : bare).map((i) => i.id)] };
}
