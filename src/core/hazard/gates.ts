import { demand } from '../refusal';
import { HAZARDS, type Hazard, type UnitMap, worstFirst } from '../unit';
import { belongsTo, folded } from './pack-leads';

export type HazardStatus = 'live' | 'made safe' | 'unknown';
export type UnitPower = 'on' | 'off' | 'unknown';
/** Where a reading comes from. */
export const SOURCES = ['meter', 'unit', 'eye'] as const;
export type Source = (typeof SOURCES)[number];

export interface Proof {
  act: string;
  reading?: number;
  unit?: string;
  source: Source;
  at: string;
}

/** State of one hazard: live, made safe with its proof, or not known. */
export interface HazardState {
  id: string;
  status: HazardStatus;
  proof?: Proof;
  /** a gate passed against advice: why */
  passed?: { reason: string; at: string };
  /** what made it live again after it had been made safe, and when */
  armed?: { by: string; at: string };
}

const isArmedBy = (h: Hazard, by: string) =>
  h.armedBy?.some((a) => a.toLowerCase() === by.toLowerCase()) ?? false;

/** What a map says of its hazards. */
type Hazards = Pick<UnitMap, 'hazards' | 'plugs'> & { elements?: UnitMap['elements'] };

/**
 * First state of every hazard of a unit: a cell pack is always live, the rest is not known until
 * somebody acts or reads.
 *
 * @param hazards of the map
 * @returns one state each
 * @example firstHazards(map.hazards)[0].status // 'unknown'
 */
export const firstHazards = (hazards: Hazard[]): HazardState[] =>
  hazards.map((h) => ({ id: h.id, status: HAZARDS[h.kind].startsLive ? 'live' : 'unknown' }));

/**
 * Makes hazards live again: power coming on, a plug going in, a part being fitted. Whatever puts back
 * what the gate of a hazard parted, or the element it is on, does so, however it was called. Earlier
 * proofs fall.
 *
 * @param map hazards with their leads and elements
 * @param states before
 * @param by "power", or the name of what was plugged or fitted
 * @param at time
 * @returns states after
 * @example arm(map, states, 'power', at) // mains live
 */
export function arm(map: Hazards, states: HazardState[], by: string, at: string): HazardState[] {
  return states.map((s) => {
    const h = map.hazards.find((x) => x.id === s.id);
    const comes = h && (isArmedBy(h, by) || (by !== 'power' && goesInto(map, h, by)));
    if (!comes) return s;
    const again = s.status === 'made safe' || s.armed !== undefined;
    return { id: s.id, status: 'live', ...(again ? { armed: { by, at } } : {}) };
  });
}

/** Whether a name is that of what a hazard hangs on: its lead, its element. */
const goesInto = (map: Hazards, h: Hazard, name: string) =>
  HAZARDS[h.kind].isPack
    ? belongsTo(map, h, name)
    : [h.clear.unplugs, h.on].some((n) => n !== undefined && folded(n) === folded(name));

/**
 * Clears a gate by its act and, where one can prove it, its reading.
 *
 * @param h the hazard
 * @param power power of the unit; a hazard that power arms cannot be cleared while it is on, unless its own act takes the power out
 * @param done act done, reading in the unit of the gate, where the reading comes from, time
 * @returns its new state
 * @throws Refusal when the act or the reading is missing, is not from a meter, or is too high
 * @example clearGate(mains, 'on', { acted: true, reading: 0, unit: 'V', source: 'meter', at }).status // 'made safe'
 */
