import { distance } from 'fastest-levenshtein';
import { numberIn } from './numbers';
import type { Token } from './tokens';

/** Places a thing is kept while it is off. */
export const PLACE_KINDS = [
  'cup',
  'bag',
  'left in the part',
  'in its own hole',
  'taped to the photo',
  'shelf',
] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

export interface Place {
  kind: PlaceKind;
  /** number or name of the cup, bag or shelf */
  label?: string;
}

/** What people call a cup, a bag, a shelf; the second list only after a `>`. */
const CALLED: [PlaceKind, RegExp, RegExp][] = [
  ['cup', /^cup$/, /^(?:cup|dish|jar|tin|pot|box|tub|compartment)$/],
  ['bag', /^bag$/, /^(?:bag|envelope|pouch|sachet)$/],
  ['shelf', /^shelf$/, /^(?:shelf|mat|bench|table|tray)$/],
];
const BEFORE = /^(?:in|into|to|on|onto|the|a|left)$/;

/** Whole phrases, word by word. */
const PHRASES: [PlaceKind, RegExp][] = [
  ['left in the part', /^(?:left )?in (?:the|its) part$/],
  ['left in the part', /^left in(?: place)?$/],
  ['in its own hole', /^(?:back |left )?(?:in(?:to)? )?(?:its own|its|own|the|their) holes?$/],
  ['taped to the photo', /^(?:taped )?(?:on |to |onto )?(?:the )?photo$/],
];

/** What stands before the words of a place and is no part of them. */
const ONTO = /^(?:in|into|to|on|onto|the|a|an|my|its)$/;
/** More words than these are a sentence, and no place. */
const MOST_WORDS = 5;
/** Two letters that changed places have the same ones. */
const sorted = (word: string) => [...word].sort().join('');

/**
 * A place that goes by its own words: `> floor`, "against the wall".
 *
 * @param tokens all that is said of it
 * @param original the words of a token as typed
 * @returns the place; `sure` is false where a cup or bag seems to be meant ("cpu 3"), or it has too many words for
 *   a place; null where nothing is said
 * @example ownPlace(tokensOf('the floor'), (t) => t.text) // { place: { kind: 'shelf', label: 'floor' }, sure: true }
 */
export function ownPlace(
  tokens: readonly Token[],
  original: (t: { from: number; to: number }) => string,
): { place: Place; sure: boolean } | null {
  const first = tokens.findIndex((t) => !ONTO.test(t.text));
  const words = first < 0 ? [] : tokens.slice(first);
  const [begin, end] = [words[0], words.at(-1)];
  if (!begin || !end) return null;
  const [, mark, ...more] = words;
  const nearly = CALLED.some(
    ([kind]) => distance(kind, begin.text) <= 1 || sorted(kind) === sorted(begin.text),
  );
  // "big box" is a box; "cpu 3" is rather cup 3.
  const meant = nearly && more.length === 0 && (!mark || labelled('cup', mark, original).used > 0);
  return {
    place: { kind: 'shelf', label: original({ from: begin.from, to: end.to }) },
    sure: !meant && words.length <= MOST_WORDS && words.every((t) => t.type !== 'comma'),
  };
}

export interface PlaceRead {
  place: Place;
  /** how many tokens it takes, from where it was looked for */
  used: number;
}

function labelled(kind: PlaceKind, token: Token | undefined, original: (t: Token) => string) {
  const isLabel = token && (numberIn(token.text) !== undefined || /^[a-z]?\d+$|^[a-z]$/.test(token.text));
  if (!token || !isLabel) return { place: { kind }, used: 0 };
  return { place: { kind, label: numberIn(token.text) ?? original(token) }, used: 1 };
}

/**
 * Reads the place at the end of a line.
 *
 * @param tokens those that may speak of a place
 * @param said whether a `>` or "into" says that a place follows
 * @param original the words of a token as typed
 * @returns the place and how many tokens it takes; null when they speak of none
 * @example placeAt(tokensOf('cup 3'), true, (t) => t.text)?.place // { kind: 'cup', label: '3' }
 */
export function placeAt(
  tokens: readonly Token[],
  said: boolean,
  original: (t: Token) => string,
): PlaceRead | null {
  const words = tokens.map((t) => t.text).join(' ');
  // "took a photo" speaks of no place, "taped to the photo" does.
  const phrase = PHRASES.find(([, p]) => p.test(words) && (said || !/^(?:the )?photo$/.test(words)));
  if (phrase) return { place: { kind: phrase[0] }, used: tokens.length };
  let at = 0;
  while (BEFORE.test(tokens[at]?.text ?? '')) at++;
  const word = tokens[at]?.text ?? '';
  const called = CALLED.find(([, bare, after]) => (said ? after : bare).test(word));
  if (!called) return null;
  const { place, used } = labelled(called[0], tokens[at + 1], original);
  // "lift paper shelf" is no place: without a `>`, a word before it or a label says so.
  if (!said && used === 0 && at === 0 && called[0] !== 'cup') return null;
  return { place, used: at + 1 + used };
}
