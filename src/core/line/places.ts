import type { LineEntry } from './entry';
import type { Piece, Word } from './piece';
import { ownPlace, type Place, placeAt } from './place';
import { SIDE, saysAsOne } from './remark';
import { saysItWasLaid } from './states';

/** A cup, bag or shelf that goes by more than a number: "> bench left", "> tin by the window". */
function named(piece: Piece, at: number, place: Place): Place {
  if (place.label !== undefined || !/^(?:cup|bag|shelf)$/.test(place.kind)) return place;
  const end = piece.rest.findIndex(
    (w, i) => i >= at && (w.type !== 'word' || /^(?:with|using|aside)$/.test(w.text)),
  );
  const words = piece.take(at, (end < 0 ? piece.rest.length : end) - at, 'kept in');
  if (words.length === 0) return place;
  return { ...place, label: piece.typed(words) };
}

/** Whether words say that a thing was set down: "into the tin", "onto the tray", "on the bench". */
const isSet = (words: readonly Word[]): boolean =>
  /^(?:into|onto)$/.test(words[0]?.text ?? '') ||
  (words[0]?.text === 'on' && /^(?:mat|bench|table)$/.test(words.at(-1)?.text ?? ''));

/** Where a thing may have been set down. */
const WHERE = /^(?:in|into|on|onto|against|beside|behind|under|by|from|to|next|over)$/;

const AWAY = /^(?:off|out|up|open|away|aside)$/;

/** Where it begins to be said how a thing was set down: behind `off` or `out`, or by a word for it. */
function laidAt({ rest }: Piece): number {
  return rest.findIndex((w, i) => {
    if (i === 0 || w.found) return false;
    const where = rest[i + 1];
    if (saysItWasLaid(w)) return where !== undefined && !where.found && WHERE.test(where.text);
    const before = rest[i - 1]?.type === 'comma' ? rest[i - 2] : rest[i - 1];
    // "pin out on the left" says where it was.
    if (w.text === 'on' && SIDE.test(rest.at(-1)?.text ?? '') && rest.length - i <= 3) return false;
    return (
      /^(?:in|into|on|onto|against|beside|behind|under)$/.test(w.text) &&
      where !== undefined &&
      !/^(?:its|their|\d+)$/.test(where.text) &&
      !saysAsOne(rest.slice(i + 1)) &&
      before !== undefined &&
      !before.found &&
      i > 1 &&
      AWAY.test(before.text)
    );
  });
}

/** Where it is kept: after a `>`, or at the end of the piece. */
function readPlace(piece: Piece, doubt: (from: number, to: number) => void): LineEntry['place'] {
  const arrow = piece.at((w) => w.type === 'arrow');
  if (arrow >= 0) {
    const after = piece.rest.slice(arrow + 1);
    const read = placeAt(after, true, piece.original);
    const words = piece.take(arrow, read ? read.used + 1 : after.length + 1, 'kept in');
    if (read) return named(piece, arrow, read.place);
    const own = ownPlace(after, piece.original);
    if (own && !own.sure) doubt(words[1]?.from ?? 0, words.at(-1)?.to ?? 0);
    return own?.place;
  }
  const laid = laidAt(piece);
  if (laid >= 0) {
    const begin = piece.rest[laid - 1]?.type === 'comma' ? laid - 1 : laid;
    const words = piece.take(begin, piece.rest.length - begin, 'kept in');
    const said = words.filter((w, i) => w.type !== 'comma' && !(i < 2 && saysItWasLaid(w)));
    const read = placeAt(said, true, piece.original);
    return read && read.used === said.length ? read.place : ownPlace(said, piece.original)?.place;
  }
  for (let at = 0; at < piece.rest.length; at++) {
    if (piece.rest.slice(at).some((w) => w.found)) continue;
    const after = piece.rest.slice(at);
    const said = /^(?:in|into|to|on|onto)$/.test(after[0]?.text ?? '');
    const read = placeAt(after, isSet(after), piece.original);
    if (!read || read.used !== after.length) continue;
    if (at === 0 && !said && piece.rest.length === after.length && piece.rest.length > 1) continue;
    piece.take(at, read.used, 'kept in');
    return read.place;
  }
  return undefined;
}

/**
 * Where it is kept; several where several are said: "> cup 1, cup 2", "> cup 1 and 2".
 *
 * @param piece what is read is taken out of it
 * @param doubt told of what is nearly a place
 * @returns the places in their order, none where none is said
 */
export function readPlaces(piece: Piece, doubt: (from: number, to: number) => void): Place[] {
  const arrow = piece.at((w) => w.type === 'arrow');
  const first = readPlace(piece, doubt);
  const out = first ? [first] : [];
  while (first && arrow >= 0) {
    const [joint, next] = piece.rest.slice(arrow);
    if (!joint || joint.found || !(joint.type === 'comma' || joint.text === 'and') || !next) break;
    const read = placeAt(piece.rest.slice(arrow + 1), true, piece.original);
    // "cup 1 and 2": of the same kind.
    const bare = next.type === 'number' && piece.rest.length === arrow + 2;
    if (!read && !bare) break;
    piece.take(arrow, 1 + (read?.used ?? 1), 'kept in');
    out.push(read?.place ?? { kind: first.kind, label: next.text });
  }
  return out;
}
