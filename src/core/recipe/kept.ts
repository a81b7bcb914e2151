import type { JobState } from '../job';
import type { MapMove, UnitMap } from '../unit';

/**
 * A map with what a job learned on the way in: its moves, the covers that were met at the bench, and
 * under which covers the planned part lies, where nobody had said so. Nothing of what was kept hangs on a
 * cover that the map does not have.
 *
 * @param map of the unit as it is kept now
 * @param state the job
 * @param moves the way in as it was found
 * @returns the map
 * @example withWayIn(map, state, recipeOf(state, events)).moves?.length // 31
 */
export function withWayIn(map: UnitMap, state: JobState, moves: MapMove[]): UnitMap {
  const had = new Set(map.access.map((a) => a.id));
  const met = state.whole.access.filter((a) => !had.has(a.id) && moves.some((m) => m.opens === a.id));
  const opened = moves.flatMap((m) => m.opens ?? []);
  const element = state.plan?.element;
  return {
    ...map,
    access: [...map.access, ...met],
    elements: map.elements.map((e) =>
      e.id === element && opened.length > 0 && !e.needs?.length ? { ...e, needs: opened } : e,
    ),
    ...(moves.length ? { moves } : {}),
  };
}