export function clearGate(
  h: Hazard,
  power: UnitPower,
  done: { acted: boolean; reading?: number; unit?: string; source: Source; at: string },
): HazardState {
  demand(done.acted, `First the act: ${h.clear.act}`, '/acted');
  demand(
    HAZARDS[h.kind].unplugsOutlet || power !== 'on' || !isArmedBy(h, 'power'),
    `${h.name}: the power is on. Take it off first`,
    '/hazard',
  );
  const proof: Proof = { act: h.clear.act, source: done.source, at: done.at };
  const wanted = h.clear.reading;
  if (wanted) {
    demand(done.reading !== undefined, `${h.name} is cleared by a reading at ${wanted.at}`, '/reading');
    demand(Number.isFinite(done.reading), 'the reading is not a number', '/reading');
    demand(
      done.source === 'meter',
      `a lamp or a look proves nothing at ${wanted.at}: take it with a meter`,
      '/source',
    );
    demand(done.unit === wanted.unit, `this gate is read in ${wanted.unit}`, '/unit');
    demand(
      Math.abs(done.reading) <= wanted.max,
      `${done.reading} ${wanted.unit} at ${wanted.at} is over ${wanted.max} ${wanted.unit}: still live. Wait, bleed it, or find what feeds it, and read again`,
      '/reading',
    );
    proof.reading = done.reading;
    proof.unit = wanted.unit;
  }
  return { id: h.id, status: 'made safe', proof };
}

/**
 * Passes a gate against advice. The reason stays in the report.
 *
 * @param s state before
 * @param reason why, at least a few words
 * @param at time
 * @returns state with the reason, as live as it was
 * @throws Refusal without a reason
 * @example passGate(state, 'sealed supply, nothing bare inside', at)
 */
export function passGate(s: HazardState, reason: string, at: string): HazardState {
  demand(reason.trim().length >= 8, 'say why in a few words: it stays in the report', '/reason');
  return { ...s, passed: { reason: reason.trim(), at } };
}

/** What a hand is about to do, as far as hazards are concerned. */
export interface Reach {
  /** covers that are off */
  open: readonly string[];
  /** the cover about to come off */
  next?: string | undefined;
  /** covers over what is reached for, where the map knows: they count as off */
  through?: readonly string[];
  /** the hand is in the unit though no cover stands between: a unit without covers on its map */
  bare?: boolean;
}

/**
 * Hazards that hold a hand back: not made safe, not passed, and bared now or by the cover about to
 * come off. A hazard without a cover concerns the whole unit and holds the first cover; what can only
 * be cleared inside does not hold the cover over it.
 *
 * @param hazards of the map
 * @param states now
 * @param reach covers off, the cover about to come off, what is reached through
 * @returns hazards, the worst first
 * @example holding(hazards, states, { open: [], next: 'lid' }).map((h) => h.name) // ['Mains', 'C11 C12']
 */
export function holding(hazards: Hazard[], states: HazardState[], reach: Reach): Hazard[] {
  const { next, through = [], bare = false } = reach;
  const inside = new Set([...reach.open, ...through]);
  const all = new Set(next ? [...inside, next] : inside);
  return hazards
    .filter((h) => {
      const s = states.find((x) => x.id === h.id);
      if (!s || s.status === 'made safe' || s.passed) return false;
      const off = h.clear.inside ? inside : all;
      if (h.exposedBy?.length) return h.exposedBy.some((a) => off.has(a)) || (bare && off.size > 0);
      return off.size > 0 || bare;
    })
    .sort(worstFirst);
}

export interface LiveLine {
  hazard: Hazard;
  state: HazardState;
  /** bared by a cover that is off */
  bare: boolean;
}

/**
 * What the live strip says: live first, then not known, then made safe; the worst kind first.
 *
 * @param hazards of the map
 * @param states now
 * @param open covers that are off
 * @returns one line per hazard
 * @example liveLines(hazards, states, [])[0].state.status // 'live'
 */
export function liveLines(hazards: Hazard[], states: HazardState[], open: string[]): LiveLine[] {
  const rank: Record<HazardStatus, number> = { live: 0, unknown: 1, 'made safe': 2 };
  return hazards
    .map((hazard) => ({
      hazard,
      state: states.find((s) => s.id === hazard.id) ?? { id: hazard.id, status: 'unknown' as const },
      bare: hazard.exposedBy?.length ? hazard.exposedBy.some((a) => open.includes(a)) : true,
    }))
    .sort((a, b) => rank[a.state.status] - rank[b.state.status] || worstFirst(a.hazard, b.hazard));
}
