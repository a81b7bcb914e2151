import { endsIt, saysItIsOff } from './away';
import { isColour } from './colours';
import { counts, goesOn } from './goes-on';
import { withoutHow } from './on-the-way';
import type { Word } from './piece';
import { MARKED } from './plug-words';
import { saysAFigure, saysDamage } from './states';
import { isToldVerb } from './told-verb';
import { verbAt } from './verb-at';

/** The words of one move of a line. */
export interface Words {
  words: Word[];
  /** joined to the one before by "and" */
  joined: boolean;
  /** told of the one before: behind a colon or a dash */
  told: boolean;
  /** behind "then" */
  then?: boolean;
}

/** A word that may part two moves, and what stands on either side of it. */
interface Joint {
  w: Word;
  /** the word right before it */
  last: Word | undefined;
  /** words of the piece it would end */
  here: readonly Word[];
  /** words that would begin the next */
  next: readonly Word[];
  colon: boolean;
}

/** Whether a piece is about to be one of screws: how many stands first, or what is done to them. */
const ofScrews = (here: readonly Word[]): boolean =>
  /^(?:count|number|metric)$/.test(here[0]?.type ?? '') || verbAt(here, 0)?.verb.takes === 'fastener';

const BOLTED = /^(?:nut|bolt|screw|washer)s?$/;
const HELD = /^(?:e-?clips?|circlips?|clips?|springs?|pins?|spacers?|bush(?:es)?|bushings?|collars?)$/;
/** Where they sit: "mica washers under the transistors". */
const AT = /^(?:under|below|above|on|at|from|between|behind|top|bottom|both|each)$/;
const isBolt = (w: Word | undefined): boolean => w !== undefined && !w.found && BOLTED.test(w.text);
/** Whether something small is spoken of that holds, or belongs to what holds: "e-clip and washer". */
const isSmall = (w: Word | undefined): boolean =>
  isBolt(w) || (w !== undefined && !w.found && HELD.test(w.text));

/** "star washer", and nothing more but where. */
const isSortOfSmall = ([sort, what, where]: readonly Word[]): boolean =>
  sort?.type === 'word' &&
  !sort.found &&
  isSmall(what) &&
  (where === undefined || where.type === 'comma' || where.type === 'arrow' || AT.test(where.text));

/** Whether a plain word goes on: "screw heads" are no screws. */
const saysMore = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && w.type === 'word' && !/^(?:and|with|on|under|at|from|of|in)$/.test(w.text);

/** Screws from one thing, and after the comma another with a place of its own: "6 M4 hood, hood > bench". */
function putAside(here: readonly Word[], next: readonly Word[]): boolean {
  const at = next[0]?.text === 'the' ? 1 : 0;
  return here.some((w) => w.found) && next[at]?.found !== undefined && next[at + 1]?.type === 'arrow';
}

/** A number that goes on with what came before it: "M4x10, 6 off", "wires 1, 2, 3 pulled". */
const isLot = ([many, off, ...more]: readonly Word[]): boolean =>
  many?.type === 'number' &&
  off !== undefined &&
  ((off.text === 'off' && more.length === 0) || (!off.found && isToldVerb(off.text)));

/** "CN1 lamp, CN2 fan, all out" */
const isAll = ([all, out, ...more]: readonly Word[]): boolean =>
  all?.text === 'all' &&
  more.length === 0 &&
  (/^(?:off|out)$/.test(out?.text ?? '') || isToldVerb(out?.text ?? ''));

/** "3 of them recessed": of those that were told. */
const isOfThem = ([, of, which]: readonly Word[]): boolean =>
  of?.text === 'of' && /^(?:them|those|these|which)$/.test(which?.text ?? '');

/** Whether a move begins: by what is done, by how many, or by a verb or `off` that ends it. */
const begins = (next: readonly Word[]): boolean =>
  next.length > 0 &&
  !isLot(next) &&
  !isAll(next) &&
  // "measured F1, open" says what was found.
  !(next[0]?.text === 'open' && !next[0].found && (next[1] === undefined || next[1].type === 'comma')) &&
  (verbAt(next, 0) !== null ||
    (next[0]?.type === 'count' && next.length > 1) ||
    next[0]?.type === 'metric' ||
    (next[0]?.type === 'number' && counts(next[1]) && !saysAFigure(next) && !isOfThem(next)) ||
    endsIt(next));

/** Which of two. */
const isSide = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && /^(?:l|r|left|right|upper|lower)$/.test(w.text);

const isComma = ({ w }: Joint): boolean => w.type === 'comma';

