import { uptoComma } from './away';
import type { Word } from './piece';
import {
  saysAFigure,
  saysHowItIs,
  saysHowOften,
  saysInPassing,
  saysItIsTold,
  saysItWasLaid,
  saysWhatWasOnIt,
} from './states';
import { isToldVerb } from './told-verb';

/** What it was done with, a note, where it lies now, a clause of its own. */
const BEGINS =
  /^(?:>|note:?|face|upside|with|using|aside|still|in|into|on|onto|to|from|at|against|beside|behind|under|but|after|while|because|though|although|since|\()$/;
/** What a word that says how a thing is may be followed by: else it says so of the next thing, "a broken clip". */
const OF_IT = /^(?:,|;|>|in|with|at|on|and|to|by|from|then|when)$/;
/** Behind a number: what is counted is none of these. */
const NO_THING =
  /^(?:,|;|>|and|is|are|was|were|has|have|still|pcs?|pieces|hidden|under|behind|missing|turns?|each)$/;
/** What holds and gives way by itself, and where it does. */
const SNAPS = /^(?:clips|hooks|tabs|catches|snaps|magnets)$/;
const AT = /^(?:at|on|along|round|around|inside|all|both)$/;
/** Which of two: "speakers out, left and right". */
const SIDE = /^(?:left|right|top|bottom|front|rear|back|upper|lower|inner|outer|and|both)$/;

/**
 * Whether a number says how many of something: "ties 1, 2 and 3" does not, nor "1 is longer".
 *
 * @param next what stands behind the number
 * @returns true where it is something that can be counted
 */
export const counts = (next: Word | undefined): boolean =>
  next !== undefined &&
  !isToldVerb(next.text) &&
  (next.found !== undefined || !(saysHowOften(next) || NO_THING.test(next.text)));

const ends = (next: Word | undefined): boolean => next === undefined || OF_IT.test(next.text);
const alone = (next: Word | undefined): boolean => next === undefined || next.type === 'comma';

/** What says something of the piece before, and is no move of its own; one that fits is enough. */
const RULES: ((words: readonly [Word, ...Word[]]) => boolean)[] = [
  ([w]) => BEGINS.test(w.text) || saysItIsTold(w) || saysItWasLaid(w) || saysInPassing(w),
  // "corroded", "paste on the back"
  ([w, next]) => (saysHowItIs(w) || saysWhatWasOnIt(w)) && ends(next),
  // "2a slow", "3.15 A", "10 mm", "12 pin", "all, 18"
  (words) => saysAFigure(words),
  ([w, next]) => w.type === 'millimetres' && alone(next),
  ([w]) => /^(?:contacts|wires)$/.test(w.type),
  ([w, next]) => w.type === 'number' && !counts(next),
  // "left and right", "long one left"
  (words) => uptoComma(words).every((w) => !w.found && SIDE.test(w.text)),
  // "black to the left", "clips at both sides"
  (words) =>
    /^(?:.* )?to the (?:left|right|front|back|rear|top|bottom|side|middle)$/.test(
      uptoComma(words)
        .map((w) => w.text)
        .join(' '),
    ),
  ([w, next]) => SNAPS.test(w.text) && (next === undefined || AT.test(next.text)),
  ([w, next]) => /^(?:short|long)(?:er|est)?$/.test(w.text) && /^ones?$/.test(next?.text ?? ''),
  // "minus first", "flex still on"
  (words) => saysInPassing(uptoComma(words).at(-1)),
  (words) => uptoComma(words).some((w) => !w.found && w.text === 'still'),
];

/**
 * Whether words behind a comma go on with the piece before it.
 *
 * @param words from the comma on
 * @returns false where they begin with a name, or with nothing that is said of a thing
 * @example goesOn(tokensOf('left and right')) // true
 */
export function goesOn(words: readonly Word[]): boolean {
  const [first, ...more] = words;
  return first !== undefined && !first.found && RULES.some((says) => says([first, ...more]));
}
