import { DRIVES } from './drives';
import { Piece, type Word } from './piece';
import { COLOURS, ends, LOOKS, SCREW_WORD, SORTS } from './screw-words';

/** So far on stands what "both" is said of. */
const MOST_WORDS = 4;

/** Words that sound like a number. */
const HEARD: Record<string, number> = { for: 4, to: 2, too: 2, won: 1, ate: 8 };

export const SEVERAL = /^(?:several|some|all|every)$/;

export const isCount = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && Number.isInteger(Piece.numberOf(w)) && (Piece.numberOf(w) ?? 0) > 0;

/** How a piece may say how many; undefined = it does not say so. What is read is taken out of it. */
type Counting = (piece: Piece) => number | null | undefined;

const numberAt = (piece: Piece, at: number, used: number, of = 0): number | undefined =>
  Piece.numberOf(piece.take(at, used, 'how many')[of]);

/** "a couple of screws", "a few" */
const few: Counting = (piece) => {
  const at = piece.at(
    (w, i, all) =>
      i <= 1 && /^(?:couple|pair|few)$/.test(w.text) && (w.text === 'few' || all[i + 1]?.text === 'of'),
  );
  if (at < 0) return undefined;
  const [word] = piece.take(at, piece.rest[at + 1]?.text === 'of' ? 2 : 1, 'how many');
  return word?.text === 'few' ? null : 2;
};

/** "PH1 screws 4" */
const behindTheWord: Counting = (piece) => {
  const at = piece.at(
    (w, i, all) => i > 0 && isCount(w) && SCREW_WORD.test(all[i - 1]?.text ?? '') && ends(all[i + 1]),
  );
  const first = isCount(piece.rest[0]) || piece.rest[0]?.type === 'count';
  return at > 0 && !first ? numberAt(piece, at, 1) : undefined;
};

/** "all screws of the shell out, 18"; in "wires 1, 2, 3" the last is no count. */
const behindAComma: Counting = (piece) => {
  const last = piece.rest.length - 1;
  const row = piece.rest[last - 2]?.type === 'number';
  if (last < 2 || row || piece.rest[last - 1]?.type !== 'comma' || !isCount(piece.rest[last]))
    return undefined;
  const several = severalAt(piece);
  const counted = numberAt(piece, last - 1, 2, 1);
  if (several >= 0) piece.take(several, 1, 'how many');
  return counted;
};

/** "both batteries" */
const both: Counting = (piece) => {
  const [two, ...more] = piece.rest;
  const plural = more.slice(0, MOST_WORDS - 1).find((w) => w.found || /[^s]s$/.test(w.text));
  if (!two || two.found || two.text !== 'both' || !plural || plural.found) return undefined;
  piece.take(0, 1, 'how many');
  return 2;
};

/** "several screws"; of "all 14" and "the last 3" it is counted. */
const several: Counting = (piece) => {
  const [which, many] = piece.rest;
  if (
    which &&
    !which.found &&
    /^(?:all|both|last|first|other|remaining)$/.test(which.text) &&
    isCount(many)
  ) {
    piece.take(0, 1, 'how many');
    return undefined;
  }
  const at = severalAt(piece);
  if (at < 0) return undefined;
  piece.take(at, piece.rest[at + 1]?.text === 'x' ? 2 : 1, 'how many');
  return null;
};
const severalAt = (piece: Piece): number => {
  const at = piece.at((w) => SEVERAL.test(w.text));
  return at <= 1 ? at : -1;
};

/** "spades off, 6 pcs" */
const inPieces: Counting = (piece) => {
  const at = piece.at((w, i, all) => isCount(w) && /^(?:pcs?|pieces)$/.test(all[i + 1]?.text ?? ''));
  return at < 0 ? undefined : numberAt(piece, at, 2);
};

const hasCount = (piece: Piece): boolean => piece.at((w) => w.type === 'count') >= 0;

/** "T20 x 4 controller cover" */
const times: Counting = (piece) => {
  if (hasCount(piece) || isCount(piece.rest[0])) return undefined;
  const at = piece.at((w, i, all) => w.text === 'x' && isCount(all[i + 1]));
  return at < 0 ? undefined : numberAt(piece, at, 2, 1);
};

