import { folded } from '../hazard';
import type { MapElement } from '../unit';

/**
 * What an element is called by, folded: its mark, its name, both in either order.
 *
 * @param element of a map
 * @returns names as {@link folded} makes them
 * @example callsOf({ id: 'B1', name: 'pack', … }) // ['b1', 'pack', 'b1 pack', 'pack b1']
 */
export const callsOf = ({ id, name }: MapElement): string[] =>
  [id, name, `${id} ${name}`, `${name} ${id}`].map(folded);

/**
 * What its leads are called by, folded: those that are named on it, and its own names as those of a lead or plug.
 *
 * @param element of a map
 * @returns names as {@link folded} makes them
 * @example leadCallsOf(battery) // ['red spade', 'b1 lead', 'b1 plug', …]
 */
export const leadCallsOf = (element: MapElement): string[] => [
  ...(element.leads ?? []).map(folded),
  ...callsOf(element).flatMap((n) => [`${n} lead`, `${n} plug`]),
];
