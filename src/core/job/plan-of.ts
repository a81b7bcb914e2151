import { coversOver, type MapRemedy } from '../unit';
import { openAccess } from './open';
import { coversNeeded } from './opening';
import { rungsOf } from './rungs';
import type { JobState } from './state';

export interface RemedyOption {
  element: string;
  elementName: string;
  remedy: MapRemedy;
  /** the remedy and the opening it still needs */
  minutes: number;
  /** chance that it mends the unit: suspicion × chance of lasting, after the rungs already tried */
  chance: number;
  tried: boolean;
}

/**
 * The ladder of one element as choices: minutes with opening, parts, and the chance that each mends
 * the unit.
 *
 * @param state a job
 * @param element element id
 * @param suspicion chance that this element is the fault, 0 to 1
 * @param beside done in the same opening as what is planned already
 * @returns one option per rung, gentlest first
 * @example remedyOptions(state, 'W4', 0.79)[0].chance // 0.79 × 0.45
 */
export function remedyOptions(
  state: JobState,
  element: string,
  suspicion: number,
  beside = false,
): RemedyOption[] {
  const e = state.map.elements.find((x) => x.id === element);
  if (!e) return [];
  const open = new Set(openAccess(state));
  // What is opened for another remedy is opened once.
  const paid = new Set(beside ? coversNeeded(state) : []);
  const wanted = new Set(
    coversOver(state.map.access, e.needs).filter((id) => !open.has(id) && !paid.has(id)),
  );
  const opening = state.map.access.filter((a) => wanted.has(a.id)).reduce((m, a) => m + a.minutes, 0);
  const tried = new Set(state.trace.flatMap((t) => (t.tried?.element === element ? [t.tried.remedy] : [])));
  return rungsOf(state, e).map((remedy) => ({
    element,
    elementName: e.name,
    remedy,
    minutes: remedy.minutes + opening,
    chance: suspicion * remedy.fixes,
    tried: tried.has(remedy.id),
  }));
}
