import type { Word } from './piece';
import { isPlugMark } from './plug-words';
import { saysHowItIs, saysItIs } from './states';
import { isToldVerb } from './told-verb';
import { verbAt } from './verb-at';

/** A designator: letters, then a number. Common practice, no source. */
const MARK = /^[a-z]{1,4}\d{1,4}[a-z]?$/;
/** What may stand before each of several names. */
const LEADING = /^(?:the|both|all|plugs?|leads?|cables?|connectors?|ribbons?)$/;
const FROM = /^(?:from|at|on|to|of|off|in)$/;
const JOINING = /^(?:and|&|\+|\/)$/;

/** One of several: a name that is known, or a designator. */
const isOne = (w: Word | undefined): boolean =>
  w !== undefined && (w.found !== undefined || (w.type === 'word' && MARK.test(w.text)));
const isLeading = (w: Word | undefined): boolean => w !== undefined && !w.found && LEADING.test(w.text);
const joins = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && (w.type === 'comma' || JOINING.test(w.text));

/** Where the next of several begins behind what joins it to the one that ends here; null where nothing does. */
function partAt(rest: readonly Word[], end: number): { end: number; next: number } | null {
  let next = end;
  while (joins(rest[next])) next++;
  if (next === end) return null;
  const own = !rest[next]?.found && rest[next]?.text === 'the';
  while (isLeading(rest[next])) next++;
  return rest[next] && (own || isOne(rest[next])) ? { end, next } : null;
}

/**
 * Leads that are told with the plugs they end in: "speaker leads unplugged CN3 left, CN4 right"; null where it is no
 * such list.
 */
function toldOfEach(words: readonly Word[]): Word[][] | null {
  const at = words.findIndex((w, i) => i > 0 && !w.found && isToldVerb(w.text) && isOne(words[i + 1]));
  const told = words[at];
  if (!told || verbAt(words, at)?.verb.takes !== 'plug') return null;
  const chunks: Word[][] = [[]];
  for (const w of words.slice(at + 1))
    if (joins(w)) chunks.push([]);
    else chunks.at(-1)?.push(w);
  const each = chunks.length > 1 && chunks.every(([first]) => isOne(first));
  return each ? chunks.map((c) => [...words.slice(0, at), ...c, told]) : null;
}

/**
 * Where one of several ends, and where the next begins: after what joins them. A name that is known or a
 * designator is one word; what has an article of its own goes on until something joins it.
 */
function parting(rest: readonly Word[]): { end: number; next: number } | null {
  const one = isOne(rest[0]);
  // "J7 motor, J8": more is said of the first; what it comes from is no list.
  const comma = rest.findIndex((w) => w.type === 'comma' && !w.found);
  const toldOf = rest.slice(1, Math.max(comma, 1));
  const furthest = !one
    ? rest.length
    : toldOf.some((w) => isOne(w) || joins(w) || FROM.test(w.text))
      ? 1
      : comma;
  // "CN1 (backlight), CN2 (main)": what is said in brackets belongs to the one before.
  const shut = one && rest[1]?.type === 'open' ? rest.findIndex((w) => w.type === 'shut') : -1;
  if (shut > 0) return partAt(rest, shut + 1);
  for (let end = 1; end <= Math.max(furthest, 1); end++) {
    const cut = partAt(rest, end);
    if (cut) return cut;
  }
  return null;
}

/** What was done to each, or how each is, is said last: "CN1, CN2 and CN3 unplugged"; null where it is no such list. */
function toldLast(words: readonly Word[]): Word[][] | null {
  const at = words.findIndex((w) => !isOne(w) && !joins(w));
  const told = words.slice(at);
  const says = told.find((w) => !saysItIs(w) && !/^(?:all|both)$/.test(w.text));
  const ends = at > 2 && told.every((w) => !w.found) && (isToldVerb(says?.text ?? '') || saysHowItIs(says));
  const marks = words.slice(0, at);
  if (!ends || !marks.every((w, i) => (i % 2 === 0 ? isOne(w) : joins(w)))) return null;
  return marks.filter((_, i) => i % 2 === 0).map((w) => [w, ...told]);
}

/** So many words say what is plugged in there. */
const MOST_SAID = 4;

/**
 * Plugs with what each is of: "CN1 mains, CN2 lamp, CN3 to the board, all out", "J1 lamp, J2 fan"; null where it is no
 * such list.
 */