/** "M4x10, 6 off" */
const off: Counting = (piece) => {
  const [comma, many, word] = piece.rest.slice(-3);
  // "secondary tags 4 off"
  const each = comma && !comma.found && comma.type === 'word' && /[^s]s$/.test(comma.text);
  if (each && isCount(many) && word?.text === 'off' && piece.rest.length > 3)
    return numberAt(piece, piece.rest.length - 2, 2);
  if (comma?.type !== 'comma' || !isCount(many) || word?.text !== 'off') return undefined;
  return numberAt(piece, piece.rest.length - 3, 3, 1);
};

/** "knobs x4"; with a great letter it is the mark of a thing. */
const timesInOne: Counting = (piece) => {
  const at = hasCount(piece) ? -1 : piece.at((w) => /^x[1-9]\d?$/.test(piece.original(w)));
  if (at < 0 || (at === 0 && !piece.spans.some((s) => s.as === 'what'))) return undefined;
  return Number(piece.take(at, 1, 'how many')[0]?.text.slice(1));
};

/** "4x", "4 x" */
const counted: Counting = (piece) => {
  const at = piece.at((w) => w.type === 'count');
  return at < 0 ? undefined : Number.parseInt(piece.take(at, 1, 'how many')[0]?.text ?? '1', 10);
};

/** Whether a thread was read right behind the first word. */
const isSized = ({ rest: [first], spans }: Piece): boolean =>
  first !== undefined && spans.some((s) => s.as === 'what' && s.from === first.to + 1);

/** What stands right before a thread is how many, and "for em three" was said "four M three". */
const heard: Counting = (piece) => {
  const many = HEARD[piece.rest[0]?.text ?? ''];
  if (!isSized(piece) || many === undefined) return undefined;
  piece.take(0, 1, 'how many');
  return many;
};

/** "front panel 3 screws bottom", "heatsink 4 spring screws" */
const beforeTheWord: Counting = (piece) => {
  const at = piece.at((w, i, all) => {
    const next = all[i + 1]?.text ?? '';
    const looks = [LOOKS, COLOURS, SORTS, ...DRIVES.map((d) => d.words)].some((said) => said.test(next));
    return i > 0 && isCount(w) && SCREW_WORD.test((looks ? all[i + 2]?.text : next) ?? '');
  });
  return at > 0 && !isCount(piece.rest[0]) ? numberAt(piece, at, 1) : undefined;
};

/** "heatsink bar 4 M3x12": the thread is read. */
const beforeTheThread: Counting = (piece) => {
  const at = piece.at(
    (w, i) => i > 0 && isCount(w) && piece.spans.some((s) => s.as === 'what' && s.from === w.to + 1),
  );
  return at < 0 ? undefined : numberAt(piece, at, 1);
};

/** "2 nuts", "four M three": a number that stands first, with something after it. */
const first: Counting = (piece) => {
  const [many, next] = piece.rest;
  const sized = isSized(piece);
  if (!isCount(many) || (!next && !sized)) return undefined;
  const screw = /^(?:m|x|by|screw|bolt|nut)/.test(next?.text ?? '') || SCREW_WORD.test(next?.text ?? '');
  const sort = LOOKS.test(next?.text ?? '') || SORTS.test(next?.text ?? '');
  // "one of them" counts nothing.
  if (many?.text === 'one' && !sized && !screw && !sort) return undefined;
  const count = numberAt(piece, 0, next?.text === 'x' ? 2 : 1);
  // "3 of 4 screws": the fourth is still in.
  if (piece.rest[0]?.text === 'of' && isCount(piece.rest[1])) piece.take(0, 2, 'how many');
  else if (piece.rest[0]?.text === 'more') piece.take(0, 1, 'how many');
  return count;
};

/** The first that fits is taken. */
const COUNTINGS: Counting[] = [
  ...[few, behindTheWord, behindAComma, both, several, inPieces, times, off, timesInOne],
  ...[counted, heard, beforeTheWord, beforeTheThread, first],
];

/**
 * How many.
 *
 * @param piece what is read is taken out of it
 * @returns a count; null = several; undefined where it is not said
 * @example readCount(piece) // 4
 */
export function readCount(piece: Piece): number | null | undefined {
  for (const counting of COUNTINGS) {
    const count = counting(piece);
    if (count !== undefined) return count;
  }
  return undefined;
}
