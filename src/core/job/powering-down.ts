import type { PowerDownStep } from '../unit';
import type { JobState } from './state';

/**
 * Steps of the unit's own way to power down that are still to be done; none once it is off that way,
 * or was passed over with a reason.
 *
 * @param state a job
 * @returns steps of the map in their order
 * @example powerDownLeft(state)[0].text // 'Menu, Service, Store and stop'
 */
export function powerDownLeft(state: JobState): PowerDownStep[] {
  if (state.poweredDown.passed) return [];
  return (state.map.powerDown ?? []).filter((s) => !state.poweredDown.done.includes(s.id));
}
