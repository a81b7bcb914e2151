import { Piece, type Word } from './piece';
import { COLOURS, ends, LOOKS, SCREW_WORD, SORTS } from './screw-words';

/** So far on stands what "both" is said of. */
const MOST_WORDS = 4;

/** Words that sound like a number. */
const HEARD: Record<string, number> = { for: 4, to: 2, too: 2, won: 1, ate: 8 };

export const SEVERAL = /^(?:several|some|all|every)$/;

export const isCount = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && Number.isInteger(Piece.numberOf(w)) && (Piece.numberOf(w) ?? 0) > 0;

/**
 * How many.
 *
 * @param piece what is read is taken out of it
 * @returns a count; null = several; undefined where it is not said
 * @example readCount(piece) // 4
 */
export function readCount(piece: Piece): number | null | undefined {
  const several = piece.at((w) => SEVERAL.test(w.text));
  // "a couple of screws"
  const few = piece.at(
    (w, i, all) =>
      i <= 1 && /^(?:couple|pair|few)$/.test(w.text) && (w.text === 'few' || all[i + 1]?.text === 'of'),
  );
  if (few >= 0) {
    const [word] = piece.take(few, piece.rest[few + 1]?.text === 'of' ? 2 : 1, 'how many');
    return word?.text === 'few' ? null : 2;
  }
  // "PH1 screws 4"
  const behind = piece.at(
    (w, i, all) => i > 0 && isCount(w) && SCREW_WORD.test(all[i - 1]?.text ?? '') && ends(all[i + 1]),
  );
  if (behind > 0 && !isCount(piece.rest[0]) && piece.rest[0]?.type !== 'count')
    return Piece.numberOf(piece.take(behind, 1, 'how many')[0]);
  // "all screws of the shell out, 18"
  const last = piece.rest.length - 1;
  const row = piece.rest[last - 2]?.type === 'number';
  if (last > 1 && !row && piece.rest[last - 1]?.type === 'comma' && isCount(piece.rest[last])) {
    const counted = Piece.numberOf(piece.take(last - 1, 2, 'how many')[1]);
    if (several >= 0 && several <= 1) piece.take(several, 1, 'how many');
    return counted;
  }
  // "both batteries"
  const two = piece.rest[0]?.text === 'both' && !piece.rest[0]?.found;
  const plural = piece.rest.slice(1, MOST_WORDS).find((w) => w.found || /[^s]s$/.test(w.text));
  if (two && plural && !plural.found) {
    piece.take(0, 1, 'how many');
    return 2;
  }
  // "all 14", "the last 3": it is counted.
  const which =
    /^(?:all|both|last|first|other|remaining)$/.test(piece.rest[0]?.text ?? '') && !piece.rest[0]?.found;
  if (which && isCount(piece.rest[1])) piece.take(0, 1, 'how many');
  else if (several >= 0 && several <= 1) {
    const used = piece.rest[several + 1]?.text === 'x' ? 2 : 1;
    piece.take(several, used, 'how many');
    return null;
  }
  const at = piece.at((w) => w.type === 'count');
  // "spades off, 6 pcs"
  const pieces = piece.at((w, i, all) => isCount(w) && /^(?:pcs?|pieces)$/.test(all[i + 1]?.text ?? ''));
  if (pieces >= 0) return Piece.numberOf(piece.take(pieces, 2, 'how many')[0]);
  // "T20 x 4 controller cover"
  const by =
    at < 0 && !isCount(piece.rest[0]) ? piece.at((w, i, all) => w.text === 'x' && isCount(all[i + 1])) : -1;
  if (by >= 0) return Piece.numberOf(piece.take(by, 2, 'how many')[1]);
  // "M4x10, 6 off"
  const lot = piece.rest.slice(-3);
  if (lot[0]?.type === 'comma' && isCount(lot[1]) && lot[2]?.text === 'off')
    return Piece.numberOf(piece.take(piece.rest.length - 3, 3, 'how many')[1]);
  // "knobs x4"; with a great letter it is the mark of a thing.
  const times = at < 0 ? piece.at((w) => /^x[1-9]\d?$/.test(piece.original(w))) : -1;
  if (times >= 0 && (times > 0 || piece.spans.some((s) => s.as === 'what')))
    return Number(piece.take(times, 1, 'how many')[0]?.text.slice(1));
  if (at >= 0) return Number.parseInt(piece.take(at, 1, 'how many')[0]?.text ?? '1', 10);
  const first = piece.rest[0];
  // What stands right before a thread is how many, and "for em three" was said "four M three".
  const sized = first && piece.spans.some((s) => s.as === 'what' && s.from === first.to + 1);
  const heard = HEARD[first?.text ?? ''];
  if (sized && heard !== undefined) {
    piece.take(0, 1, 'how many');
    return heard;
  }
  // "front panel 3 screws bottom"
  const named = piece.at((w, i, all) => {
    const next = all[i + 1]?.text ?? '';
    const looks = LOOKS.test(next) || COLOURS.test(next) || SORTS.test(next);
    return i > 0 && isCount(w) && SCREW_WORD.test((looks ? all[i + 2]?.text : next) ?? '');
  });
  if (named > 0 && !isCount(first)) return Piece.numberOf(piece.take(named, 1, 'how many')[0]);
  // "2 nuts", "four M three": a number that stands first, with something after it.
  if (!isCount(first) || (piece.rest.length < 2 && !sized)) return undefined;
  if (
    /^one$/.test(first?.text ?? '') &&
    !sized &&
    !/^(?:m|x|by|screw|bolt|nut)/.test(piece.rest[1]?.text ?? '') &&
    !(LOOKS.test(piece.rest[1]?.text ?? '') || SORTS.test(piece.rest[1]?.text ?? ''))
  )
    return undefined;
  const used = piece.rest[1]?.text === 'x' ? 2 : 1;
  const count = Piece.numberOf(piece.take(0, used, 'how many')[0]);
  // "3 of 4 screws": the fourth is still in.
  if (piece.rest[0]?.text === 'of' && isCount(piece.rest[1])) piece.take(0, 2, 'how many');
  else if (piece.rest[0]?.text === 'more') piece.take(0, 1, 'how many');
  return count;
}
