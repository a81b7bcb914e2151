import { deriveChecks, type MapElement, type MapRemedy, testedBy } from '../unit';
import { verdictOf } from './answer';
import { packsOn } from './packs';
import type { JobState } from './state';

/** Leads whose continuity was found wanting when it was measured last. */
function openCores({ map, trace }: JobState): Set<string> {
  const open = new Set<string>();
  if (!trace.some((r) => r.check)) return open;
  const measured = new Map(
    deriveChecks(map).flatMap((c) => (c.how === 'continuity' ? [[c.id, c] as const] : [])),
  );
  for (const r of trace) {
    const check = measured.get(r.check ?? '');
    for (const lead of check ? testedBy(check) : [])
      if (check && verdictOf(check, r) === 'bad') open.add(lead);
      else open.delete(lead);
  }
  return open;
}

/**
 * Why only a new one mends an element.
 *
 * Common practice, no source.
 *
 * @param state a job
 * @param element an element id
 * @returns the reason in words; null where gentler ways may do
 * @example onlyNew(state, 'W1') // 'a core of it is open from end to end'
 */
export function onlyNew(state: JobState, element: string): string | null {
  // A swollen pack is not pressed home again: it is replaced.
  if (packsOn(state, element).some((h) => state.swollen.includes(h.id))) return 'it is swollen';
  // Measured from end to end: no contact that is cleaned or pressed home joins an open core.
  return openCores(state).has(element) ? 'a core of it is open from end to end' : null;
}

/**
 * The rungs by which an element may still be mended: of a swollen pack, and of a lead with an open core, only a new
 * one. What was tried already stays in the list, so that the log can speak of it.
 *
 * Common practice, no source.
 *
 * @param state a job
 * @param element of its map
 * @returns remedies of the map, gentlest first; all of them where none is a new one
 * @example rungsOf(state, cable).map((r) => r.kind) // ['replace']
 */
export function rungsOf(state: JobState, element: MapElement): MapRemedy[] {
  const { id, remedies } = element;
  if (!onlyNew(state, id) || !remedies.some((r) => r.kind === 'replace')) return remedies;
  const tried = new Set(state.trace.flatMap((t) => (t.tried?.element === id ? [t.tried.remedy] : [])));
  return remedies.filter((r) => r.kind === 'replace' || tried.has(r.id));
}
