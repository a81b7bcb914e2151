import type { Hazard } from '../map';
import type { HazardDefinition } from './hazard-kind';
import { REGISTRY } from './registry';

export type { GateClear, HazardDefinition } from './hazard-kind';

export type HazardKind = (typeof REGISTRY)[number]['kind'];

/** Every kind by its name. */
export const HAZARDS = Object.fromEntries(REGISTRY.map((d) => [d.kind, d])) as {
  [K in HazardKind]: HazardDefinition<K>;
};

/** Names of the kinds, those that can hurt most first. */
export const HAZARD_KINDS: readonly HazardKind[] = REGISTRY.map((d) => d.kind);

/** Sorts what has a kind, what can hurt most first. */
export const worstFirst = (a: { kind: HazardKind }, b: { kind: HazardKind }): number =>
  HAZARD_KINDS.indexOf(a.kind) - HAZARD_KINDS.indexOf(b.kind);

/**
 * A hazard of the usual kind for a unit described at the bench.
 *
 * @param kind what can hurt
 * @param id id on the map
 * @param covers covers that bare it, empty = whole unit
 * @returns the hazard with its usual gate
 * @example hazardOfKind('mains', 'mains', ['lid']).clear.reading?.max // 5
 */
export function hazardOfKind(kind: HazardKind, id: string, covers: string[]): Hazard {
  const { name, detail, wholeUnit, armedBy, clear, charge }: HazardDefinition<string> = HAZARDS[kind];
  return {
    id,
    kind,
    name,
    detail,
    ...(wholeUnit || covers.length === 0 ? {} : { exposedBy: covers }),
    ...(armedBy.length ? { armedBy } : {}),
    clear,
    ...(charge ? { charge } : {}),
  };
}
