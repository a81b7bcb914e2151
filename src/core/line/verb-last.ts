import { isAway, isLead } from './away';
import type { Piece, Word } from './piece';
import { saysItIs, saysItIsNot } from './states';
import { isToldVerb, mayStandLast } from './told-verb';
import { verbAt } from './verb-at';
import { type LineVerb, VERBS, verbOf } from './verbs';

const LIFT = verbOf('lift');
const UNPLUG = verbOf('unplug');
/** Where what is lifted may be a plug. */
const PULL = VERBS.find((v) => v.words.includes('pull'));

const FIGURES = /^(?:contacts|wires)$/;
/** Behind a verb that is told: whether it goes on with where from, with what, where. */
const OF_TOLD =
  /^(?:off|out|up|down|back|away|free|from|of|with|at|by|along|under|inside|over|round|around|through)$/;
/** Which way something went. */
export const WAY = /^(?:forwards?|backwards?|sideways|upwards?|downwards?|(?:anti-?|counter-?)?clockwise)$/;
/** Verbs that are told with their small word alone: "came off". */
const CAME = /^(?:came|comes|fell)$/;
const OPENS = /^(?:hinges|swings|folds|tilts|slides|lifts|comes|pulls|pops)$/;
const OPENED = /^(?:down|up|out|off|open|forward|back|aside)$/;
/** What a lead runs in: out of it, it hangs on still. */
export const GUIDE = /^(?:guides?|clips?|channels?|ducts?|looms?|trunking)$/;

const textAt = (piece: Piece, at: number): string => piece.rest[at]?.text ?? '';

/** The last word before the first comma, behind which stand only figures of it: "fan lead off, 12 pin". */
function lastOf(piece: Piece): { at: number; word: string; said: number } {
  const comma = piece.at((w) => w.type === 'comma');
  const at = (comma < 0 ? piece.rest.length : comma) - 1;
  // "J7 was unplugged"
  const said = at > 1 && saysItIs(piece.rest[at - 1]) ? 1 : 0;
  return { at, word: textAt(piece, at), said };
}

const isPlug = (w: Word | undefined): boolean => /(?:^|\s)(?:plug|connector)s?$/.test(w?.text ?? '');

/** How a piece may say last what was done; null = nothing is said, and no other way is looked for. */
type Ending = (piece: Piece) => LineVerb | undefined | null;

/** "hood away", "J7 out", "fan lead apart", "lamp lead 3 pin out" */
const away: Ending = (piece) => {
  const { at, word, said } = lastOf(piece);
  let before = at - 1 - said;
  const pins = FIGURES.test(piece.rest[before]?.type ?? '');
  while (FIGURES.test(piece.rest[before]?.type ?? '')) before--;
  const own = piece.rest[before];
  const apart = word === 'apart' && own !== undefined && !piece.rest[at]?.found;
  if (at > 0 && word === 'up' && isPlug(own)) {
    piece.take(at, 1, 'verb');
    return PULL;
  }
  if (at < 1 || !(apart || isAway(word, own) || (said > 0 && word === 'off'))) return undefined;
  piece.take(at - said, 1 + said, 'verb');
  if (apart) return UNPLUG;
  return pins || isLead(own) ? PULL : LIFT;
};

/** "rubber mat peeled off the deck", "cover came off with care": what it was done from or with follows. */
const toldOfIt: Ending = (piece) => {
  const told = piece.at(
    (w, i, all) =>
      i > 0 &&
      !saysItIsNot(all[i - 1]) &&
      ((isToldVerb(w.text) &&
        (OF_TOLD.test(all[i + 1]?.text ?? '') ||
          WAY.test(all[i + 1]?.text ?? '') ||
          all[i + 1]?.type === 'minutes')) ||
        (CAME.test(w.text) && verbAt(all, i)?.used === 2)),
  );
  if (told < 1) return undefined;
  const verb = verbAt(piece.rest, told)?.verb;
  // "board lifted out and" is lifted; "mat peeled off the deck" is peeled off something.
  const small = textAt(piece, told + 1);
  const behind = textAt(piece, told + 2);
  const whole =
    CAME.test(textAt(piece, told)) ||
    /^(?:up|down|away|free)$/.test(small) ||
    (/^(?:off|out)$/.test(small) &&
      (/^(?:and|then|with|to|of|on|at|by|from)?$/.test(behind) || WAY.test(behind)));
  const joined = /^(?:and|then)$/.test(behind);
  // "W2 was pulled out"
  const was = told > 1 && saysItIs(piece.rest[told - 1]) ? 1 : 0;
  piece.take(told - was, was + (whole ? (joined ? 3 : 2) : 1), 'verb');
  return verb;
};

/** "W3 out of the socket" */
const outOf: Ending = (piece) => {
  const own = (w: Word | undefined, i: number) => w?.found !== undefined || (isLead(w) && i > 1);
  const at = piece.at(
    (w, i, all) =>
      i > 0 &&
      w.text === 'out' &&
      all[i + 1]?.text === 'of' &&
      (own(all[i - 1], i) ||
        all.slice(0, i).some((x) => isLead(x) || /^wires?$/.test(x.text)) ||
        (/^(?:the|its)$/.test(all[i + 2]?.text ?? '') && all[0]?.type === 'word')) &&
      !GUIDE.test(all.at(-1)?.text ?? ''),
  );
  if (at < 1) return undefined;
  const lead = piece.rest.slice(0, at).some((x) => isLead(x) || /^wires?$/.test(x.text));
  piece.take(at, 1, 'verb');
  return lead ? PULL : LIFT;
};

/** "lead off at the power board": what it is says what was done. */
const offAt: Ending = (piece) => {
  const at = piece.at(
    (w, i, all) =>
      i > 0 &&
      (w.text === 'off' || (w.text === 'up' && isPlug(all[i - 1]))) &&
      /^(?:at|by|with)$/.test(all[i + 1]?.text ?? ''),
  );
  if (at < 1) return undefined;
  piece.take(at, 1, 'verb');
  return null;
};

/** "plate hinges down": how it opens. */
const opens: Ending = (piece) => {
  const { at, word } = lastOf(piece);
  if (at < 2 || !OPENS.test(textAt(piece, at - 1)) || !OPENED.test(word)) return undefined;
  piece.take(at - 1, 2, 'verb');
  return LIFT;
};

/** "J7 unplug", "J7 was unplugged" */
const told: Ending = (piece) => {
  const { at, word, said } = lastOf(piece);
  const not = saysItIsNot(piece.rest[at - 1]);
  const verb = at > 0 && !not && mayStandLast(word) ? verbAt(piece.rest, at)?.verb : undefined;
  if (verb) piece.take(at - said, 1 + said, 'verb');
  return verb;
};

/** The first that fits is taken. */
const ENDINGS: Ending[] = [opens, away, toldOfIt, outOf, offAt, told];

/**
 * A verb that does not stand first: "J7 unplug", "J7 was unplugged", "hood away", "J7 out".
 *
 * @param piece the verb is taken out of it
 * @returns the verb, or undefined where none is said, or what the thing is says it
 * @example verbLast(piece)?.does // 'unplug'
 */
export function verbLast(piece: Piece): LineVerb | undefined {
  for (const ending of ENDINGS) {
    const verb = ending(piece);
    if (verb !== undefined) return verb ?? undefined;
  }
  return undefined;
}
