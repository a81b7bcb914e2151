import type { Hazard, UnitMap } from '../map';
import { continuityChecks, flexChecks } from './cables';
import type { MapCheck } from './check';
import { exchangeChecks } from './exchange';
import { ownChecks } from './own';
import { reseatChecks } from './reseat';
import { settingChecks } from './settings';
import { substituteChecks } from './substitute';
import { symptomChecks } from './symptom';
import { tapChecks } from './taps';

export { CHECK_HOWS, type CheckHow, type MapCheck } from './check';

/** Every way in which checks follow from a map. A new way is a new entry here and nowhere else. */
const WAYS: ((map: UnitMap) => MapCheck[])[] = [
  symptomChecks,
  tapChecks,
  settingChecks,
  flexChecks,
  reseatChecks,
  continuityChecks,
  exchangeChecks,
  substituteChecks,
  ownChecks,
];

const derived = new WeakMap<UnitMap, MapCheck[]>();

/**
 * The checks that follow from a map by themselves: the function as the user sees it, a look, listen
 * or reading at each tap (exercising the cone upstream of it), a look at each setting, bending,
 * reseating and continuity of each cable, channels exchanged, spares tried, and the checks that were
 * added to it.
 *
 * @param map a valid map, not changed afterwards: its checks are worked out once
 * @returns checks with words and with what they exercise; minutes
 * @example deriveChecks(map).map((c) => c.id) // ['symptom:left', 'tap:TP2', 'flex:W4', …]
 */
export function deriveChecks(map: UnitMap): MapCheck[] {
  const known = derived.get(map);
  if (known) return known;
  const checks = WAYS.flatMap((way) => way(map));
  derived.set(map, checks);
  return checks;
}

/**
 * Hazards that a check brings the hand near: those of the whole unit and those bared by a cover the
 * check needs, when the power must be on for it.
 *
 * @param map a valid map
 * @param check one of {@link deriveChecks}
 * @returns hazards, in the order of the map
 * @example hazardsOf(map, check).map((h) => h.name) // ['Mains']
 */
export function hazardsOf(map: UnitMap, check: MapCheck): Hazard[] {
  if (check.trace.power !== 'on') return [];
  const needed = new Set(check.trace.needs ?? []);
  for (const id of needed) for (const n of map.access.find((a) => a.id === id)?.needs ?? []) needed.add(n);
  return map.hazards.filter((h) => h.exposedBy?.some((a) => needed.has(a)));
}
