import { isLead } from './away';
import type { Word } from './piece';
import { MARKED } from './plug-words';
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

/** How it is told to have been opened. */
const FLIPPED = /^(?:flipped|lifted|opened|raised|slid|released|pulled)$/;

/** What a latch is of: "F1 flap up" is the flap of the ribbon F1. */
const OF_PLUG = /^(?:zif|connector|socket|ribbon|flex|plug|lock|locking|brown|black|white)$/;

/**
 * A latch that is told before what was done to it: "zif lever up", "F1 flap open".
 *
 * @param rest tokens of a piece
 * @returns the verb, the place of the words that say so and how many, or null where no latch of a plug is spoken of
 * @example latchLast(tokens) // { verb: unlatch, at: 2, used: 1 }
 */
export function latchLast(rest: readonly Word[]): { verb: LineVerb; at: number; used: number } | null {
  const end = rest.findIndex((w) => w.type === 'comma' && !w.found);
  const last = (end < 0 ? rest.length : end) - 1;
  const flipped = [last, last - 1].find((i) => i > 1 && FLIPPED.test(rest[i]?.text ?? '') && !rest[i]?.found);
  const at = flipped ?? last;
  const [of, latch, up] = [rest[at - 2], rest[at - 1], flipped === last ? { text: 'up' } : rest[last]];
  if (!of || !latch || !up || latch.found || rest[last]?.found) return null;
  const ofPlug = isLead(of) || MARKED.test(of.text) || (!of.found && OF_PLUG.test(of.text));
  return ofPlug && LATCH.test(latch.text) && UP.test(up.text) && up.text !== 'out'
    ? { verb: UNLATCH, at, used: last - at + 1 }
    : null;
}

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
