import type { Word } from './piece';
import { verbAt } from './verb-at';
import { type LineVerb, verbOf } from './verbs';

/** What holds a plug or a cover and stays where it is when it is opened. Common practice, no source. */
const LATCH =
  /^(?:latch|latches|levers?|flaps?|zifs?|catch|catches|retainers?|collars?|(?:locking|lock) (?:bars?|tabs?|levers?|flaps?|slides?))$/;
/** What may be said of it before. */
const WHICH =
  /^(?:the|its|both|all|two|2|small|little|black|brown|white|grey|plastic|side|zif|connector|flex)$/;
/** What opens it. */
const OPENS = /^(?:lift|flip|slide|pry|unclip)$/;
const UP = /^(?:up|open|out|back)$/;
/** What may follow it: what it is a latch of, or what ends the piece. */
const NEXT = /^(?:of|on|at|with|first|,|\()$/;
const UNLATCH = verbOf('unlatch');

/**
 * A latch that is opened: it stays on, whatever verb is used for it. "lift the flap", "flip up both latches".
 *
 * @param rest tokens of a piece
 * @returns the verb and how many tokens it takes, the latch among them where it is one of something; null where a
 *   latch is not all that is spoken of, or where it has a name of its own
 * @example latchAt(tokens) // { verb: unlatch, used: 2 }
 */
export function latchAt(rest: readonly Word[]): { verb: LineVerb; used: number } | null {
  const hit = verbAt(rest, 0);
  if (!hit || !OPENS.test(hit.verb.does)) return null;
  const is = (at: number, what: RegExp) => what.test(rest[at]?.text ?? '') && !rest[at]?.found;
  let from = hit.used;
  while (is(from, UP)) from++;
  let at = from;
  // A socket that is opened by its flap goes by the name of it.
  const zif = is(from, /^zifs?$/) && (!rest[from + 1] || is(from + 1, NEXT));
  while (!zif && is(at, WHICH)) at++;
  const words = rest[at]?.found || rest[at + 1]?.found ? '' : `${rest[at]?.text} ${rest[at + 1]?.text}`;
  const two = LATCH.test(words);
  if (!two && !zif && !is(at, LATCH)) return null;
  let end = at + (two ? 2 : 1);
  while (is(end, UP)) end++;
  if (rest[end] && !is(end, NEXT)) return null;
  return { verb: UNLATCH, used: is(end, /^(?:of|on|at)$/) ? end : from };
}
