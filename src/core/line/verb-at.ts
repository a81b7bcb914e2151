import type { Piece, Word } from './piece';
import { saysItIsTold } from './states';
import { toldOf } from './verb-forms';
import { type LineVerb, VERBS, verbOf } from './verbs';

/** Verbs whose past says how a thing is, and not what was done to it: a marked screw, a soldered lead. */
const NOT_TOLD =
  /^(?:mark|label|dot|tape|tape over|tape off|solder|set|switch|wait|rest|lamp on|solvent|alcohol|ipa|isopropanol|prop|prop up|marked the|labell?ed|taped (?:the|over|up)|let it cool|let cool|cool down|reading|photos? of|pictures? of)$/;

/** Verbs that are things as well: a label that is off is not labelled. */
const THINGS_TOO = /^(?:heat|mark|clean|solder|wait|look|measure|discharge)$/;

/** Verbs by their words, as they are done and as they are told afterwards, the longest first. */
const PHRASES = VERBS.flatMap((verb) =>
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

/** Verbs that may stand last as well: "J7 unplug", "J7 unplugged". */
const LAST = [
  'unplug',
  'disconnect',
  'lift',
  'remove',
  'peel',
  'undo',
  'unscrew',
  'unbolt',
  'eject',
  'take',
  'cut',
  'snip',
  'unclip',
  'unhook',
  'unsolder',
  'desolder',
  'release',
  'pull',
];
/** What stands last only as it is told: "thermal compound cleaned". */
const TOLD_ONLY = [
  ...['clean', 'wipe', 'heat', 'warm', 'scrape', 'inspect', 'check', 'measure', 'discharge', 'photograph'],
  ...['bleed', 'pop', 'pry', 'slide', 'slip', 'unlatch', 'unlock'],
];
const TOLD_LAST = new Set([...LAST, ...TOLD_ONLY].flatMap(toldOf));
/** Before what is told of how it is: "was pulled". */
const IS_SAID = /^(?:is|was|are|were|be|been|not|never)$/;
/** Whether a word is a verb as it is told afterwards. */
export const isToldVerb = (word: string): boolean => TOLD_LAST.has(word);
const MAY_END = new Set([...LAST, ...TOLD_LAST]);
const PARTICLE = /^(?:off|out|over|up|open|back|away|free|down|forward|aside)$/;
const AWAY = /^(?:out|open)$/;
const IS = /^(?:is|was|are|were)$/;

/** A verb whose small word stands at the end of the piece: "took the hood off", "the hood came off". */
function around(piece: Piece): LineVerb | undefined {
  const { rest } = piece;
  const last = rest.at(-1);
  if (rest.length < 3 || !last || last.found || !PARTICLE.test(last.text)) return undefined;
  for (const at of [0, rest.length - 2]) {
    const hit = PHRASES.find(
      ({ verb, words: [first, small, more] }) =>
        !more &&
        first === rest[at]?.text &&
        small === last.text &&
        !rest[at]?.found &&
        !verb.unless?.test(rest[at + 1]?.text ?? ''),
    );
    if (!hit) continue;
    piece.take(rest.length - 1, 1, 'verb');
    piece.take(at, 1, 'verb');
    return hit.verb;
  }
  return undefined;
}

/** What a lead runs in: out of it, it hangs on still. */
export const GUIDE = /^(?:guides?|clips?|channels?|ducts?|looms?|trunking)$/;

/** What is cut and not lifted: "2 cable ties cut at the fan lead". */
const TIED = /^(?:ties?|straps?|strings?|seals?|silicone|sealant|glue|adhesive)$/;
const CUT = verbOf('cut');
const LIFT = verbOf('lift');
const UNPLUG = verbOf('unplug');
/** Where what is lifted may be a plug. */
const PULL = VERBS.find((v) => v.words.includes('pull'));
/** What has contacts: `off` and `out` are said of it as of what is known. */
const LEAD = /^(?:lead|plug|cable|flex|ribbon|connector|harness)s?$/;
const isLead = (w: Word | undefined): boolean =>
  w !== undefined &&
  LEAD.test(w.found ? (w.found.named.name.toLowerCase().split(/\s+/).at(-1) ?? '') : w.text);

/** What a signal goes by: `line out` is a socket, and nothing that is out. */
const SIGNAL =
  /^(?:line|audio|video|phones?|headphones?|signal|mains|power|speakers?|aux|digital|main|monitor)$/;

/** Whether a small word says that what stands before it is away: "hood away", "J7 out", "lid open", "fan lead off". */
function isAway(word: string, own: Word | undefined): boolean {
  if (word === 'away') return true;
  if (word === 'out' && own && !own.found)
    return /^(?:word|number)$/.test(own.type) && !SIGNAL.test(own.text);
  if (word === 'open' && own && !own.found) return own.type === 'word' && !saysItIsTold(own);
  return (AWAY.test(word) && own?.found !== undefined) || (/^(?:off|out)$/.test(word) && isLead(own));
}

/** What ends a piece, and what says where a thing lies now. */
const AFTER = /^(?:>|at|and|then|into|onto|in|on|to|first|easily|carefully)$/;
/** Behind a verb that is told stands what it was done from, with or by. */
const TOLD_OF =
  /^(?:>|and|then|off|out|up|down|away|free|from|of|with|at|by|first|easily|carefully|straight)$/;

/** The words of a piece before its first comma. */
export function uptoComma(rest: readonly Word[]): readonly Word[] {
  const comma = rest.findIndex((w) => w.type === 'comma' && !w.found);
  return comma < 0 ? rest : rest.slice(0, comma);
}

/**
 * Whether a piece says last that something is off: "roof plate off > bench".
 *
 * @param rest tokens from where it would begin
 * @returns true where `off`, `apart` or `away` ends it before any comma, or `out` or `open` behind what is known or a lead
 * @example saysItIsOff(tokens) // true
 */
export const saysItIsOff = (rest: readonly Word[]): boolean =>
  uptoComma(rest).some(
    (w, k, own) =>
      k > 0 &&
      !w.found &&
      (/^(?:off|apart)$/.test(w.text) || isAway(w.text, own[k - 1])) &&
      (own[k + 1] === undefined || AFTER.test(own[k + 1]?.text ?? '')),
  );

/**
 * Whether a piece begins that says last what was done: "roof plate off > bench" of "6 M4, roof plate off > bench",
 * "W2 pulled out" of "tape lifted, W2 pulled out".
 *
 * @param rest tokens from where it would begin
 * @returns true where it says that something is off, or ends before any comma with a verb that is told
 * @example endsIt(tokens) // true
 */
export const endsIt = (rest: readonly Word[]): boolean =>
  saysItIsOff(rest) ||
  uptoComma(rest).some(
    (w, k, own) =>
      k > 0 &&
      !w.found &&
      TOLD_LAST.has(w.text) &&
      !IS_SAID.test(own[k - 1]?.text ?? '') &&
      (own[k + 1] === undefined || TOLD_OF.test(own[k + 1]?.text ?? '')),
  );

/** A verb that stands last: "J7 unplug", "J7 was unplugged", "hood away", "J7 out". */
function ending(piece: Piece): LineVerb | undefined {
  // Behind a comma stand only figures of it now: "fan lead off, 12 pin".
  const comma = piece.at((w) => w.type === 'comma');
  const at = (comma < 0 ? piece.rest.length : comma) - 1;
  const last = piece.rest[at]?.text ?? '';
  const said = at > 1 && IS.test(piece.rest[at - 1]?.text ?? '') ? 1 : 0;
  let before = at - 1 - said;
  // "lamp lead 3 pin out"
  const figures = /^(?:contacts|wires)$/;
  const pins = figures.test(piece.rest[before]?.type ?? '');
  while (figures.test(piece.rest[before]?.type ?? '')) before--;
  const own = piece.rest[before];
  if (last === 'apart' && at > 0 && own && !piece.rest[at]?.found) {
    piece.take(at - said, 1 + said, 'verb');
    return UNPLUG;
  }
  if (at > 0 && (isAway(last, own) || (said > 0 && last === 'off'))) {
    piece.take(at - said, 1 + said, 'verb');
    return pins || isLead(own) ? PULL : LIFT;
  }
  const tie = piece.at(
    (w, i) => i > 0 && /^(?:cut|snipped)$/.test(w.text) && TIED.test(piece.rest[i - 1]?.text ?? ''),
  );
  if (tie > 0) {
    piece.take(tie, 1, 'verb');
    return CUT;
  }
  // "rubber mat peeled off the deck": what it was done from follows.
  const told = piece.at(
    (w, i, all) =>
      i > 0 &&
      ((TOLD_LAST.has(w.text) &&
        /^(?:off|out|up|down|away|free|from|of|with|at|by|along|under)$/.test(all[i + 1]?.text ?? '')) ||
        (/^(?:came|comes|fell)$/.test(w.text) && verbAt(all, i)?.used === 2)),
  );
  if (told > 0) {
    const verb = verbAt(piece.rest, told)?.verb;
    // "board lifted out and" is lifted; "mat peeled off the deck" is peeled off something.
    const small = piece.rest[told + 1]?.text ?? '';
    const ends =
      /^(?:came|comes|fell)$/.test(piece.rest[told]?.text ?? '') ||
      /^(?:up|down|away|free)$/.test(small) ||
      (/^(?:off|out)$/.test(small) &&
        /^(?:and|then|with|to|of|on|at|by)?$/.test(piece.rest[told + 2]?.text ?? ''));
    const joined = /^(?:and|then)$/.test(piece.rest[told + 2]?.text ?? '');
    piece.take(told, ends ? (joined ? 3 : 2) : 1, 'verb');
    return verb;
  }
  // "W3 out of the socket"
  const of = piece.at(
    (w, i, all) =>
      i > 0 &&
      w.text === 'out' &&
      all[i + 1]?.text === 'of' &&
      (all[i - 1]?.found !== undefined || (isLead(all[i - 1]) && i > 1)) &&
      !GUIDE.test(all.at(-1)?.text ?? ''),
  );
  if (of > 0) {
    const lead = isLead(piece.rest[of - 1]);
    piece.take(of, 1, 'verb');
    return lead ? PULL : LIFT;
  }
  // "lead off at the power board"
  const off = piece.at(
    (w, i, all) => i > 0 && w.text === 'off' && /^(?:at|by|with)$/.test(all[i + 1]?.text ?? ''),
  );
  if (off > 0) piece.take(off, 1, 'verb');
  // "plate hinges down": how it opens.
  const opens = /^(?:hinges|swings|folds|tilts|slides|lifts|comes|pulls|pops)$/.test(
    piece.rest[at - 1]?.text ?? '',
  );
  if (at > 1 && opens && /^(?:down|up|out|off|open|forward|back|aside)$/.test(last)) {
    piece.take(at - 1, 2, 'verb');
    return LIFT;
  }
  if (at < 1 || !MAY_END.has(last)) return undefined;
  const verb = verbAt(piece.rest, at)?.verb;
  if (!verb) return undefined;
  piece.take(at - said, 1 + said, 'verb');
  return verb;
}

/**
 * The verb of a piece: first in it, or last ("J7 unplug"), or around what it is said of ("took the hood off").
 *
 * @param piece the verb is taken out of it
 * @returns the verb, or undefined where none is said
 * @example readVerb(piece)?.does // 'unplug'
 */
export function readVerb(piece: Piece): LineVerb | undefined {
  const apart = around(piece);
  if (apart) return apart;
  const first = verbAt(piece.rest, 0);
  const last = piece.rest.at(-1);
  // "tape over the screws peeled": what was done is said last.
  const told = first && last && first.used < piece.rest.length && !last.found && TOLD_LAST.has(last.text);
  // "lift pin pulled out": what is done stands there as it is told.
  const later = piece.rest.findIndex((w, i) => i > 1 && !w.found && TOLD_LAST.has(w.text));
  const names =
    first && later > first.used && !TOLD_LAST.has(piece.rest[0]?.text ?? '') && endsIt(piece.rest);
  const isThing = first && ((THINGS_TOO.test(first.verb.does) && (endsIt(piece.rest) || told)) || names);
  // "tape off at the ribbon" is peeled; "tape off the terminals" is not.
  const tape = first?.verb.does === 'tape' && (told || piece.rest[first.used]?.text === 'off');
  if (!first || isThing || tape) return ending(piece);
  piece.take(0, first.used, 'verb');
  return first.verb;
}
