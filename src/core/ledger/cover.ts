import { COVER_NOUNS } from '../line';

const COVER_WORDS = new RegExp(`^(?:${[...COVER_NOUNS, 'shield', 'back', 'bottom', 'top'].join('|')})s?$`);
/**
 * What closes a unit where its side is said: a back glass. A front glass may as well be what is seen through, and
 * stored jobs have taken it off as a part.
 */
const SIDED = /^(?:glass|sheet|wall|skin|cap)$/;
const SIDE = /^(?:back|bottom|top)$/;
/** What follows says where it is, and not what. */
const WHERE = /^(?:of|with|on|under|at|from|to|behind|over|in|for|between|near|off|out|beside|by|stuck|and)$/;
/** What may stand behind what a thing is: its number, its side, that it is one of two. */
const WHICH =
  /^(?:[a-z]|[a-z]?\d{1,3}|left|right|front|rear|upper|lower|inner|outer|half|assembly|section|part)$/;

/** Whether a thing is a cover by what it is called: "back plate 2" is one, a plate spring is none. */
function isCalledCover(plain: string): boolean {
  const words = plain.split(/[^\p{L}\p{N}]+/u).filter(Boolean);
  const where = words.findIndex((w, i) => i > 0 && WHERE.test(w));
  const own = where < 0 ? words : words.slice(0, where);
  const is = own.findLastIndex((w) => !WHICH.test(w));
  return COVER_WORDS.test(own[is] ?? '') || (SIDED.test(own[is] ?? '') && SIDE.test(own[is - 1] ?? ''));
}

/**
 * Whether a part closes over what comes off after it, and under which name the close is kept.
 *
 * @param name what came off: "rear cover"
 * @param access the covers of the unit's map, by id and name
 * @returns the id of the access it is, its own name if it is called a cover, undefined otherwise
 * @example coverOf('Lid', [{ id: 'lid', name: 'lid' }]) // 'lid'
 */
export function coverOf(name: string, access: { id: string; name: string }[]): string | undefined {
  const plain = name.trim().toLowerCase();
  const known = access.find((a) => a.name.toLowerCase() === plain || a.id.toLowerCase() === plain);
  if (known) return known.id;
  return isCalledCover(plain) ? plain : undefined;
}

/** A cover as it is known: by its id and its name. */
interface Named {
  id: string;
  name: string;
}

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** Whether the words of one text stand in another, one after the other. */
const standsIn = (part: string[], whole: string[]): boolean =>
  part.length > 0 && whole.some((_, i) => part.every((w, k) => whole[i + k] === w));

/**
 * The cover that a place names: as it is called; or inside other words ("back panel top edge"), the
 * longest name first; or by a part of its name that no other cover has ("back" of "back panel", "lid edge" of the
 * sealed lid).
 *
 * @param from where something came from, as jotted
 * @param covers id and name of each
 * @returns the cover, or undefined where none is named, or more than one could be
 * @example ownerOf('bottom edge back plate', [{ id: 'b', name: 'back plate' }])?.id // 'b'
 */
export function ownerOf<C extends Named>(from: string | undefined, covers: readonly C[]): C | undefined {
  const said = wordsOf(from ?? '');
  if (said.length === 0) return undefined;
  const called = said.join(' ');
  const exact = covers.find((c) => [c.name, c.id].some((n) => wordsOf(n).join(' ') === called));
  if (exact) return exact;
  const inside = covers
    .filter((c) => standsIn(wordsOf(c.name), said))
    .sort((a, b) => wordsOf(b.name).length - wordsOf(a.name).length);
  if (inside[0]) return inside[0];
  const parts = covers.filter((c) => said.every((w) => wordsOf(c.name).includes(w)));
  if (parts.length > 0) return parts.length === 1 ? parts[0] : undefined;
  // "lid edge" of the sealed lid: what it is, where no other cover is one.
  const kinds = covers.filter((c) => said.includes(wordsOf(c.name).at(-1) ?? ''));
  return kinds.length === 1 ? kinds[0] : undefined;
}

/**
 * Whether a fastener's "from" names this cover.
 *
 * @param from where the fastener came from, as jotted
 * @param cover id and name of the cover
 * @param all covers there are, so that a part of a name is read only where it is one cover's
 * @returns true when it is this one
 * @example holds('Rear cover, top', { id: 'rear', name: 'rear cover' }) // true
 */
export const holds = (from: string | undefined, cover: Named, all: readonly Named[] = [cover]): boolean =>
  ownerOf(from, all)?.id === cover.id;

/**
 * Whether a thing belongs to a cover: as it was said when it was asked, otherwise by the words of where
 * it came from.
 *
 * @param item from the tray
 * @param cover id and name
 * @param all covers there are
 * @returns true when the cover is not closed for good without it
 * @example belongsToCover({ from: 'edge', of: 'lid' }, { id: 'lid', name: 'lid' }, covers) // true
 */
export const belongsToCover = (
  item: { from?: string; of?: string | null },
  cover: Named,
  all: readonly Named[],
): boolean => (item.of === undefined ? holds(item.from, cover, all) : item.of === cover.id);
