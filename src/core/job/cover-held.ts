import { demand, Refusal } from '../refusal';
import { handsIn } from './hands-in';
import { demandLeave } from './leave';
import { powerDownLeft } from './powering-down';
import type { JobState } from './state';

/**
 * What comes before a hand goes into the unit: it is powered down its own way, and whoever has to allow
 * it was asked.
 *
 * @param state a job
 * @param cover the cover about to come off; undefined where a hand goes in otherwise
 * @throws Refusal naming the step, or who has to know
 * @example demandOpening(state, 'lid')
 */
export function demandOpening(state: JobState, cover: string | undefined): void {
  const step = powerDownLeft(state)[0];
  demand(!cover || !step, step ? `First power it down the way it wants: ${step.text}` : '', '/item');
  if (cover) demandLeave(state, 'opening', '/item');
}

/**
 * What holds a cover just now: a step of powering down, somebody who has to know, a gate. All of it is seen
 * to in Make safe.
 *
 * @param state a job
 * @param cover a cover of the map
 * @returns the first of it in words, or null when it may come off
 * @example coverHeldBy(state, { id: 'cover', name: 'lid' }) // 'Held by Mains, supply voltage inside. Pull the plug, in Make safe'
 */
export function coverHeldBy(state: JobState, { id, name }: { id: string; name: string }): string | null {
  try {
    demandOpening(state, id);
    handsIn(state, { cover: id, thing: name });
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
}
