import { firstLeadOf, isPackItself, type LeadsNow } from '../hazard';
import { tally } from '../ledger';
import { HAZARDS, type Hazard } from '../unit';
import { openAccess } from './open';
import { outsOf } from './opening';
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
  const outs = outsOf(state).map((o) => o.element.toLowerCase());
  if ([pack.id, pack.on].some((n) => n !== undefined && outs.includes(n.toLowerCase()))) return true;
  return state.ledger.items.some(
    (i) => i.kind === 'part' && !i.cover && tally(i).off > 0 && isPackItself(state.map, pack, i.name),
  );
}

/** Packs that are in the unit. */
export const packsIn = (state: JobState): Hazard[] =>
  state.map.hazards.filter((h) => HAZARDS[h.kind].isPack && !isOut(state, h));

/** Packs that a part of this name is. */
export const packsNamed = (state: JobState, name: string): Hazard[] =>
  state.map.hazards.filter((h) => isPackItself(state.map, h, name));

/** Packs that are one element of the unit. */
export const packsOn = (state: JobState, element: string): Hazard[] =>
  state.map.hazards.filter((h) => h.on === element || h.id === element);

/**
 * What was read of a pack says nothing of the one that goes in for it: charge and swelling fall.
 *
 * @param state a job
 * @param packs those that are replaced
 * @returns the job without their readings
 * @example unread(state, packsOn(state, 'B1')).charges // {}
 */
export function unread(state: JobState, packs: Hazard[]): JobState {
  const gone = new Set(packs.map((h) => h.id));
  return {
    ...state,
    charges: Object.fromEntries(Object.entries(state.charges).filter(([id]) => !gone.has(id))),
    swollen: state.swollen.filter((id) => !gone.has(id)),
  };
}
