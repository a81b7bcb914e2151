import { belongsTo, firstLeadOf, type LeadsNow } from '../hazard';
import { tally } from '../ledger';
import { HAZARDS, type Hazard } from '../unit';
import { openAccess } from './open';
import type { JobState } from './state';

/** Plugs that are off, in the order in which they came off. */
export const plugsOff = (state: JobState): string[] =>
  state.ledger.items.filter((i) => i.kind === 'plug' && tally(i).off > 0).map((i) => i.name);

/** How the leads of the unit stand now, for the rule of the first lead. */
export const leadsNow = (state: JobState): LeadsNow => ({
  rule: state.firstLead === 'no rule' ? null : (state.firstLead ?? firstLeadOf(state.map)),
  states: state.hazards,
  off: plugsOff(state),
  open: openAccess(state),
});

/** Whether a pack is out of the unit: the planned one is out, or it lies in the tray. */
export function isOut(state: JobState, pack: Hazard): boolean {
  const out = state.out?.element;
  if (out && [pack.id, pack.on].some((n) => n?.toLowerCase() === out.toLowerCase())) return true;
  return state.ledger.items.some(
    (i) => i.kind === 'part' && !i.cover && tally(i).off > 0 && belongsTo(state.map, pack, i.name),
  );
}

/** Packs that are in the unit. */
export const packsIn = (state: JobState): Hazard[] =>
  state.map.hazards.filter((h) => HAZARDS[h.kind].isPack && !isOut(state, h));
