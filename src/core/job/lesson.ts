import type { ElementKind } from '../unit';
import { symptomProof } from './proofs';
import { isAimed, type JobState } from './state';

/** What one closed job says about where its fault was. */
export interface Lesson {
  job: string;
  /** maker and model, as on the map */
  model: string;
  at: string;
  element: string;
  kind: ElementKind;
  /** share of the map's whole weight that each kind of element had */
  shares: Partial<Record<ElementKind, number>>;
}

/** Maker and model as one name; units without either teach nothing to each other. */
export const modelOf = (map: { maker: string; model: string }): string =>
  `${map.maker.trim()} ${map.model.trim()}`.trim();

/**
 * The lesson of a job: the element whose repair mended the unit, proven by the failing check. A job
 * that was referred, is not proven or not handed over teaches nothing.
 *
 * @param state a job
 * @returns the lesson, or null
 * @example lessonOf(closedJob)?.element // 'W7'
 */
export function lessonOf(state: JobState): Lesson | null {
  const { fix, handedOver, map } = state;
  // Nothing is learned from what was made up.
  if (state.practice) return null;
  // What was not a fault teaches nothing of faults.
  if (isAimed(state)) return null;
  // Two things mended at once say of neither that it was the fault.
  if (
    !fix ||
    state.fixes.length > 0 ||
    handedOver?.result !== 'works' ||
    symptomProof(state)?.outcome !== 'ok'
  )
    return null;
  const element = map.elements.find((e) => e.id === fix.element);
  const model = modelOf(map);
  if (!element || !model) return null;
  const total = map.elements.reduce((sum, e) => sum + e.weight, 0);
  const shares: Lesson['shares'] = {};
  for (const e of map.elements) shares[e.kind] = (shares[e.kind] ?? 0) + e.weight / total;
  return { job: state.id, model, at: handedOver.at, element: element.id, kind: element.kind, shares };
}
