import type { Word } from './piece';
import { toldOf } from './verb-forms';
import { type LineVerb, VERBS } from './verbs';

/** Verbs whose past says how a thing is, and not what was done to it: a marked screw, a soldered lead. */
const NOT_TOLD =
  /^(?:mark|label|dot|tape|tape over|tape off|solder|set|switch|wait|rest|lamp on|solvent|alcohol|ipa|isopropanol|prop|prop up|marked the|labell?ed|taped (?:the|over|up)|let it cool|let cool|cool down|reading|photos? of|pictures? of)$/;

/** Verbs by their words, as they are done and as they are told afterwards, the longest first. */
export const PHRASES = VERBS.flatMap((verb) =>
  verb.words
    .flatMap((w) => (NOT_TOLD.test(w) ? [w] : [w, ...toldOf(w)]))
    .map((w) => ({ verb, words: w.split(' ') })),
).sort((a, b) => b.words.length - a.words.length);

/**
 * The verb that stands at a place of a piece.
 *
 * @param rest tokens
 * @param at where to look
 * @returns the verb and how many tokens it takes, or null
 * @example verbAt(tokens, 0)?.verb.does // 'lift'
 */
export function verbAt(rest: readonly Word[], at: number): { verb: LineVerb; used: number } | null {
  const hit = PHRASES.find(
    ({ verb, words }) =>
      words.every((w, k) => !rest[at + k]?.found && rest[at + k]?.text === w) &&
      !verb.unless?.test(rest[at + words.length]?.text ?? ''),
  );
  return hit ? { verb: hit.verb, used: hit.words.length } : null;
}