/** Where a move ends and another begins; one that fits is enough. */
const PARTS: ((joint: Joint) => boolean)[] = [
  (j) => isComma(j) && begins(j.next),
  ({ w, next }) => /^(?:and|&|except)$/.test(w.text) && begins(next),
  ({ w, next }) => w.text === '+' && /^(?:number|count)$/.test(next[0]?.type ?? '') && begins(next),
  ({ w, next }) => w.text === 'then' && next.length > 0,
  // "hood off, lamp > bench"; of screws each comma says more of them.
  (j) => isComma(j) && !ofScrews(j.here) && j.next.length > 0 && saysItIsOff(j.here) && !goesOn(j.next),
  (j) => isComma(j) && ofScrews(j.here) && putAside(j.here, j.next),
  // "24 V supply: earth lead", "controller unplugged: left, right"
  ({ colon, here }) => colon && (here.length === 1 ? here[0]?.found !== undefined : endsIt(here)),
  // "ground screw, star washer"
  (j) => isComma(j) && j.here.some(isBolt) && isSortOfSmall(j.next),
  ({ w, here, next }) => w.text === 'and' && here.some(isBolt) && isSortOfSmall(next),
  // "module unclipped, plug CN12"
  (j) =>
    isComma(j) &&
    /^(?:plug|connector)$/.test(j.next[0]?.text ?? '') &&
    (j.next[1]?.found !== undefined || MARKED.test(j.next[1]?.text ?? '')),
  // "P1 P2 unplugged, P5 left in"
  (j) =>
    isComma(j) &&
    (j.next[0]?.found !== undefined || MARKED.test(j.next[0]?.text ?? '')) &&
    /^(?:left|stays?|stayed|not)$/.test(j.next[1]?.text ?? '') &&
    !j.next[1]?.found,
  // "ground lead off, nut M4"
  (j) => isComma(j) && isBolt(j.next[0]) && !saysMore(j.next[1]),
  // "e-clip and washer", "nut and a bolt"
  ({ w, last, next }) =>
    /^(?:and|\+|&)$/.test(w.text) && isSmall(last) && (isSmall(next[0]) || isSortOfSmall(next)),
  (j) =>
    (isComma(j) || j.w.text === 'and') &&
    /^an?$/.test(j.next[0]?.text ?? '') &&
    BOLTED.test(j.next[1]?.text ?? ''),
];

/**
 * Where a comma or "and" begins another move. In brackets nothing does.
 *
 * @param words of a line
 * @param text the line
 * @returns the words of each move, in their order
 * @example pieces(words, 'lift hood, unplug J7').length // 2
 */
export function pieces(words: readonly Word[], text: string): Words[] {
  const out: Words[] = [{ words: [], joined: false, told: false }];
  // What begins as a note is one to its end.
  const said = !words[0]?.found && /^notes?:?$/.test(words[0]?.text ?? '') && words.length > 1;
  const isNote = said || saysDamage(words);
  if (isNote) return [{ words: [...words], joined: false, told: false }];
  let inBrackets = false;
  const all = withoutHow(words);
  all.forEach((w, i) => {
    if (w.type === 'open' || w.type === 'shut') inBrackets = w.type === 'open';
    if (inBrackets) {
      out.at(-1)?.words.push(w);
      return;
    }
    const next = all.slice(i + 1);
    const joint = {
      w,
      last: all[i - 1],
      here: out.at(-1)?.words ?? [],
      next,
      // "back off - 14 screws" is as good as a colon.
      colon: /[:–—-]/.test(text[w.from] ?? '') && w.type === 'comma',
    };
    // "phase wires yellow, green, blue off"; "left and right"
    const alike = [isColour, isSide].some((is) => is(joint.last) && is(next[0]));
    const between = w.text === 'and' && joint.here.some((b) => b.text === 'between' && !b.found);
    if (!w.found && !alike && !between && PARTS.some((part) => part(joint)))
      out.push({ words: [], joined: w.text === 'and', told: joint.colon, then: w.text === 'then' });
    else out.at(-1)?.words.push(w);
    // "4 short 2 long"
    const sorts = /^(?:short|long)$/;
    if (!w.found && sorts.test(w.text) && next[0]?.type === 'number' && sorts.test(next[1]?.text ?? ''))
      out.push({ words: [], joined: false, told: false });
  });
  // A comma, or the stop of a sentence, at the end of a piece says nothing.
  for (const { words: p } of out) while (p.at(-1)?.type === 'comma' && !p.at(-1)?.found) p.pop();
  return out.filter((p) => p.words.length > 0);
}
