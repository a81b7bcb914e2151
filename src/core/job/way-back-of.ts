import { belongsTo } from '../hazard';
import { type Item, type WayBackStep, wayBack } from '../ledger';
import { HAZARDS } from '../unit';
import { fixesOf } from './opening';
import { packsOn } from './packs';
import type { JobState } from './state';

/**
 * The way back of a job: as its ledger has it, and what is new is looked at before a pack makes it live.
 *
 * @param state a job
 * @returns steps in their order, the next first
 * @example wayBackOf(state)[0].text // 'Plug in J7'
 */
export function wayBackOf(state: JobState): WayBackStep[] {
  const { ledger, map } = state;
  const packs = map.hazards.filter((h) => HAZARDS[h.kind].isPack);
  const newPacks = fixesOf(state).filter((f) => packsOn(state, f.element).some((h) => packs.includes(h)));
  const arms = (item: Item) =>
    item.kind === 'plug'
      ? packs.some((h) => belongsTo(map, h, item.name))
      : newPacks.some((f) => f.newItem === item.id);
  return wayBack(ledger, arms);
}
