import { tally } from '../ledger';
import { HAZARDS } from '../unit';
import { outsOf } from './opening';
import { isOut } from './packs';
import type { JobState } from './state';

/**
 * What keeps a test from telling anything: the planned part, a plug, an earth lead or a pack that is
 * still out, a lead still exchanged onto another channel.
 *
 * @param state a job
 * @returns why, naming what is out; null when nothing is
 * @example proofHeldBy(state) // 'W6 is still out'
 */
export function proofHeldBy(state: JobState): string | null {
  const [out] = outsOf(state);
  if (out) return `${out.element} is still out`;
  for (const item of state.ledger.items) {
    const { off } = tally(item);
    if (off === 0 || item.undoneBy === 'nothing') continue;
    if (item.kind === 'plug') return `${item.name} is still out`;
    if (item.kind === 'change') return `${item.name}: put it back as it was first`;
  }
  const pack = state.map.hazards.find((h) => HAZARDS[h.kind].isPack && isOut(state, h));
  return pack ? `${pack.name} is still out` : null;
}
