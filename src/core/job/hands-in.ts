import { holding } from '../hazard';
import { demand } from '../refusal';
import { openAccess } from './open';
import type { JobState } from './state';

/**
 * Stops a hand that would reach what is live: hazards bared now, or by the cover about to come off.
 *
 * @param state a job
 * @param cover about to come off
 * @param plug about to be parted: the hazard that it parts does not hold it
 * @throws Refusal naming the hazard and what to do
 * @example handsIn(state, 'lid')
 */
export function handsIn(state: JobState, cover?: string, plug?: string): void {
  const held = holding(state.map.hazards, state.hazards, openAccess(state), cover);
  const h = held.find((x) => plug === undefined || x.clear.unplugs !== plug);
  demand(!h, h ? `Held by ${h.name}, ${h.detail}. ${h.clear.act}, in Make safe` : '', '/item');
}
