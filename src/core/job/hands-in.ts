import { belongsTo, folded, holding, leadsOf } from '../hazard';
import { demand } from '../refusal';
import { coversOver, HAZARDS, type Hazard } from '../unit';
import { actLeft } from './act-left';
import { openAccess } from './open';
import { plugsOff } from './packs';
import type { JobState } from './state';

/** What a hand is about to do. */
export interface Hand {
  /** the cover about to come off */
  cover?: string | undefined;
  /** what is reached for, as it was said: a plug, a part, the cover its screws hold */
  thing?: string | undefined;
  /** a plug, which may be a lead of a pack */
  plug?: boolean;
  /** it puts something in */
  back?: boolean;
}

/** Covers over a thing that the map knows: an element, or a plug by the board its header sits on. */
function over(state: JobState, thing: string | undefined): string[] {
  if (!thing) return [];
  const { map } = state;
  const named = folded(thing);
  const plug = map.plugs?.find((p) => folded(p.id) === named);
  const board = map.headers?.find((h) => h.id === plug?.home)?.at.board;
  const element =
    map.elements.find((e) => folded(e.id) === named || folded(e.name) === named) ??
    map.elements.find((e) => e.id === board);
  return coversOver(map.access, element?.needs);
}

/** A new pack is in and none of its leads is on yet: there is nothing to part. */
function parted(state: JobState, pack: Hazard): boolean {
  const { power, signals } = leadsOf(state.map, pack);
  const by = state.hazards.find((s) => s.id === pack.id)?.armed?.by;
  if (!power || !pack.on || by?.toLowerCase() !== pack.on.toLowerCase()) return false;
  const off = new Set(plugsOff(state).map(folded));
  return [power, ...signals].every((l) => off.has(folded(l)));
}

/**
 * Hazards that hold what a hand is about to do: bared now, by the cover about to come off, or by what
 * is reached for through covers that were never recorded off.
 *
 * What is exempt: a lead of a pack from the pack's own gate, whose act parts the leads in their order;
 * what lies over a pack's plug and was named so; and, where something is put in, every pack and whatever
 * going in made live: that is asked again when something comes off.
 *
 * @param state a job
 * @param hand what it is about to do
 * @returns the hazards, the worst first
 * @example handHeldBy(state, { cover: 'lid' }).map((h) => h.name) // ['Mains']
 */
export function handHeldBy(state: JobState, hand: Hand): Hazard[] {
  const { map } = state;
  const bare = map.access.length === 0 && !hand.cover;
  const open = openAccess(state);
  // Once a cover is off, what is reached may be the other end of a lead: nothing is guessed then.
  const through = hand.back || open.length ? [] : over(state, hand.thing);
  const held = holding(map.hazards, state.hazards, {
    open,
    next: hand.cover,
    through,
    bare,
  });
  return held.filter((h) => {
    const { isPack } = HAZARDS[h.kind];
    if (hand.thing !== undefined && isPack && (hand.plug || hand.back) && belongsTo(map, h, hand.thing))
      return false;
    if (isPack && !hand.cover && parted(state, h)) return false;
    if (hand.thing !== undefined && h.clear.under?.some((u) => folded(u) === folded(hand.thing ?? '')))
      return false;
    if (!hand.back) return true;
    const by = state.hazards.find((s) => s.id === h.id)?.armed?.by;
    return !isPack && (by === undefined || by === 'power');
  });
}

/**
 * Stops a hand that would reach what is live.
 *
 * @param state a job
 * @param hand what it is about to do
 * @throws Refusal naming the hazard and what to do
 * @example handsIn(state, { cover: 'lid' })
 */
export function handsIn(state: JobState, hand: Hand): void {
  const [h] = handHeldBy(state, hand);
  demand(!h, h ? `Held by ${h.name}, ${h.detail}. ${actLeft(state, h)}, in Make safe` : '', '/item');
}
