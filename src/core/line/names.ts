import { distance } from 'fastest-levenshtein';
import { COVER_WORD } from './covers';
import { plainOf } from './tokens';

export const NAMED_KINDS = ['cover', 'element', 'plug', 'header', 'thing'] as const;
export type NamedKind = (typeof NAMED_KINDS)[number];

/** Something that has a name: on the map, or in the tray. */
export interface Named {
  id: string;
  name: string;
  kind: NamedKind;
  /** what it was called in this job as well */
  aliases?: string[];
}

/** A name found in a line. */
export interface NameFound {
  named: Named;
  from: number;
  to: number;
}

const isInWord = (c: string | undefined) => c !== undefined && /[\p{L}\p{N}]/u.test(c);
/** A number or a word goes on: the motor M1 is not meant in M1.2, nor the boards in the lead PS-MB. */
const goesOn = (rest: string) => /^(?:\.\d|[-/][\p{L}\p{N}])/u.test(rest);
const wentBefore = (before: string) => /[\p{L}\p{N}][-/]$/u.test(before);

/** What it is called; the id of a cover is no name that anybody sees. */
const callsOf = (n: Named) =>
  [n.name, ...(n.kind === 'cover' ? [] : [n.id]), ...(n.aliases ?? [])]
    .map((c) => plainOf(c).trim())
    .flatMap((c) => [
      ...new Set([c, c.replace(FIGURE, '$1$2'), c.replace(FIGURE, '$1 $2'), c.replace(TWO_WORDS, '$1$2')]),
    ]);
/** A figure and its unit, with a blank between them or without: the 24 V supply is the 24V supply. */
const FIGURE = /(?<![\p{L}\p{N}])(\d+(?:\.\d+)?)\s?([vaw]|ah|mah|wh|hz)(?![\p{L}\p{N}])/gu;

/** The main board is the mainboard. */
const TWO_WORDS = /^(\p{L}{3,}) (\p{L}{3,})$/u;

/** What goes by exactly these words. */
export const called = (said: string, names: readonly Named[]): Named | undefined =>
  names.find((n) => callsOf(n).includes(plainOf(said).trim()));

/** The name it goes by, where it was called otherwise: a cover and a thing by name, the rest by mark. */
export function properName({ named, from, to }: NameFound, text: string): string {
  const said = text.slice(from, to);
  const own = [named.name, named.id].some((c) => plainOf(c).trim() === plainOf(said).trim());
  if (own) return said;
  return named.kind === 'cover' || named.kind === 'thing' ? named.name : named.id;
}

/**
 * Names that stand in a line as whole words, the longest first; none overlaps another.
 *
 * @param text one line
 * @param names what has a name
 * @returns names with the place they stand at, in the order of the line
 * @example namesIn('unplug main plug', [{ id: 'W1', name: 'main plug', kind: 'plug' }])[0].named.id // 'W1'
 */
export function namesIn(text: string, names: readonly Named[]): NameFound[] {
  const plain = plainOf(text);
  const calls = names
    .flatMap((named) => callsOf(named).map((call) => ({ named, call })))
    .filter(({ call }) => call !== '')
    .sort((a, b) => b.call.length - a.call.length);
  const found: NameFound[] = [];
  for (const { named, call } of calls) {
    for (let at = plain.indexOf(call); at >= 0; at = plain.indexOf(call, at + 1)) {
      const to = at + call.length;
      const begins = !isInWord(plain[at - 1]) && !wentBefore(plain.slice(0, at));
      const whole = begins && !isInWord(plain[to]) && !goesOn(plain.slice(to));
      if (whole && !found.some((f) => at < f.to && f.from < to)) found.push({ named, from: at, to });
    }
  }
  return found.sort((a, b) => a.from - b.from);
}

/** Letters that may be wrong in a name of this length. Common practice, no source. */
const slips = (length: number) => Math.floor(length / 4);
/** So many are offered. */
const OFFERED = 3;

/** The side of a cover goes by two words. Common practice, no source. */
const SIDES: Record<string, string> = { rear: 'back', bottom: 'base', underside: 'base', upper: 'top' };
export const ofSide = (word: string) => SIDES[word] ?? word;

/** Whether a cover is meant by another word for what it is: "rear cover" of the back shell. */
function isCoverBy(said: string[], call: string[]): boolean {
  const [is, ...sides] = said.toReversed();
  const own = call.toReversed();
  if (!COVER_WORD.test(is ?? '') || !COVER_WORD.test(own[0] ?? '') || sides.length === 0) return false;
  return sides.every((s) => own.slice(1).map(ofSide).includes(ofSide(s)));
}

/**
 * Names that are nearly what was typed: a few letters wrong, words that all stand in the name, or of a cover another
 * word for what it is.
 *
 * @param said as typed
 * @param names what has a name
 * @returns the nearest first, at most three
 * @example nearest('rear covr', [{ id: 'rear', name: 'rear cover', kind: 'cover' }])[0].id // 'rear'
 */
export function nearest(said: string, names: readonly Named[]): Named[] {
  const plain = plainOf(said).trim();
  const words = plain.split(/\s+/);
  // A number more or another letter at its end is another thing: "fan 2" is not nearly "fan 1".
  const mark = (t: string) => /(?:^|\s)([\p{L}]?\p{N}+|\p{L})$/u.exec(t)?.[1];
  return names
    .filter((named) => !callsOf(named).includes(plain))
    .flatMap((named) =>
      callsOf(named).map((call) => {
        const inside = words.every((w) => w.length > 2 && call.split(/\s+/).includes(w));
        const d = distance(plain, call);
        // A slip rarely hits the first letter: a door lead is no motor lead.
        const begins = d === 1 || plain[0] === call[0];
        const near = begins && mark(plain) === mark(call) && d <= slips(Math.max(plain.length, call.length));
        // "cell" is rather the pouch cell than the cell flex: what a thing is stands last in its name.
        const is = call.split(/\s+/).at(-1) === words.at(-1) ? 0 : 1;
        const cover = named.kind === 'cover' && isCoverBy(words, call.split(/\s+/));
        return { named, is, d: inside || near || cover ? d : Number.POSITIVE_INFINITY };
      }),
    )
    .filter(({ d }) => d > 0 && Number.isFinite(d))
    .sort((a, b) => a.is - b.is || a.d - b.d)
    .map(({ named }) => named)
    .filter((n, i, all) => all.indexOf(n) === i)
    .slice(0, OFFERED);
}
