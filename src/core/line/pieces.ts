import type { Word } from './piece';
import {
  saysAFigure,
  saysDamage,
  saysHowItIs,
  saysHowOften,
  saysInPassing,
  saysItIsTold,
  saysItWasLaid,
  saysWhatWasOnIt,
} from './states';
import { endsIt, isToldVerb, saysItIsOff, uptoComma, verbAt } from './verb-at';

/** The words of one move of a line. */
export interface Words {
  words: Word[];
  /** joined to the one before by "and" */
  joined: boolean;
  /** told of the one before: behind a colon */
  told: boolean;
  /** behind "then" */
  then?: boolean;
}

/** Whether a piece is about to be one of screws: how many stands first, or what is done to them. */
const ofScrews = (here: readonly Word[]): boolean =>
  /^(?:count|number|metric)$/.test(here[0]?.type ?? '') || verbAt(here, 0)?.verb.takes === 'fastener';

const bolted = /^(?:nut|bolt|screw|washer)s?$/;
/** Whether something small is spoken of that holds, or belongs to what holds: "e-clip and washer". */
const isSmall = (w: Word | undefined): boolean =>
  w !== undefined &&
  !w.found &&
  (bolted.test(w.text) || /^(?:e-?clip|circlip|clip|spring|pin|spacer|bush|bushing|collar)s?$/.test(w.text));

/** Screws from one thing, and after the comma another with a place of its own: "6 M4 hood, hood > bench". */
function putAside(here: readonly Word[], next: readonly Word[]): boolean {
  const at = next[0]?.text === 'the' ? 1 : 0;
  return here.some((w) => w.found) && next[at]?.found !== undefined && next[at + 1]?.type === 'arrow';
}

/** What goes on with the piece before a comma: what it was done with, a note, where it lies now. */
const GOES_ON =
  /^(?:>|note:?|face|upside|with|using|aside|still|in|into|on|onto|to|from|at|against|beside|behind|under|but|after|while|because|though|although|since|\()$/;
/** What a word that says how a thing is may be followed by: else it says so of the next thing, "a broken clip". */
const OF_IT = /^(?:,|;|>|in|with|at|on|and|to|by|from|then|when)$/;

/** Whether a number says how many of something: "ties 1, 2 and 3" does not, nor "1 is longer". */
const counts = (next: Word | undefined): boolean =>
  next !== undefined &&
  !isToldVerb(next.text) &&
  (next.found !== undefined ||
    !(
      saysHowOften(next) ||
      /^(?:,|;|>|and|is|are|was|were|has|have|still|pcs?|pieces|hidden|under|behind|missing|turns?)$/.test(
        next.text,
      )
    ));

/** Which of two: "speakers out, left and right". */
const SIDE = /^(?:left|right|top|bottom|front|rear|back|upper|lower|inner|outer|and|both)$/;

/** "spring off, long one left" */
const saysWhichOne = ([w, next]: readonly Word[]): boolean =>
  /^(?:short|long)(?:er|est)?$/.test(w?.text ?? '') && /^ones?$/.test(next?.text ?? '');

/** A number that goes on with what came before it: "M4x10, 6 off", "wires 1, 2, 3 pulled". */
const isLot = ([many, off, ...more]: readonly Word[]): boolean =>
  many?.type === 'number' &&
  off !== undefined &&
  ((off.text === 'off' && more.length === 0) || (!off.found && isToldVerb(off.text)));

/** Whether words up to the next comma say a side and nothing else. */
const saysASide = (words: readonly Word[]): boolean =>
  uptoComma(words).every((w) => !w.found && SIDE.test(w.text));

const goesOn = (words: readonly Word[], [w, next] = words): boolean =>
  w !== undefined &&
  !w.found &&
  (GOES_ON.test(w.text) ||
    saysItIsTold(w) ||
    saysAFigure(words) ||
    saysASide(words) ||
    saysWhichOne(words) ||
    saysInPassing(uptoComma(words).at(-1)) ||
    (w.type === 'millimetres' && (next === undefined || next.type === 'comma')) ||
    uptoComma(words).some((x) => !x.found && x.text === 'still') ||
    (saysWhatWasOnIt(w) && (next === undefined || OF_IT.test(next.text))) ||
    /^(?:contacts|wires)$/.test(w.type) ||
    (w.type === 'number' && !counts(next)) ||
    saysItWasLaid(w) ||
    saysInPassing(w) ||
    (saysHowItIs(w) && (next === undefined || OF_IT.test(next.text))));

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
  words.forEach((w, i) => {
    if (w.type === 'open' || w.type === 'shut') inBrackets = w.type === 'open';
    if (inBrackets) {
      out.at(-1)?.words.push(w);
      return;
    }
    const next = words.slice(i + 1);
    const begins =
      next.length > 0 &&
      !isLot(next) &&
      (verbAt(next, 0) !== null ||
        (next[0]?.type === 'count' && next.length > 1) ||
        next[0]?.type === 'metric' ||
        (next[0]?.type === 'number' && counts(next[1]) && !saysAFigure(next)) ||
        endsIt(next));
    const here = out.at(-1)?.words ?? [];
    const another = ofScrews(here)
      ? putAside(here, next)
      : next.length > 0 && saysItIsOff(here) && !goesOn(next);
    const splits =
      !w.found &&
      ((w.type === 'comma' &&
        (begins ||
          another ||
          (text[w.from] === ':' && (here.length === 1 ? here[0]?.found !== undefined : endsIt(here))))) ||
        (/^(?:and|except)$/.test(w.text) && begins) ||
        (w.text === 'then' && next.length > 0) ||
        // "ground screw, star washer"
        (w.type === 'comma' &&
          here.some((x) => !x.found && bolted.test(x.text)) &&
          isSmall(next[1]) &&
          !next[2] &&
          !next[0]?.found) ||
        (/^(?:and|\+|&)$/.test(w.text) && isSmall(words[i - 1]) && isSmall(next[0])) ||
        ((w.type === 'comma' || w.text === 'and') &&
          /^an?$/.test(next[0]?.text ?? '') &&
          bolted.test(next[1]?.text ?? '')));
    if (splits)
      out.push({ words: [], joined: w.text === 'and', told: text[w.from] === ':', then: w.text === 'then' });
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
