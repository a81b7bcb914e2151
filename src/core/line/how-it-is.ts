import { isFastener } from './fastener';
import { Piece, type Word } from './piece';
import { saysAFigure, saysHowItIs, saysItIs, saysItIsNot } from './states';
import { verbAt } from './verb-at';
import { GUIDE } from './verb-last';
import { type LineVerb, verbOf } from './verbs';

/** What is only looked at. */
export const LOOK = verbOf('look');
const SET = verbOf('set');
const MEASURE = verbOf('measure');
const UNLATCH = verbOf('unlatch');

/** How a whole unit lies. */
const LYING = /^(?:face (?:down|up)|upside down)\b/;
const ON_ITS = /^on its (?:side|back|face|front|head|feet)\b/;
/** What a unit is called that has just been turned. */
const UNIT = /^(?:the|unit|it|set|machine|case|chassis|cabinet|box|whole|thing)$/;
/** So many words before it may be a unit by its own name: "hi-fi tower face down". */
const MOST_WORDS = 2;

/**
 * How the unit lies now: "tv face down on a blanket", "unit on its side".
 *
 * @param piece what is read is taken out of it
 * @returns the side and what else is said, or undefined where it is a thing of the unit that lies so, or nothing does
 */
export function readLying(piece: Piece): { to: string; note: string } | undefined {
  const words = (at: number) =>
    piece.rest
      .slice(at)
      .map((w) => (w.found ? '"' : w.text))
      .join(' ');
  const at = piece.rest.findIndex((_, i) => LYING.test(words(i)) || ON_ITS.test(words(i)));
  if (at < 0) return undefined;
  const verb = verbAt(piece.rest, 0);
  const turned =
    verb?.verb.does === 'flip' ||
    verb?.verb.does === 'turn' ||
    /^(?:lay|laid|put|stand|stood|tip|tipped)$/.test(piece.rest[0]?.text ?? '');
  const before = piece.rest.slice(turned ? (verb?.used ?? 1) : 0, at);
  const plain = (w: Word) => !w.found && w.type === 'word';
  const own = before.every((w) => plain(w) && UNIT.test(w.text));
  const named =
    LYING.test(words(at)) && before.length <= MOST_WORDS && before.every(plain) && (turned || !verb);
  if (!own && !named) return undefined;
  const used = LYING.test(words(at)) ? 2 : 3;
  const said = piece.take(at, used, 'side');
  piece.take(0, at, 'what');
  return { to: piece.typed(said), note: piece.typed(piece.take(0, piece.rest.length, 'note')) };
}

/** "fuser is" hot: what it is, without that it is. */
function withoutIs(piece: Piece): void {
  const last = piece.rest.length - 1;
  if (last > 0 && saysItIs(piece.rest[last])) piece.take(last, 1, 'note');
}

/**
 * What is only said to be so is not off: "deck plate stuck" is looked at.
 *
 * @param piece without a verb and without a place; what is read is taken out of it
 * @returns the verb and what was seen, or null where something else is said
 */
export function readHowItIs(piece: Piece): { verb: LineVerb; note: string } | null {
  const last = piece.rest.length - 1;
  const stays = piece.at(
    (w, i, all) =>
      i > 0 &&
      (/^(?:stays?|remains?|stayed|still)$/.test(w.text) ||
        (w.text === 'kept' && i === all.length - 1) ||
        saysItIsNot(w) ||
        (w.text === 'left' && /^(?:alone|there|on|connected|attached)$/.test(all[i + 1]?.text ?? ''))),
  );
  if (stays > 0) {
    const words = piece.take(stays, piece.rest.length - stays, 'note');
    return { verb: LOOK, note: piece.typed(words) };
  }
  // "fuser held by two levers", "lead out of its guide"
  const so = piece.at(
    (w, i, all) =>
      i > 0 &&
      ((saysHowItIs(w) && /^(?:by|with|down|in|on|at|to|from)$/.test(all[i + 1]?.text ?? '')) ||
        (w.text === 'out' && all[i + 1]?.text === 'of' && GUIDE.test(all.at(-1)?.text ?? ''))),
  );
  if (so > 0 && !isFastener(piece, undefined)) {
    const words = piece.take(so, piece.rest.length - so, 'note');
    withoutIs(piece);
    return { verb: LOOK, note: piece.typed(words) };
  }
  // "big caps read 310 V"
  const reads = piece.at(
    (w, i, all) => i > 0 && /^(?:reads?|shows?|showed)$/.test(w.text) && saysAFigure(all.slice(i + 1)),
  );
  if (reads > 0) {
    const words = piece.take(reads, piece.rest.length - reads, 'note').slice(1);
    return { verb: MEASURE, note: piece.typed(words) };
  }
  const is = last > 1 && saysItIs(piece.rest[last - 1]);
  const open = piece.rest[last]?.text === 'open' && !piece.rest[last]?.found;
  if (last < 1 || !(open || saysHowItIs(piece.rest[last])) || (!is && isFastener(piece, undefined)))
    return null;
  const [word] = piece.take(last, 1, 'note');
  withoutIs(piece);
  return word ? { verb: LOOK, note: piece.original(word) } : null;
}

