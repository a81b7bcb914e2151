import { boardFit } from '../board';
import { batteryFit, type FitVerdict } from '../fit';
import { type PreparationLine, preparationsFor } from '../preparation';
import type { JobState } from './state';

/** How a new part fits in the place of the old one, whatever kind of part it is. */
export interface PartFit {
  verdict: FitVerdict;
  lines: { line: string; verdict: FitVerdict; old: string; new: string; why: string }[];
  work: string[];
}

/**
 * How the parts compared for an element fit: batteries judged with the chemistry that was in force then,
 * boards contact by contact.
 *
 * @param state a job
 * @param element its designator
 * @returns the answer, or null where none were compared
 * @example fitOf(state, 'B1')?.verdict // 'fits after work'
 */
export function fitOf(state: JobState, element: string): PartFit | null {
  const battery = state.batteries[element];
  if (battery) return batteryFit(battery.request);
  const board = state.boards[element];
  return board ? boardFit(board.request) : null;
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
