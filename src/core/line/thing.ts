import { isLead } from './away';
import { calledTwice, type Doubt, knownIn, type Near, unreadable } from './doubt';
import type { LineEntry } from './entry';
import { readCount } from './how-many';
import { GLUES, kindOf } from './kind-of';
import { LEADS, readOff } from './off-what';
import type { Piece, Word } from './piece';
import { MARKED, readPlugWords } from './plug-words';
import { saysItIs } from './states';
import { isToldVerb } from './told-verb';
import type { LineVerb, ThingKind } from './verbs';

const TIES = /\b(?:ties?|straps?|zip|strings?|wires?|leads?|cables?|loom|lacing|cord|rivets?|seals?)\b/;

/** What is made of things, and is none of them. */
const PICTURES = /^(?:photos?|pictures?|pics?)\b/;

function readAside(piece: Piece): boolean {
  const at = piece.rest.length - 1;
  if (at < 1 || piece.rest[at]?.found || piece.rest[at]?.text !== 'aside') return false;
  piece.take(at, 1, 'state');
  return true;
}

/** No name has more words. Common practice, no source. */
const MOST_WORDS = 6;

/** Whether words tell a story, and are no name: "shell lifted", "fuse is blown". */
const isTold = (words: readonly Word[]): boolean =>
  words.length > MOST_WORDS ||
  words.some((w, i) => i > 0 && !w.found && (saysItIs(w) || TELLS.test(w.text) || isToldVerb(w.text)));

const TELLS = /^(?:came|went|fell|let|go|goes|then|still|has|had|did|does)$/;

/** Behind it stands where a thing is, or what it is of. */
const WHERE = /^(?:between|over|under|behind|beside|above|below|around|round|near|on|along|to|for)$/;

/** The words for a thing alone: the link between two cells is neither, nor is tape over a ribbon the ribbon. */
function itself(words: readonly Word[]): readonly Word[] {
  const where = words.findIndex((w, i) => i > 0 && !w.found && WHERE.test(w.text));
  return where < 0 ? words : words.slice(0, where);
}

/**
 * Reads a piece that takes off a thing that is no fastener: a plug, a part, a tie, tape; or cuts into
 * something.
 *
 * @param piece as far as it is read
 * @param verb of the piece
 * @param rest what was read beside it
 * @param near told of names that are nobody's
 * @param doubt told of what is not understood
 * @returns the entry, or null where nothing is said
 * @example thing(piece, verb, {}, near, doubt)?.kind // 'plug'
 */
export function thing(
  piece: Piece,
  verb: LineVerb | undefined,
  rest: Partial<LineEntry>,
  near: Near,
  doubt: Doubt,
): LineEntry | null {
  const takes = verb?.takes;
  const said = readAside(piece);
  const from = readOff(piece);
  const count = readCount(piece);
  const pulled = verb?.or?.includes('plug') && piece.rest.some((w) => LEADS.test(w.text));
  const plugWords =
    takes === 'plug' ||
    pulled ||
    (takes === undefined &&
      (knownIn(piece.rest, ['plug']) ||
        piece.rest.some((w, i, all) => w.type === 'contacts' && isLead(all[i - 1]))))
      ? readPlugWords(piece)
      : {};
  unreadable(piece, doubt);

  const measure = verb?.does === 'cut' ? piece.at((w) => w.type === 'millimetres') : -1;
  const lengthMm =
    measure < 0 ? undefined : Number.parseFloat(piece.take(measure, 1, 'how long')[0]?.text ?? '');
  const all = piece.rest.length;
  // "unplug plug J7" names J7; "unplug main plug" names the main plug.
  const marked = piece.rest[1]?.found !== undefined || MARKED.test(piece.rest[1]?.text ?? '');
  if (
    (verb || marked) &&
    piece.rest.length > 1 &&
    !piece.rest[0]?.found &&
    /^(?:plug|connector)$/.test(piece.rest[0]?.text ?? '')
  )
    piece.take(0, 1, 'what');
  const isPlug = piece.rest.length < all;
  const { said: name, words } = piece.words('what');
  // "slide it to the left and lift it off": what it is was said.
  if (!name || /^(?:it|them|that|both)$/i.test(name))
    return verb ? { does: verb.does, takesOff: Boolean(verb.takes), ...rest } : null;
  // On which side it is says nothing of what it is.
  const plain = name
    .toLowerCase()
    .replace(/ (?:by|near|beside|under|over|behind|between|around|along) .*$/, '')
    .replace(/ (?:left|right|front|rear|l|r)(?:(?:\/| and | & )(?:left|right|front|rear|l|r))?$/, '');
  if (
    verb?.does === 'cut' &&
    (lengthMm !== undefined ||
      GLUES.test(plain) ||
      !(TIES.test(plain) || MARKED.test(plain) || knownIn(words)))
  ) {
    near(name, words);
    return {
      does: 'cut',
      takesOff: false,
      name,
      ...(lengthMm === undefined ? {} : { lengthMm }),
      ...(knownIn(words) ? { known: knownIn(words)?.id ?? '' } : {}),
      ...rest,
    };
  }
  // A picture of the leads is no lead.
  if (!knownIn(words.slice(0, 1)) && PICTURES.test(plain))
    return { does: 'photograph', takesOff: false, name, ...rest };
  const meant = near(name, words) ?? calledTwice(words);
  const known = meant ?? (words.length === 1 ? words[0]?.found?.named : undefined);
  const part = meant ?? knownIn(itself(words));
  if (!known && isTold(words)) doubt(words[0]?.from ?? 0, words.at(-1)?.to ?? 0);
  const aside = said || verb?.aside === true || (verb?.hinges === true && part?.kind === 'element');
  const kind = isPlug ? 'plug' : kindOf(verb, plain, known, count !== undefined);
  return {
    // What is pulled and has contacts is unplugged, whatever word is used for it.
    does:
      (kind === 'plug' && (verb?.does === 'lift' || verb?.does === 'slide') ? 'unplug' : verb?.does) ??
      ({ plug: 'unplug', tape: 'peel', tie: 'cut' } as Partial<Record<ThingKind, string>>)[kind] ??
      'lift',
    takesOff: true,
    kind,
    ...(part ? { known: part.id } : {}),
    name: meant ? (meant.kind === 'element' ? meant.id : meant.name) : name,
    count: count === undefined ? 1 : count,
    ...(from ? { from } : {}),
    ...plugWords,
    ...(aside ? { aside } : {}),
    ...rest,
  };
}
