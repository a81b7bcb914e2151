import { specOf } from './items';
import { looseNow } from './kept';
import type { Ledger } from './ledger';
import { stepKey, type WayBackStep } from './way-back';

/** The side that was up before anything was turned. */
export const AS_IT_STOOD = 'as it stood';

/**
 * Side that was up when each thing came off.
 *
 * @param ledger now
 * @returns sides by thing; null before the first flip
 * @example sidesOf(ledger).get(plug) // 'bottom'
 */
export function sidesOf(ledger: Ledger): Map<string, string | null> {
  const sides = new Map<string, string | null>();
  let side: string | null = null;
  for (const m of ledger.moves) {
    if (m.sideUp) side = m.sideUp === AS_IT_STOOD ? null : m.sideUp;
    if (m.item) sides.set(m.item, side);
  }
  return sides;
}

/**
 * A side that is up, in words that can be said: "bottom up", "upside down", "over".
 *
 * @param side as it was jotted
 * @returns words
 * @example sideUpWords('upside down') // 'upside down'
 */
export const sideUpWords = (side: string): string =>
  /\b(?:up|down|over|round|around|stood)$|^on its\b/i.test(side.trim()) ? side.trim() : `${side.trim()} up`;

/** What would fall when it is turned now, in words; empty when nothing would. */
export const beforeTurn = (ledger: Ledger): string => {
  const loose = looseNow(ledger);
  return loose.length ? `Before you turn it: ${loose.map(specOf).join(', ')}` : '';
};

/**
 * The way back with its turns: what came off with another side up goes back with that side up.
 *
 * @param ledger now
 * @param steps of the way back, in the order they are taken
 * @returns the steps, each turn as a step before the first thing that needs it
 * @example withTurns(ledger, wayBack(ledger))[0].text // 'Turn it: bottom up'
 */
export function withTurns(ledger: Ledger, steps: WayBackStep[]): WayBackStep[] {
  if (!ledger.moves.some((m) => m.sideUp)) return steps;
  const sides = sidesOf(ledger);
  let side = ledger.sideUp === AS_IT_STOOD ? null : (ledger.sideUp ?? null);
  return steps.flatMap((s): WayBackStep[] => {
    const wanted = s.kind === 'return' && s.item ? sides.get(s.item.id) : undefined;
    if (wanted === undefined || wanted === side) return [s];
    side = wanted;
    const note = beforeTurn(ledger);
    const turn: WayBackStep = {
      kind: 'turn',
      side: wanted ?? AS_IT_STOOD,
      before: stepKey(s),
      left: 1,
      text: wanted ? `Turn it: ${sideUpWords(wanted)}` : 'Turn it back as it stood',
      ...(note ? { note } : {}),
    };
    return [turn, s];
  });
}
