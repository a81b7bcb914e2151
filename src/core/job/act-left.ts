import { folded, leadsOf } from '../hazard';
import type { Hazard } from '../unit';
import { leadsNow } from './packs';
import type { JobState } from './state';

/** Leads that the act of a pack's gate parts, in the order of the rule in force; empty where its plug is not known. */
function leadsIn(state: JobState, pack: Hazard): string[] {
  const { power, signals } = leadsOf(state.map, pack);
  if (!power) return [];
  return leadsNow(state).rule === 'signal before power' ? [...signals, power] : [power, ...signals];
}

/**
 * Leads of a pack that its gate still wants parted, in the order of the rule in force.
 *
 * @param state a job
 * @param pack a hazard of its map
 * @returns their names; empty where all are off, or where none is known
 * @example leadsToPart(state, pack) // ['balance lead', 'main lead']
 */
export function leadsToPart(state: JobState, pack: Hazard): string[] {
  const off = new Set(leadsNow(state).off.map(folded));
  return leadsIn(state, pack).filter((l) => !off.has(folded(l)));
}

/**
 * What the act of a gate still wants done: of leads that are parted already, that their contacts are taped over.
 *
 * @param state a job
 * @param hazard of its map
 * @returns the act in words
 * @example actLeft(state, pack) // 'Tape over the contacts of balance lead and main lead'
 */
export function actLeft(state: JobState, hazard: Hazard): string {
  const all = leadsIn(state, hazard);
  const left = leadsToPart(state, hazard);
  if (left.length === all.length) return hazard.clear.act;
  return left.length
    ? `Part ${left.join(', then ')} and tape over the contacts`
    : `Tape over the contacts of ${all.join(' and ')}`;
}
