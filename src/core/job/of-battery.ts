import { folded, saysPack } from '../hazard';
import type { Item } from '../ledger';
import type { MapElement } from '../unit';
import { callsOf, leadCallsOf } from './called';
import type { JobState } from './state';

/**
 * Things of the tray that are a battery or one of its leads: by its name, or as the one battery there is.
 *
 * @param state a job
 * @param battery an element of its map
 * @returns items, those that went back among them
 * @example ofBattery(state, pack).map((i) => i.name) // ['yellow plug']
 */
export function ofBattery({ ledger, map }: JobState, battery: MapElement): Item[] {
  const said = [...callsOf(battery), ...leadCallsOf(battery)];
  const isOnly = map.elements.filter((e) => e.kind === 'battery').length === 1;
  return ledger.items.filter(
    (i) =>
      (i.kind === 'plug' || i.kind === 'part') &&
      (said.includes(folded(i.name)) || (isOnly && i.kind === 'plug' && saysPack(i.name))),
  );
}
