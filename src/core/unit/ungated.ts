import { HAZARDS, type HazardKind } from './hazard-kinds';

/** Chemistry rows of lithium, by how they are called. */
const LITHIUM = /^(?:li|lfp|lto|lmo|nmc)\b/i;

/**
 * Batteries of lithium that nobody named as something that can hurt: they would get no gate, and their leads
 * would not be asked for. Common practice, no source.
 *
 * @param rows of a unit that is being described
 * @param hazards that were named for it
 * @returns the rows of such batteries, in their order
 * @example ungatedPacks([{ kind: 'battery', chemistry: 'li-ion cell' }], []).length // 1
 */
export function ungatedPacks<R extends { kind: string; chemistry?: string }>(
  rows: readonly R[],
  hazards: readonly HazardKind[],
): R[] {
  if (hazards.some((k) => HAZARDS[k].isPack)) return [];
  return rows.filter((r) => r.kind === 'battery' && LITHIUM.test(r.chemistry ?? ''));
}
