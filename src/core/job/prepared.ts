import { type BatteryFitAnswer, batteryFit } from '../fit';
import { type PreparationLine, preparationsFor } from '../preparation';
import type { JobState } from './state';

/**
 * How the batteries compared for an element fit, judged with the chemistry that was in force then.
 *
 * @param state a job
 * @param element its designator
 * @returns the answer, or null where none were compared
 * @example fitOf(state, 'B1')?.verdict // 'fits after work'
 */
export function fitOf(state: JobState, element: string): BatteryFitAnswer | null {
  const compared = state.batteries[element];
  return compared ? batteryFit(compared.request) : null;
}

/**
 * What is to be seen to for the planned part: the usual list of its kind, and the work that makes a
 * compared battery fit.
 *
 * @param state a job
 * @returns lines in their order
 * @example preparationsOf(state).filter((l) => l.must).map((l) => l.ask)
 */
export function preparationsOf(state: JobState): PreparationLine[] {
  const element = state.plan?.element ?? '';
  const usual = preparationsFor(state.map, element);
  const work = fitOf(state, element)?.work ?? [];
  return [
    ...usual,
    ...work.map((ask) => ({
      id: `work: ${ask}`.slice(0, 120),
      when: 'before in' as const,
      ask,
      why: 'it fits only after this',
      must: true,
      applies: () => true,
    })),
  ];
}
