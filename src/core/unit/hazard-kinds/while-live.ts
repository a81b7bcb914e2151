import type { Hazard } from '../map';
import { HAZARDS } from '.';

/** What a check under power brings the hand near. */
export interface WhileLive {
  /** what is live meanwhile */
  live: Hazard[];
  /** what is there with the power off as well */
  there: Hazard[];
  /** what to mind, each said once */
  mind: string[];
}

/** Checks for which a hand goes in while the power is on. */
const TOUCHES: readonly string[] = ['measure', 'flex', 'own'];

/**
 * What is live while a check is done, and what to mind: a probe for what is measured, hands out for what is only
 * looked at, and near what turns no sleeve. Common practice, no source; local codes come first.
 *
 * @param hazards those the check brings the hand near
 * @param how of the check
 * @returns what is live, what is there anyway, and what to mind
 * @example whileLive([moving], 'listen').mind // ['Hands, sleeves and hair clear of what turns.']
 */
export function whileLive(hazards: readonly Hazard[], how: string): WhileLive {
  const care = (h: Hazard) => HAZARDS[h.kind].whileLive;
  const live = hazards.filter((h) => care(h) !== null);
  const key = TOUCHES.includes(how) ? 'touching' : 'looking';
  return {
    live,
    there: hazards.filter((h) => care(h) === null),
    mind: [...new Set(live.flatMap((h) => care(h)?.[key] ?? []))],
  };
}
