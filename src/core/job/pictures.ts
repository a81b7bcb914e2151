import { type Item, tally } from '../ledger';
import type { JobState, Photo, PhotoPin, Stop } from './state';
import { wayBackOf } from './way-back-of';

/**
 * Whether a pin is on a thing of the tray: bound to it, or set on its name.
 *
 * @param pin a pin of a picture
 * @param item a thing of the tray
 * @returns true where it is
 * @example isPinOf({ x: 0.5, y: 0.2, on: 'coin lead' }, item) // true of the item 'coin lead'
 */
export const isPinOf = (pin: PhotoPin, item: Pick<Item, 'id' | 'name'>): boolean =>
  pin.item === item.id || pin.on.toLowerCase() === item.name.toLowerCase();

/**
 * Pictures that show a thing of the tray: taken for it, or with a pin on it.
 *
 * @param state a job
 * @param item a thing of the tray
 * @returns pictures, oldest first
 * @example picturesOf(state, item).length // 2
 */
export const picturesOf = (state: JobState, item: Pick<Item, 'id' | 'name'>): Photo[] =>
  state.photos.filter((p) => p.of === item.id || p.pins?.some((pin) => isPinOf(pin, item)));

/**
 * The thing that a picture taken at a stop is of, while nothing else is said: in Open up what came off
 * last, in Close up what goes back next.
 *
 * @param state a job
 * @param stop the stop that is looked at
 * @returns id of an item, undefined where no move is in hand
 * @example pictureOf(state, 'open up') // id of what came off last
 */
export function pictureOf(state: JobState, stop: Stop): string | undefined {
  if (stop === 'open up') return state.ledger.items.findLast((i) => !i.fresh && tally(i).off > 0)?.id;
  if (stop === 'close up') return wayBackOf(state)[0]?.item?.id;
  return undefined;
}
