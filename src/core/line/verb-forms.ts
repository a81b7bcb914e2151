/** Verbs whose past is not made by rule. */
const IRREGULAR: Record<string, string[]> = {
  undo: ['undid', 'undone'],
  take: ['took', 'taken'],
  slide: ['slid'],
  cut: ['cut'],
  blow: ['blew', 'blown'],
  come: ['came', 'comes'],
  swing: ['swung'],
  draw: ['drew', 'drawn'],
  fall: ['fell', 'fallen'],
  bleed: ['bled'],
};
const DOUBLED = /(?:plug|clip|snip|flip|slip|pop|tip)$/;

function pastOf(word: string): string[] {
  const own = IRREGULAR[word];
  if (own) return own;
  if (word.endsWith('e')) return [`${word}d`];
  if (/[^aeiou]y$/.test(word)) return [`${word.slice(0, -1)}ied`];
  return [`${word}${DOUBLED.test(word) ? word.at(-1) : ''}ed`];
}

/**
 * What is written for a verb by somebody who has done it already: `unplugged`, `took off`.
 *
 * Method: the first word of it in its past, by the rules of English spelling. Common practice, no source.
 *
 * @param phrase a verb, with the small word that belongs to it
 * @returns the phrase in its past forms; the phrase itself is not among them unless it is its own past
 * @example toldOf('pull out') // ['pulled out']
 */
export function toldOf(phrase: string): string[] {
  const [first = '', ...rest] = phrase.split(' ');
  return pastOf(first).map((past) => [past, ...rest].join(' '));
}
