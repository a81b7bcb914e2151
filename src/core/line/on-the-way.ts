import type { Word } from './piece';
import { isToldVerb } from './told-verb';

/** "pulled straight up", "out together with its frame" */
const saysHow = (w: Word, next: Word | undefined): boolean =>
  !w.found &&
  ((w.text === 'straight' && /^(?:up|out|off|down)$/.test(next?.text ?? '')) ||
    (w.text === 'together' && next?.text === 'with'));

/** What is done on the way to taking something off: "plug squeezed and pulled", "11 plugs labelled and off". */
const ON_THE_WAY = /^(?:pressed|squeezed|pinched|depressed|pushed|labell?ed|marked|numbered|photographed)$/;
const isOnTheWay = (words: readonly Word[], i: number): boolean =>
  i > 0 &&
  !words[i]?.found &&
  ON_THE_WAY.test(words[i]?.text ?? '') &&
  words[i + 1]?.text === 'and' &&
  (/^(?:off|out)$/.test(words[i + 2]?.text ?? '') || isToldVerb(words[i + 2]?.text ?? ''));

/**
 * The words of a line without those that only say how something was taken off.
 *
 * @param words of a line
 * @returns the words that are left, in their order
 * @example withoutHow(tokensOf('plug squeezed and pulled')).length // 2
 */
export const withoutHow = (words: readonly Word[]): Word[] =>
  words.filter(
    (w, i) =>
      !isOnTheWay(words, i) && !(isOnTheWay(words, i - 1) && w.text === 'and') && !saysHow(w, words[i + 1]),
  );
