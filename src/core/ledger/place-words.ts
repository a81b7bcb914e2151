import type { Place } from '../line';

/** A number or letter by which places of a kind are told apart: 3, B, 2a. */
const MARK = /^[a-z]?\d{0,3}[a-z]?$/i;
const SAYS_WHERE =
  /^(?:in|on|at|against|behind|under|beside|next|near|over|by|with|taped|hung|leaned|leant|stuck|held)\b/i;
const HOLDS =
  /(?:bag|box|tin|cup|jar|drawer|case|pocket|bucket|envelope|tray|lid|foam|cabinet)(?:\s+\S*\d\S*)?$/i;

/**
 * The words of a place that goes by its own, and not by the number of a cup, bag or shelf.
 *
 * @param place where a thing is kept
 * @returns such as "floor" or "against the wall"; undefined for a place of a kind
 * @example ownWords({ kind: 'shelf', label: 'floor' }) // 'floor'
 */
export const ownWords = ({ kind, label }: Place): string | undefined =>
  kind === 'shelf' && label && !MARK.test(label) ? label : undefined;

/**
 * A place as it is written on its edge or on a label.
 *
 * @param place where a thing is kept
 * @returns "cup 3", "shelf", "floor"
 * @example placeTag({ kind: 'cup', label: '3' }) // 'cup 3'
 */
export const placeTag = (place: Place): string =>
  ownWords(place) ?? [place.kind, place.label].filter(Boolean).join(' ');

/**
 * A place in words.
 *
 * @param place where a thing is kept
 * @returns "in cup 3", "on the shelf", "on the floor", "against the wall", "left in the part"
 * @example placeWords({ kind: 'cup', label: '3' }) // 'in cup 3'
 */
export function placeWords(place: Place): string {
  const own = ownWords(place);
  if (own) {
    if (SAYS_WHERE.test(own)) return own;
    return `${HOLDS.test(own) ? 'in' : 'on'} ${/\d$/.test(own) ? '' : 'the '}${own}`;
  }
  if (place.kind === 'shelf') return place.label ? `on shelf ${place.label}` : 'on the shelf';
  if (place.kind === 'cup' || place.kind === 'bag')
    return `in ${place.kind}${place.label ? ` ${place.label}` : ''}`;
  return place.kind;
}
