import type { Named } from './names';
import { nearest } from './names';
import type { Piece, Word } from './piece';
import { plainOf } from './tokens';

/** Says that a stretch is not understood, or is nearly one of these names. */
export type Doubt = (from: number, to: number, near?: Named[]) => void;

/**
 * Takes out what is not understood: letters and figures make a name, signs alone do not.
 *
 * @param piece what is not understood is taken out of it
 * @param doubt told of each
 * @example unreadable(piece, doubt) // of "lid @@": doubt(4, 6)
 */
export function unreadable(piece: Piece, doubt: Doubt): void {
  for (let i = piece.rest.length - 1; i >= 0; i--) {
    const w = piece.rest[i] as Word;
    if (w.found || w.type === 'comma' || w.type === 'arrow') {
      if (w.type === 'arrow') piece.rest.splice(i, 1);
      continue;
    }
    // Poles are names: "cell +".
    if (/^[+−-]$/.test(w.text) && i > 0) continue;
    if (/[\p{L}\p{N}]/u.test(w.text) && !/^[^\p{L}\p{N}#"'/-]/u.test(w.text)) continue;
    piece.take(i, 1, 'not understood');
    doubt(w.from, w.to);
  }
}

/** What an element may be called beside its mark: "motor M1". Common practice, no source. */
const KINDS =
  /^(?:board|pcb|motor|sensor|lamp|cable|ribbon|flex|supply|psu|cell|battery|pack|unit|module|assembly|fan|pump|switch|speaker|head)$/;

/** What is called by its mark and by what it is in one: "motor M1" is the feed motor M1. */
export function calledTwice(words: readonly Word[]): Named | undefined {
  const found = words.filter((w) => w.found);
  const named = found[0]?.found?.named;
  const one = found.every((w) => w.found?.named.id === named?.id);
  if (!one || words.length < 2 || named?.kind !== 'element') return undefined;
  // "lamp board" is not the board, but "board A1" is.
  if (!found.some((w) => w.text === plainOf(named.id))) return undefined;
  const own = plainOf(named.name).split(/\s+/);
  const at = words.findIndex((w) => w.found);
  const says = (w: Word, i: number) =>
    w.found !== undefined || own.includes(w.text) || (i < at && KINDS.test(w.text));
  return words.every(says) ? named : undefined;
}

/** What has a name already among words. */
export const knownIn = (words: readonly Word[], kinds?: readonly string[]) =>
  words.find((w) => w.found && (!kinds || kinds.includes(w.found.named.kind)))?.found?.named;

/** Says which one is meant by what was said, where it is nobody's name. */
export type Near = (said: string, words: readonly Word[]) => Named | undefined;

const SIDES = /^(?:back|rear|front|top|bottom|left|right|side|upper|lower)$/;

/** Whether a cover is meant by some of its words: by what it is, "shell", or by its side, "back"; "display" is not the display cover. */
function isCalledBy(said: string, name: string): boolean {
  const words = plainOf(said).trim().split(/\s+/);
  const own = plainOf(name).split(/\s+/);
  const is = words.at(-1) === own.at(-1) || words.every((w) => SIDES.test(w));
  return is && words.every((w) => own.includes(w));
}

/**
 * Says of a name that is nobody's which ones are near. The only cover that has the words in its name is meant by
 * them: "shell" of the back shell.
 *
 * @param names what has a name
 * @param doubt told of what is only near
 * @returns a function of what was said and its words, that answers the cover which is meant
 * @example nearTo(names, doubt)('rear covr', words) // undefined, and doubt was told of the rear cover
 */
export const nearTo =
  (names: readonly Named[], doubt: Doubt): Near =>
  (said, words) => {
    if (!said || words.some((w) => w.found)) return undefined;
    const close = nearest(said, names);
    const [only] = close;
    if (close.length === 1 && only?.kind === 'cover' && isCalledBy(said, only.name)) return only;
    if (close.length) doubt(words[0]?.from ?? 0, words.at(-1)?.to ?? 0, close);
    return undefined;
  };
