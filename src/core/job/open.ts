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
