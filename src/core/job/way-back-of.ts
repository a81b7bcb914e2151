import { belongsTo } from '../hazard';
import { type WayBackStep, wayBack } from '../ledger';
import { HAZARDS } from '../unit';
import type { JobState } from './state';

/**
 * The way back of a job: as its ledger has it, and what is new is looked at before a pack makes it live.
 *
 * @param state a job
 * @returns steps in their order, the next first
 * @example wayBackOf(state)[0].text // 'Plug in J7'
 */
export function wayBackOf({ ledger, map }: JobState): WayBackStep[] {
  const packs = map.hazards.filter((h) => HAZARDS[h.kind].isPack);
  return wayBack(ledger, (item) => item.kind === 'plug' && packs.some((h) => belongsTo(map, h, item.name)));
}
