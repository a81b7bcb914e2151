import { driveAt } from './drives';
import { isCount, SEVERAL } from './how-many';
import type { Piece, Word } from './piece';
import { ALIKE, ends, HEADS, SCREW_WORD, SORTS, WHENCE } from './screw-words';
import { colourAt } from './shape';
import { spoken } from './thread';

/** Whether a piece names a drive instead of a screw: right after how many, and before where from. */
function saysDriveAlone({ rest }: Piece): boolean {
  const at = rest.findIndex((w, i) => !w.found && driveAt(rest, i) !== null);
  const next = rest[at + 1];
  return at >= 0 && at <= 2 && (next === undefined || next.found !== undefined || WHENCE.test(next.text));
}

/** Whether a piece speaks of fasteners, and not of a plug or part that is called like one. */
export function isFastener(piece: Piece, takes: string | null | undefined): boolean {
  if (takes === 'fastener') return true;
  if (takes !== undefined && takes !== 'part') return false;
  // "board unclipped from 4 standoffs" is the board, and "shim under the screw" the shim.
  const from = piece.rest.findIndex(
    (w) => !w.found && /^(?:from|off|under|behind|below|beside)$/.test(w.text),
  );
  const holds = (w: Word) =>
    !w.found && (SCREW_WORD.test(w.text) || /^(?:metric|inch|count|number)$/.test(w.type));
  // "earth lug off the stud" is the lug.
  const other =
    takes === undefined && from > 0 && !piece.rest.slice(0, from).some(holds) && !isCount(piece.rest[0]);
  const own =
    from > 0 && (takes === 'part' || other || !/^(?:from|off)$/.test(piece.rest[from]?.text ?? ''))
      ? from
      : Number.POSITIVE_INFINITY;
  const has = (fits: (w: Word, i: number, all: Word[]) => boolean) => piece.at(fits) >= 0;
  // "2 ring terminals M6"
  const rings = has((w, i) => i < own && /^(?:terminal|lug|tag|eyelet)s?$/.test(w.text));
  if (rings && takes === undefined && !has((w) => SCREW_WORD.test(w.text))) return false;
  const sized = has((w) => (w.type === 'metric' && /x|by/.test(w.text)) || w.type === 'inch');
  const counted = has((w) => w.type === 'count' || SEVERAL.test(w.text)) || isCount(piece.rest[0]);
  const screw = has(
    (w, i, all) =>
      i < own &&
      SCREW_WORD.test(w.text) &&
      (takes === undefined || counted || i === all.length - 1 || i === own - 1),
  );
  if (sized || screw) return true;
  if (takes !== undefined) return false;
  const threaded = has((w, i, all) => w.type === 'metric' || spoken(all, i) !== null);
  const driven = piece.rest.some((w, i) => {
    const read = w.found ? null : driveAt(piece.rest, i);
    return read !== null && (w.type === 'drive' || read.used > 1);
  });
  // "2 torx", "4 phillips from the hood": what drives them is all that is said of them.
  const headed = has(
    (w, i, all) => i > 0 && i <= 2 && HEADS.test(w.text) && w.text !== 'button' && ends(all[i + 1]),
  );
  if (counted && (saysDriveAlone(piece) || colourAt(piece) > 0 || headed)) return true;
  const sorted = counted && has((w, i) => (i <= 2 && SORTS.test(w.text)) || ALIKE.test(w.text));
  return (threaded && (counted || driven)) || driven || sorted || (threaded && piece.rest.length > 1);
}
