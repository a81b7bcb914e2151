import { type FirstLead, HAZARDS, type Hazard, type UnitMap } from '../unit';
import type { HazardState } from './gates';

/**
 * Which lead is parted first on a unit, as its map says; otherwise as its pack asks for: a pack of
 * several cells with a lead of its own for balance or talk gives that lead first, a single pack on a
 * board that stays live goes before any other connector. Common practice, no source.
 *
 * @param map a unit's map
 * @returns the rule, or null where there is no pack
 * @example firstLeadOf(photoPrinter) // 'battery first'
 */
export function firstLeadOf(map: Pick<UnitMap, 'hazards' | 'firstLead' | 'plugs'>): FirstLead | null {
  if (map.firstLead) return map.firstLead;
  const pack = map.hazards.find((h) => HAZARDS[h.kind].isPack && h.clear.unplugs);
  if (!pack) return null;
  return signalLeads(map, pack).length > 0 ? 'signal before power' : 'battery first';
}

/** Leads of a pack that carry no supply: those of its bundle without a supply on any contact. */
export function signalLeads(map: Pick<UnitMap, 'plugs'>, pack: Hazard): string[] {
  const power = map.plugs?.find((p) => p.id === pack.clear.unplugs);
  if (!power?.bundle) return [];
  return (map.plugs ?? []).filter((p) => p.id !== power.id && p.bundle === power.bundle).map((p) => p.id);
}

/**
 * The plug that has to be parted before this one, by the rule of the unit.
 *
 * @param map a unit's map
 * @param rule the rule in force; null = none
 * @param states of the hazards
 * @param plug about to be parted
 * @param off plugs that are off, by name
 * @param reach covers that are off
 * @returns the plug to part first and why, or null
 * @example partFirst(map, 'battery first', states, 'W3', [], ['shield plate'])?.plug // 'W6'
 */
export function partFirst(
  map: Pick<UnitMap, 'hazards' | 'plugs'>,
  rule: FirstLead | null,
  states: HazardState[],
  plug: string,
  off: string[],
  reach: string[],
): { plug: string; why: string } | null {
  if (!rule) return null;
  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
  const isOff = (p: string) => off.some((o) => same(o, p));
  for (const pack of map.hazards) {
    const power = pack.clear.unplugs;
    if (!HAZARDS[pack.kind].isPack || !power) continue;
    const signals = signalLeads(map, pack);
    if (rule === 'signal before power') {
      const first = same(plug, power) ? signals.find((s) => !isOff(s)) : undefined;
      if (first) return { plug: first, why: `the signal lead of ${pack.name} goes before its power lead` };
      continue;
    }
    const live = states.find((s) => s.id === pack.id)?.status !== 'made safe';
    const reached = !pack.exposedBy?.length || pack.exposedBy.some((c) => reach.includes(c));
    const own = same(plug, power) || signals.some((s) => same(s, plug));
    if (live && reached && !own && !isOff(power))
      return { plug: power, why: `${pack.name} goes before any other connector` };
  }
  return null;
}
