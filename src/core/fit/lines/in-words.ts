import { type BatterySheet, type FitRule, unknown } from '../sheet';

/** A line that is compared as it was said: alike, or looked at with both in hand. */
const inWords = (
  line: string,
  of: 'plugFacing' | 'leadFold' | 'outline',
  { ask, otherwise }: { ask: string; otherwise: string },
): FitRule => ({
  line,
  mustKnow: false,
  mendable: false,
  judge({ old, new: fresh }) {
    const say = (s: BatterySheet) => s[of]?.trim() || 'not known';
    const base = { old: say(old), new: say(fresh) };
    if (!old[of]?.trim() && !fresh[of]?.trim()) return null;
    if (!old[of]?.trim() || !fresh[of]?.trim()) return unknown(base.old, base.new, ask);
    return base.old.toLowerCase() === base.new.toLowerCase()
      ? { ...base, verdict: 'pass', why: 'said the same of both' }
      : { ...base, verdict: 'warn', why: otherwise };
  },
});

export const plugFacing = inWords('plug facing', 'plugFacing', {
  ask: 'hold both the same way up and look which way plug and key face',
  otherwise: 'the lead may have to turn over: try it in its bay before anything is taped',
});
export const leadFold = inWords('lead fold', 'leadFold', {
  ask: 'look how the lead is folded and where it leaves',
  otherwise: 'a fold in another place lifts the cover or pinches: lay it in dry first',
});
export const outline = inWords('outline', 'outline', {
  ask: 'look for a step, a notch or a tab that the bay wants',
  otherwise: 'lay it into the bay with nothing plugged: a step that is missing rattles, one too many presses',
});
