import { folded } from '../hazard';
import { tally } from '../ledger';
import { type MapCheck, type MapElement, powerOf, testedBy } from '../unit';
import { callsOf, leadCallsOf } from './called';
import { outsOf } from './opening';
import type { JobState } from './state';

/**
 * Elements that are out of the unit or unplugged. What was moved aside with its leads on still works.
 *
 * Common practice, no source.
 *
 * @param state a job
 * @returns elements of its map, in their order
 * @example offTheUnit(state).map((e) => e.id) // ['W1', 'A3']
 */
export function offTheUnit(state: JobState): MapElement[] {
  const outs = new Set(outsOf(state).map((o) => folded(o.element)));
  const away = new Set(
    state.ledger.items
      .filter(
        (i) => (i.kind === 'plug' || i.kind === 'part') && tally(i).off - (i.by.aside ?? 0) > 0 && !i.cover,
      )
      .map((i) => folded(i.name)),
  );
  return state.map.elements.filter(
    (e) => outs.has(folded(e.id)) || [...callsOf(e), ...leadCallsOf(e)].some((name) => away.has(name)),
  );
}

/**
 * What has to be back in the unit before a check under power says anything: of the elements it puts to the test,
 * those that are off.
 *
 * @param state a job
 * @param check a check of its map
 * @returns elements, none for a check that is made without power
 * @example offFor(state, check).map((e) => e.id) // ['A3']
 */
export function offFor(state: JobState, check: MapCheck): MapElement[] {
  if (powerOf(check) !== 'powered') return [];
  const tested = new Set(testedBy(check));
  return offTheUnit(state).filter((e) => tested.has(e.id));
}