/** What is off when it is switched off, and not taken away. */
const SWITCHED = /^(?:isolator|breaker|rcd|mains|power)$/;

/** What a switch is set to. */
const POSITION = /^(?:on|off|open|closed|shut|up|down|left|right|high|low|zero|\d{1,3}|[a-z])$/;

/**
 * A switch that is set without a word for it: "power switch to off", "isolator off".
 *
 * @param piece without a verb and without a place
 * @returns the verb, or null where nothing is set
 */
export function saysItIsSet({ rest }: Piece): LineVerb | null {
  const [to, position] = rest.slice(-2);
  const switched =
    position !== undefined && /^(?:on|off)$/.test(position.text) && to && SWITCHED.test(to.text);
  if (switched && !to.found && !position.found) return SET;
  const set =
    rest.length > 2 && to?.text === 'to' && position && !position.found && POSITION.test(position.text);
  return set ? SET : null;
}

/** A jumper that is moved: "moved JP1 from 1-2 to 2-3". */
const PINS = /^\d{1,2}(?:-\d{1,2})?$/;

/**
 * What is moved to other pins is set, and nothing comes off.
 *
 * @param piece where it was before is taken out of it
 * @param verb of the piece
 * @returns the verb and where it was, or null where nothing is set
 */
export function readMovedTo(
  piece: Piece,
  verb: LineVerb | undefined,
): { verb: LineVerb; note: string } | null {
  const moved = verb?.words.includes('move') === true;
  const [to, pins] = piece.rest.slice(-2);
  if (!moved || to?.text !== 'to' || !PINS.test(pins?.text ?? '')) return null;
  const from = piece.at((w) => w.text === 'from');
  const words = from < 0 ? [] : piece.take(from, piece.rest.length - 2 - from, 'note');
  return { verb: SET, note: piece.typed(words) };
}

/** What gives way by itself and stays on. */
const SNAPS = /^(?:hooks?|clips?|tabs?|catch|catches|snaps?)$/;
/** How they are told to have done so. */
const GAVE = /^(?:let go|gave way|(?:are |is )?(?:released|popped|free|freed|open|opened|undone|unclipped))$/;

/** "3 snaps at the bottom let go": what let go; null where something else is said. */
function whatGave(piece: Piece): { verb: LineVerb; note: string } | null {
  for (const used of [2, 1]) {
    const at = piece.rest.length - used;
    const words = piece.rest.slice(at);
    if (at < 2 || words.some((w) => w.found) || !GAVE.test(words.map((w) => w.text).join(' '))) continue;
    piece.take(at, used, 'verb');
    return { verb: UNLATCH, note: '' };
  }
  return null;
}

/**
 * How many hooks or clips let go of something: "5 hooks front panel". They are no things of their own, and what they
 * held is not off yet.
 *
 * @param piece without a place; what is read is taken out of it
 * @returns the verb and what let go, or null where something else is said
 */
export function readSnaps(piece: Piece): { verb: LineVerb; note: string } | null {
  // "released 6 clips along the bottom"
  const done = verbAt(piece.rest, 0);
  const many = done?.verb.does === 'unclip' ? piece.rest.slice(done.used) : [];
  const the = /^(?:the|all|both)$/.test(many[0]?.text ?? '') || Piece.numberOf(many[0]) !== undefined;
  const [clips, next] = many.slice(the ? 1 : 0);
  // A clip holder is no clip.
  const alone =
    !next ||
    next.found ||
    next.type === 'comma' ||
    /^(?:along|round|around|at|of|on|from|in|by|with)$/.test(next.text);
  if (done && clips && alone && !clips.found && SNAPS.test(clips.text)) {
    piece.take(0, done.used, 'verb');
    return { verb: UNLATCH, note: '' };
  }
  // "2 blue levers"
  const all = piece.rest;
  const levers = all.length === 3 && Piece.numberOf(all[0]) !== undefined && !all.some((w) => w.found);
  if (levers && /^(?:levers|latches|catches|hooks|tabs|snaps)$/.test(all[2]?.text ?? ''))
    return { verb: UNLATCH, note: '' };
  const [count, snaps, ...held] = piece.rest;
  const counted = count?.type === 'count' || Piece.numberOf(count) !== undefined;
  if (!count || !snaps || !counted || count.found || snaps.found || !SNAPS.test(snaps.text)) return null;
  if (held.length === 0) return { verb: UNLATCH, note: '' };
  const gave = whatGave(piece);
  if (gave) return gave;
  if (!held.some((w) => w.found) || held.some((w) => w.text === 'off' && !w.found)) return null;
  piece.take(0, 2, 'note');
  return { verb: UNLATCH, note: piece.typed([count, snaps]) };
}
