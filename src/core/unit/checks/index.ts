import { coversOver } from '../covers-over';
import type { Hazard, UnitMap } from '../map';
import type { CheckKind, MapCheckOf } from './check';
import { continuity } from './continuity';
import { exchange } from './exchange';
import { flex } from './flex';
import { own } from './own';
import { reseat } from './reseat';
import { settings } from './settings';
import { substitute } from './substitute';
import { symptom } from './symptom';
import { taps } from './taps';

/** Every way in which checks follow from a map, in the order they are listed. A new way is its file and a line here. */
const WAYS = [symptom, taps, settings, flex, reseat, continuity, exchange, substitute, own] as const;

type Hows<K> = K extends CheckKind<infer H> ? H : never;
export type CheckHow = Hows<(typeof WAYS)[number]>;
export type MapCheck = MapCheckOf<CheckHow>;

const LISTED: CheckKind<CheckHow>[] = [...WAYS] as unknown as CheckKind<CheckHow>[];

/** Kinds of checks in the order they are listed, with the heading of each. */
export const CHECK_HOWS = LISTED.flatMap((w) => Object.entries(w.hows)) as [CheckHow, string][];

const REPEATED = new Set(LISTED.filter((w) => w.repeated).flatMap((w) => Object.keys(w.hows)));

/** Whether a check is made again after the repair. */
export const isRepeated = (check: MapCheck): boolean => REPEATED.has(check.how);

/** Units of readings that only a unit under power gives, and one that wants it dead. */
const LIVE_UNITS = /^(V|mV|kV|A|mA|W|VA|Hz|kHz|dBu|dBV|dB)$/;
const DEAD_UNITS = /^(Ω|mΩ|kΩ|MΩ|ohm)$/i;

/**
 * Whether a check is made with the unit powered, dead, or either way.
 *
 * @param check one of {@link deriveChecks}
 * @returns powered, dead, or either
 * @example powerOf(continuityOfW4) // 'dead'
 */
export function powerOf(check: MapCheck): 'powered' | 'dead' | 'either' {
  const { power } = check.trace;
  if (power) return power === 'on' ? 'powered' : 'dead';
  const unit = check.tap?.expect?.unit ?? '';
  if (DEAD_UNITS.test(unit) || check.how === 'reseat') return 'dead';
  return LIVE_UNITS.test(unit) ? 'powered' : 'either';
}

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
  const checks = LISTED.flatMap((way) => way.derive(map));
  derived.set(map, checks);
  return checks;
}

/**
 * Elements that a check puts to the test.
 *
 * @param check one of {@link deriveChecks}
 * @returns ids: what it exercises, or what its answers point at
 * @example testedBy(continuityOfW4) // ['W4']
 */
export const testedBy = (check: MapCheck): string[] =>
  check.trace.exercises ?? [...new Set((check.answers ?? []).flatMap((a) => a.points))];

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
  const needed = new Set(coversOver(map.access, check.trace.needs));
  return map.hazards.filter((h) => h.exposedBy?.some((a) => needed.has(a)));
}
