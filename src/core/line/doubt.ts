import type { Named } from './names';
import { nearest } from './names';
import type { Piece, Word } from './piece';

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

/** What has a name already among words. */
export const knownIn = (words: readonly Word[], kinds?: readonly string[]) =>
  words.find((w) => w.found && (!kinds || kinds.includes(w.found.named.kind)))?.found?.named;

/**
 * Says of a name that is nobody's which ones are near.
 *
 * @param names what has a name
 * @param doubt told of it
 * @returns a function of what was said and its words
 * @example nearTo(names, doubt)('rear covr', words)
 */
export const nearTo = (names: readonly Named[], doubt: Doubt) => (said: string, words: readonly Word[]) => {
  if (!said || words.some((w) => w.found)) return;
  const close = nearest(said, names);
  if (close.length) doubt(words[0]?.from ?? 0, words.at(-1)?.to ?? 0, close);
};