function eachWithItsOwn(words: readonly Word[]): Word[][] | null {
  const [which, done] = words.slice(-2);
  const all = which?.text === 'all' && !which.found;
  if (all && !(/^(?:off|out)$/.test(done?.text ?? '') || isToldVerb(done?.text ?? ''))) return null;
  const chunks: Word[][] = [[]];
  const arrow = words.findIndex((w) => w.type === 'arrow');
  for (const w of all ? words.slice(0, -2) : words.slice(0, arrow < 0 ? undefined : arrow))
    if (w.type === 'comma' && !w.found) chunks.push([]);
    else chunks.at(-1)?.push(w);
  const each = chunks.filter((c) => c.length > 0);
  const fits = ([first, ...more]: Word[]) =>
    isOne(first) &&
    more.length < MOST_SAID &&
    more.every(
      (w) =>
        /^(?:word|contacts|wires)$/.test(w.type) && !isToldVerb(w.text) && !saysHowItIs(w) && !saysItIs(w),
    ) &&
    (all || (isPlugMark(first?.text) && more.length > 0 && !/^(?:from|off)$/.test(more[0]?.text ?? '')));
  if (each.length < 2 || !each.every(fits)) return null;
  if (arrow >= 0) each.at(-1)?.push(...words.slice(arrow));
  return each;
}

/** Where something is now, in which order, or how it was done: no thing of its own. */
const STATE =
  /(?:ed|ly)$|^(?:still|first|last|left|right|open|shut|up|down|on|off|out|fine|ok|back|again|too|only)$/;
/** What says how it was freed. */
const FREED = /^(?:latch|lever|flap|clips?|hooks?|tabs?|catch|catches|note|with|using)$/;
const MOST_WORDS = 2;

/** Whether words behind a comma are a thing: one or two that say neither how it is, nor where. */
const isThing = (words: readonly Word[]): boolean =>
  words.length > 0 &&
  words.length <= MOST_WORDS &&
  words.every(
    (w) => !w.found && w.type === 'word' && !STATE.test(w.text) && !saysHowItIs(w) && !FROM.test(w.text),
  ) &&
  !FREED.test(words[0]?.text ?? '');

/** Things that are parted by commas, none of them known: "lift hood, grille > shelf"; null where it is no such list. */
function unknownThings(said: readonly Word[], rest: readonly Word[]): Word[][] | null {
  const arrow = rest.findIndex((w) => w.type === 'arrow');
  const before = arrow < 0 ? rest : rest.slice(0, arrow);
  // "motor, hall and brake at the controller": each of them is there.
  const at = before.findIndex(
    (w, i) => i > 0 && /^(?:at|on|from)$/.test(w.text) && before.slice(i + 1).some((n) => n.found),
  );
  const whence = at < 0 ? [] : before.slice(at);
  const named = at < 0 ? before : before.slice(0, at);
  const many = named.some((w) => w.type === 'comma' && !w.found);
  const chunks: Word[][] = [[]];
  for (const w of named)
    if (!w.found && (w.type === 'comma' || (many && JOINING.test(w.text)))) chunks.push([]);
    else chunks.at(-1)?.push(w);
  const [first = [], ...others] = chunks;
  if (first.length === 0 || others.length === 0 || named.some(isOne) || !others.every(isThing)) return null;
  return chunks.map((c, i) => [
    ...said,
    ...c,
    ...whence,
    ...(i === chunks.length - 1 && arrow >= 0 ? rest.slice(arrow) : []),
  ]);
}

/**
 * Several things that one verb is said of: `unplug J7, J8 and J9` is three moves. What follows the last is
 * said of that one. The first has to be a name that is known or a designator, and so has each other that has
 * no article of its own, or they are parted by commas alone; all else may be one name.
 *
 * @param words one piece of a line
 * @returns the piece for each thing, each with its verb; the piece as it was where it is no list
 * @example listed(words).length // 3
 */
export function listed(words: Word[]): Word[][] {
  const verb = verbAt(words, 0);
  // "J1, J2 and J3", without a word for what was done.
  const bare = words.every((w, i) => (i % 2 === 0 ? isOne(w) : joins(w)));
  if (!verb && bare && words.length > 1) return words.filter((_, i) => i % 2 === 0).map((w) => [w]);
  const told = toldOfEach(words) ?? toldLast(words) ?? eachWithItsOwn(words);
  if (told) return told;
  if (!verb?.verb.takes || verb.verb.takes === 'fastener') return [words];
  let at = verb.used;
  while (isLeading(words[at])) at++;
  // The first has an article of its own, and no mark or name in it that could join it to the next.
  const own = words[verb.used]?.text === 'the';
  const first = words.findIndex((w, i) => i > at && joins(w));
  const things = unknownThings(words.slice(0, verb.used), words.slice(verb.used));
  if (things) return things;
  if (!isOne(words[at]) && !(own && first > 0 && !words.slice(at, first).some(isOne))) return [words];
  const said = words.slice(0, verb.used);
  const each: Word[][] = [];
  let rest = words.slice(at);
  for (let cut = parting(rest); cut; cut = parting(rest)) {
    each.push([...said, ...rest.slice(0, cut.end)]);
    rest = rest.slice(cut.next);
  }
  return each.length ? [...each, [...said, ...rest]] : [words];
}
