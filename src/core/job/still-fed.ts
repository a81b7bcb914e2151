import { folded } from '../hazard';
import { tally } from '../ledger';
import { HAZARDS, type MapElement } from '../unit';
import { ofBattery } from './of-battery';
import { outsOf } from './opening';
import type { JobState } from './state';

/** A battery that goes on feeding its unit with the plug out. */
export interface StillFed {
  battery: MapElement;
  /** elements that it feeds */
  feeds: string[];
  /** its leads, as people call them */
  leads: string[];
}

/** Whether a gate of the unit is about this battery; a gate that names none is about all. */
const isGated = ({ map }: JobState, battery: MapElement): boolean =>
  map.hazards.some((h) => HAZARDS[h.kind].isPack && (h.on === undefined || h.on === battery.id));

/**
 * Batteries in a unit that no gate is about: with the plug out they go on feeding it, until one of their
 * leads is parted or they are out themselves. What is a hazard of the unit stands among those instead.
 *
 * Common practice, no source.
 *
 * @param state a job
 * @returns the batteries with what they feed, in the order of the map
 * @example stillFed(state)[0]?.feeds // ['A1', 'M1']
 */
export function stillFed(state: JobState): StillFed[] {
  const outs = new Set(outsOf(state).map((o) => folded(o.element)));
  return state.map.elements
    .filter((e) => e.kind === 'battery' && !isGated(state, e) && !outs.has(folded(e.id)))
    .flatMap((battery) => {
      const { id, leads = [] } = battery;
      const feeds = state.map.feeds.filter((f) => f.from === id && f.carries === 'power').map((f) => f.to);
      return feeds.length === 0 || ofBattery(state, battery).some((i) => tally(i).off > 0)
        ? []
        : [{ battery, feeds: [...new Set(feeds)], leads }];
    });
}
