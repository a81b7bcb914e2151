import { type FirstLead, HAZARDS, type UnitMap } from '../unit';
import type { HazardState } from './gates';
import { belongsTo, folded, leadsOf } from './pack-leads';

type OfMap = Pick<UnitMap, 'hazards' | 'firstLead' | 'plugs'> & { elements?: UnitMap['elements'] };

/**
 * Which lead is parted first on a unit, as its map says; otherwise as its pack asks for: a pack of
 * several cells with a lead of its own for balance or talk gives that lead first, a single pack on a
 * board that stays live goes before any other connector. Common practice, no source.
 *
 * @param map a unit's map
 * @returns the rule, or null where there is no pack
 * @example firstLeadOf(photoPrinter) // 'battery first'
 */
export function firstLeadOf(map: OfMap): FirstLead | null {
  if (map.firstLead) return map.firstLead;
  const pack = map.hazards.find((h) => HAZARDS[h.kind].isPack);
  if (!pack) return null;
  return leadsOf(map, pack).signals.length > 0 ? 'signal before power' : 'battery first';
}

/**
 * Packs whose leads nobody has named: which of their plugs goes first cannot be known.
 *
 * @param map a unit's map
 * @returns their names, for saying so
 * @example leadsUnknown(map) // ['Lithium pack']
 */
export const leadsUnknown = (map: OfMap): string[] =>
  map.hazards.filter((h) => HAZARDS[h.kind].isPack && !leadsOf(map, h).power).map((h) => h.name);

const same = (a: string, b: string) => folded(a) === folded(b);

/** How the leads of the unit stand now. */
export interface LeadsNow {
  /** the rule in force; null = none */
  rule: FirstLead | null;
  states: HazardState[];
  /** plugs that are off, in the order in which they came off */
  off: string[];
  /** covers that are off */
  open: readonly string[];
}

/**
 * The plug that has to be parted before this one, by the rule of the unit.
 *
 * @param map a unit's map
 * @param now rule, states, plugs and covers that are off
 * @param plug about to be parted
 * @returns the plug to part first and why, or null
 * @example partFirst(map, { rule: 'battery first', states, off: [], open: ['shield plate'] }, 'W3')?.plug // 'W6'
 */
export function partFirst(map: OfMap, now: LeadsNow, plug: string): { plug: string; why: string } | null {
  if (!now.rule) return null;
  const isOff = (p: string) => now.off.some((o) => same(o, p));
  for (const pack of map.hazards) {
    const { power, signals } = leadsOf(map, pack);
    if (!HAZARDS[pack.kind].isPack || !power) continue;
    if (now.rule === 'signal before power') {
      const first = same(plug, power) ? signals.find((s) => !isOff(s)) : undefined;
      if (first) return { plug: first, why: `the signal lead of ${pack.name} goes before its power lead` };
      continue;
    }
    const live = now.states.find((s) => s.id === pack.id)?.status !== 'made safe';
    const reached = !pack.exposedBy?.length || pack.exposedBy.some((c) => now.open.includes(c));
    if (live && reached && !belongsTo(map, pack, plug) && !isOff(power))
      return { plug: power, why: `${pack.name} goes before any other connector` };
  }
  return null;
}

/**
 * The plug that has to go in before this one: the rule of the way in, the other way round. The power lead
 * before the signal leads; the battery after every connector that came off after it.
 *
 * @param map a unit's map
 * @param now rule, states, plugs and covers that are off
 * @param plug about to go in
 * @returns the plug to put in first and why, or null
 * @example plugFirst(map, { rule: 'signal before power', states, off: ['W7', 'W6'], open: [] }, 'W7')?.plug // 'W6'
 */
export function plugFirst(map: OfMap, now: LeadsNow, plug: string): { plug: string; why: string } | null {
  if (!now.rule) return null;
  for (const pack of map.hazards) {
    const { power, signals } = leadsOf(map, pack);
    if (!HAZARDS[pack.kind].isPack || !power) continue;
    if (now.rule === 'signal before power') {
      if (signals.some((s) => same(s, plug)) && now.off.some((o) => same(o, power)))
        return { plug: power, why: `the power lead of ${pack.name} goes in before its signal lead` };
      continue;
    }
    const at = now.off.findIndex((o) => same(o, power));
    if (!same(plug, power) || at < 0) continue;
    const later = now.off.slice(at + 1).find((o) => !belongsTo(map, pack, o));
    if (later) return { plug: later, why: `${pack.name} goes in after every other connector` };
  }
  return null;
}
