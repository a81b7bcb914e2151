import type { Word } from './piece';
import { verbAt } from './verb-at';

/** A designator: letters, then a number. Common practice, no source. */
const MARK = /^[a-z]{1,4}\d{1,4}[a-z]?$/;
/** What may stand before each of several names. */
const LEADING = /^(?:the|both|all|plugs?|leads?|cables?|connectors?|ribbons?)$/;
const JOINING = /^(?:and|&|\+)$/;

/** One of several: a name that is known, or a designator. */
const isOne = (w: Word | undefined): boolean =>
  w !== undefined && (w.found !== undefined || (w.type === 'word' && MARK.test(w.text)));
const leads = (w: Word | undefined): boolean => w !== undefined && !w.found && LEADING.test(w.text);
const joins = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && (w.type === 'comma' || JOINING.test(w.text));

/**
 * Several things that one verb is said of: `unplug J7, J8 and J9` is three moves. What follows the last is
 * said of that one; only names that are known and designators make a list, all else may be one name.
 *
 * @param words one piece of a line
 * @returns the piece for each thing, each with its verb; the piece as it was where it is no list
 * @example listed(words).length // 3
 */
export function listed(words: Word[]): Word[][] {
  const verb = verbAt(words, 0);
  if (!verb?.verb.takes || verb.verb.takes === 'fastener') return [words];
  let at = verb.used;
  while (leads(words[at])) at++;
  const said = words.slice(0, verb.used);
  const each: Word[][] = [];
  while (isOne(words[at])) {
    let next = at + 1;
    while (joins(words[next])) next++;
    const joined = next > at + 1;
    while (leads(words[next])) next++;
    if (!joined || !isOne(words[next])) break;
    each.push([...said, words[at] as Word]);
    at = next;
  }
  return each.length ? [...each, [...said, ...words.slice(at)]] : [words];
}
