import { coversOver, type MapAccess } from '../unit';
import type { JobState } from './state';

/**
 * Covers of the map that are off now, by access id. A cover laid on for a trial counts as off: it can
 * be lifted again at once.
 *
 * @param state a job
 * @returns access ids
 * @example openAccess(state) // ['hatch']
 */
export function openAccess(state: JobState): string[] {
  return state.ledger.covers.filter((c) => c.state !== 'final').map((c) => c.id);
}

/**
 * Covers of the map that are still on over something, the outermost first.
 *
 * @param state a job
 * @param needs covers under which it lies
 * @returns the covers
 * @example coversOn(state, check.trace.needs).map((c) => c.name) // ['hatch']
 */
export function coversOn(state: JobState, needs: readonly string[] | undefined): MapAccess[] {
  const open = openAccess(state);
  return coversOver(state.map.access, needs ? [...needs] : undefined).flatMap((id) =>
    open.includes(id) ? [] : state.map.access.filter((a) => a.id === id),
  );
}
