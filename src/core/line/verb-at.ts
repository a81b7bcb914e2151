import type { Piece, Word } from './piece';
import { type LineVerb, VERBS } from './verbs';

/** Verbs by their words, the longest first. */
const PHRASES = VERBS.flatMap((verb) => verb.words.map((w) => ({ verb, words: w.split(' ') }))).sort(
  (a, b) => b.words.length - a.words.length,
);

/**
 * The verb that stands at a place of a piece.
 *
 * @param rest tokens
 * @param at where to look
 * @returns the verb and how many tokens it takes, or null
 * @example verbAt(tokens, 0)?.verb.does // 'lift'
 */
export function verbAt(rest: readonly Word[], at: number): { verb: LineVerb; used: number } | null {
  const hit = PHRASES.find(({ words }) =>
    words.every((w, k) => !rest[at + k]?.found && rest[at + k]?.text === w),
  );
  return hit ? { verb: hit.verb, used: hit.words.length } : null;
}

/** Verbs that may stand last as well: "J7 unplug". */
const MAY_END = /^(?:unplug|lift|remove|peel|undo|unscrew|eject)$/;

/**
 * The verb of a piece: first in it, or last ("J7 unplug").
 *
 * @param piece the verb is taken out of it
 * @returns the verb, or undefined where none is said
 * @example readVerb(piece)?.does // 'unplug'
 */
export function readVerb(piece: Piece): LineVerb | undefined {
  const first = verbAt(piece.rest, 0);
  if (first) {
    piece.take(0, first.used, 'verb');
    return first.verb;
  }
  const at = piece.rest.length - 1;
  if (at < 1 || !MAY_END.test(piece.rest[at]?.text ?? '')) return undefined;
  const last = verbAt(piece.rest, at);
  if (last) piece.take(at, 1, 'verb');
  return last?.verb;
}
