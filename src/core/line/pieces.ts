import type { Word } from './piece';
import { saysHowItIs, saysHowOften, saysInPassing, saysItIsTold, saysItWasLaid } from './states';
import { endsIt, verbAt } from './verb-at';

/** The words of one move of a line. */
export interface Words {
  words: Word[];
  /** joined to the one before by "and" */
  joined: boolean;
  /** told of the one before: behind a colon */
  told: boolean;
}

/** Whether a piece is about to be one of screws: how many stands first, or what is done to them. */
const ofScrews = (here: readonly Word[]): boolean =>
  /^(?:count|number|metric)$/.test(here[0]?.type ?? '') || verbAt(here, 0)?.verb.takes === 'fastener';

/** Screws from one thing, and after the comma another with a place of its own: "6 M4 hood, hood > bench". */
function putAside(here: readonly Word[], next: readonly Word[]): boolean {
  const at = next[0]?.text === 'the' ? 1 : 0;
  return here.some((w) => w.found) && next[at]?.found !== undefined && next[at + 1]?.type === 'arrow';
}

/** What goes on with the piece before a comma: what it was done with, a note, where it lies now. */
const GOES_ON =
  /^(?:>|note:?|face|upside|with|using|aside|still|in|into|on|onto|to|from|at|against|beside|behind|under|\()$/;
/** What a word that says how a thing is may be followed by: else it says so of the next thing, "a broken clip". */
const OF_IT = /^(?:,|;|>|in|with|at|on|and|to|by|from|then|when)$/;

/** Whether a number says how many of something: "ties 1, 2 and 3" does not, nor "1 is longer". */
const counts = (next: Word | undefined): boolean =>
  next !== undefined &&
  (next.found !== undefined ||
    !(saysHowOften(next) || /^(?:,|;|>|and|is|are|was|were|has|have|still|pcs?|pieces)$/.test(next.text)));

/** What a thing is good for: "fuse out, 2a slow". */
const FIGURE = /^\d+(?:\.\d+)?(?:m?a|m?v|k?w|wh|m?ah|ohms?|[unp]f|k|hz|c)$/;

const goesOn = ([w, next]: readonly Word[]): boolean =>
  w !== undefined &&
  !w.found &&
  (GOES_ON.test(w.text) ||
    saysItIsTold(w) ||
    FIGURE.test(w.text) ||
    /^(?:contacts|wires)$/.test(w.type) ||
    (w.type === 'number' && next !== undefined && !counts(next)) ||
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
  const isNote = !words[0]?.found && /^notes?:?$/.test(words[0]?.text ?? '') && words.length > 1;
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
      (verbAt(next, 0) !== null ||
        (next[0]?.type === 'count' && next.length > 1) ||
        next[0]?.type === 'metric' ||
        (next[0]?.type === 'number' && counts(next[1])) ||
        endsIt(next));
    const here = out.at(-1)?.words ?? [];
    const another = ofScrews(here) ? putAside(here, next) : next.length > 0 && endsIt(here) && !goesOn(next);
    const bolted = /^(?:nut|bolt|screw|washer)s?$/;
    const splits =
      !w.found &&
      ((w.type === 'comma' && (begins || another)) ||
        (/^(?:and|except)$/.test(w.text) && begins) ||
        (w.text === 'then' && next.length > 0) ||
        (w.text === 'and' && bolted.test(words[i - 1]?.text ?? '') && bolted.test(next[0]?.text ?? '')) ||
        ((w.type === 'comma' || w.text === 'and') &&
          /^an?$/.test(next[0]?.text ?? '') &&
          bolted.test(next[1]?.text ?? '')));
    if (splits) out.push({ words: [], joined: w.text === 'and', told: text[w.from] === ':' });
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
