import { holding } from '../hazard';
import { demand } from '../refusal';
import type { Hazard, UnitMap } from '../unit';
import { openAccess } from './open';
import type { JobState } from './state';

/**
 * A hazard of the unit by its id.
 *
 * @param state a job
 * @param id hazard id
 * @returns the hazard
 * @throws Refusal when the unit has no such hazard
 * @example hazardOf(state, 'mains').name // 'Mains'
 */
export function hazardOf(state: JobState, id: string): Hazard {
  const h = state.map.hazards.find((x) => x.id === id);
  demand(h, `${id} is no hazard of this unit`, '/hazard');
  return h;
}

/**
 * The cover that comes off before a gate can be cleared: its act lies under it, and the cover does not wait for it.
 *
 * @param state a job
 * @param hazard of its unit
 * @returns the cover, by id and name; undefined where the gate can be cleared now, is cleared, or was passed
 * @example waitsUnder(state, pack)?.name // 'deck plate'
 */
export function waitsUnder(state: JobState, hazard: Hazard): UnitMap['access'][number] | undefined {
  const { map, hazards } = state;
  const own = hazards.find((s) => s.id === hazard.id);
  if (!hazard.clear.inside || own?.status === 'made safe' || own?.passed) return undefined;
  const over = hazard.exposedBy ?? [];
  const open = openAccess(state);
  return over.some((id) => open.includes(id)) ? undefined : map.access.find((a) => over.includes(a.id));
}

/** What a hazard is called, for the log: its id where the map lost it. */
export const hazardName = (state: JobState, id: string): string =>
  state.map.hazards.find((h) => h.id === id)?.name ?? id;

/** Make safe is left once no gate holds the way any more. */
export function afterGate(state: JobState): JobState {
  const open = openAccess(state);
  const held = state.map.access.flatMap((a) =>
    holding(state.map.hazards, state.hazards, { open, next: a.id }),
  );
  const clear = held.length === 0 && state.plan;
  return clear && state.stop === 'make safe' ? { ...state, stop: 'open up' } : state;
}
