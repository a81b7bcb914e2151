import { calledTwice, type Doubt, knownIn, type Near, unreadable } from './doubt';
import type { LineEntry } from './entry';
import { readCount } from './fastener';
import type { Named } from './names';
import type { Piece, Word } from './piece';
import { isToldVerb } from './verb-at';
import type { LineVerb, ThingKind } from './verbs';

const TIES = /\b(?:ties?|straps?|zip|strings?|wires?|leads?|cables?|loom|lacing|cord|rivets?|seals?)\b/;
/** What is pulled, peeled or scraped off and does not hold again. */
const GLUES = /\b(?:adhesives?|glue|silicone|sealant)\b/;
const TAPES = /\b(?:tape|foil|film|label|sticker|kapton|gasket|pad|mylar)s?\b/;
const LEADS = /\b(?:lead|cable|flex|ribbon|wire|harness|plug|connector)s?\b/;
const PLUGS_LAST = /\b(?:plug|connector)s?$/;
const LEADS_LAST = /\b(?:lead|cable|flex|ribbon|harness|plug|connector)s?$/;
/** A pole: what is off it is its lead. */
const POLES = /^(?:.* )?(?:plus|minus|positive|negative|pos|neg)(?: (?:terminal|pole|post|lead))?$/;
/** A lead that goes by its ends: "lead PS-MB". */
const LEAD_TO = /^(?:lead|cable|flex|ribbon|harness) \S+$/;
/** What is made of things, and is none of them. */
const PICTURES = /^(?:photos?|pictures?|pics?)\b/;
/** Marks that connectors have on a board. Common practice, no source. */
const PLUGGED = /^(?:j|p|cn|con|w)\d{1,4}$/;
const MARKED = /^[a-z]{1,3}\d{1,4}[a-z]?$/;

/** Contacts, wires, a latch that is spelled out, and whether it only lies aside. */
function readPlugWords(piece: Piece): Pick<LineEntry, 'contacts' | 'wires' | 'latch' | 'aside'> {
  const out: Pick<LineEntry, 'contacts' | 'wires' | 'latch' | 'aside'> = {};
  for (const as of ['contacts', 'wires'] as const) {
    const at = piece.at((w, i) => w.type === as && i > 0);
    if (at >= 0) out[as] = Number.parseInt(piece.take(at, 1, as)[0]?.text ?? '', 10);
  }
  const latch = piece.at(
    (w, i, all) =>
      /^(?:latch|latched|lever)$/.test(w.text) &&
      i > 0 &&
      // "door latch" is a name; what is latched is not.
      (w.text === 'latched' ||
        out.contacts !== undefined ||
        (MARKED.test(all[i - 1]?.text ?? '') && i === all.length - 1)),
  );
  if (latch >= 0) {
    piece.take(latch, 1, 'latch');
    out.latch = true;
  }
  return out;
}

function readAside(piece: Piece): boolean {
  const at = piece.rest.length - 1;
  if (at < 1 || piece.rest[at]?.found || piece.rest[at]?.text !== 'aside') return false;
  piece.take(at, 1, 'state');
  return true;
}

/** Whether a word stands right behind the verb: "antenna lead unplugged from the tuner". */
const isBehindVerb = (piece: Piece, w: Word): boolean =>
  piece.spans.some((s) => {
    const before = piece.rest[piece.rest.indexOf(w) - 1];
    return s.as === 'verb' && before !== undefined && s.from >= before.to && s.to <= w.from;
  });

/** What a thing was on: "ferrite off the grey ribbon" is the ferrite, and not the ribbon. */
function readOff(piece: Piece): string | undefined {
  const named = (w: Word | undefined) => w?.found !== undefined || MARKED.test(w?.text ?? '');
  const at = piece.at((w, i, all) => {
    const next = all[i + 1];
    const the = /^(?:the|its|both|all)$/.test(next?.text ?? '') && i + 2 < all.length;
    // "W1 from A3" is W1; a lead from somewhere may be called by that.
    const lead = all.slice(0, i).some((x) => x.found || LEADS.test(x.text));
    const end = w.text === 'at' && lead && !all.some((x) => /^ties?$/.test(x.text));
    const of = w.text === 'of' || (w.text === 'out' && next?.text === 'of');
    const behind = /^(?:from|off)$/.test(w.text) || end || of;
    if (behind && next && isBehindVerb(piece, w)) return true;
    // "peeled from the adhesive": what it is was said before.
    if (i === 0 && w.text === 'from' && piece.spans.some((s) => s.as === 'verb')) return true;
    if (w.text === 'from')
      return (
        i === 1 &&
        named(all[0]) &&
        (the || named(next) || (all[0]?.found !== undefined && next !== undefined))
      );
    // "unplug ribbon at board A": which end of it.
    if (/^(?:at|on)$/.test(w.text))
      return i === 1 && next !== undefined && (all[0]?.found ?? next.found) !== undefined;
    if (w.text !== 'off' || i === 0 || next === undefined || /^(?:with|by|using|at)$/.test(next.text))
      return false;
    return (
      the ||
      next.found !== undefined ||
      (i === all.length - 2 && next.type === 'word') ||
      (i === 1 && all[0]?.found !== undefined && next.type === 'word')
    );
  });
  if (at < 0) return undefined;
  const end = piece.rest.findIndex((w, i) => i > at && !w.found && !/^(?:word|number)$/.test(w.type));
  const words = piece.take(at, (end < 0 ? piece.rest.length : end) - at, 'from').slice(1);
  const first = words.findIndex((w) => w.found || !/^(?:of|the|its)$/.test(w.text));
  const own = words.slice(Math.max(first, 0));
  return piece.typed(own) || undefined;
}

/** No name has more words. Common practice, no source. */
const MOST_WORDS = 6;

/** Whether words tell a story, and are no name: "shell lifted", "fuse is blown". */
const isTold = (words: readonly Word[]): boolean =>
  words.length > MOST_WORDS ||
  words.some((w, i) => i > 0 && !w.found && (TELLS.test(w.text) || isToldVerb(w.text)));
const TELLS = /^(?:is|was|are|were|came|went|fell|let|go|goes|then|still|has|had|did|does)$/;

/** What kind of thing comes off: by what is known of it, by its verb, by its words. */
function kindOf(
  verb: LineVerb | undefined,
  plain: string,
  known: Named | undefined,
  counted: boolean,
): ThingKind {
  const takes = verb?.takes ?? undefined;
  if (takes === 'plug' || takes === 'media') return takes;
  if (takes !== 'tie' && !known && GLUES.test(plain)) return 'tape';
  if (takes === 'tie') return 'tie';
  // Nobody lifts a header: what is meant is what is plugged into it.
  const onto = known?.kind === 'header' && (takes === undefined || verb?.does === 'lift');
  if (known?.kind === 'plug' || onto) return 'plug';
  // "slide the flex out": a lead that has a name is parted, however it is pulled.
  if (verb?.does === 'slide' && known && LEADS_LAST.test(known.name.toLowerCase().replace(/\s*\(.*\)$/, '')))
    return 'plug';
  if (verb?.or?.includes('plug') && takes === 'part')
    return (known && LEADS.test(known.name.toLowerCase())) ||
      LEADS.test(plain) ||
      (!known && PLUGGED.test(plain))
      ? 'plug'
      : 'part';
  if (takes === 'tape') return LEADS.test(plain) && !TAPES.test(plain) ? 'part' : 'tape';
  if (takes) return 'part';
  if (known) return 'part';
  // "the main lead", without a word for what was done to it.
  if (verb === undefined && PLUGGED.test(plain)) return 'plug';
  if (
    verb === undefined &&
    (PLUGS_LAST.test(plain) ||
      LEAD_TO.test(plain) ||
      POLES.test(plain) ||
      (!counted && LEADS_LAST.test(plain)))
  )
    return 'plug';
  if (/^tape\b|\btape$/.test(plain)) return 'tape';
  return /\bties?\b/.test(plain) ? 'tie' : 'part';
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
    takes === 'plug' || pulled || (takes === undefined && knownIn(piece.rest, ['plug']))
      ? readPlugWords(piece)
      : {};
  unreadable(piece, doubt);

  const measure = verb?.does === 'cut' ? piece.at((w) => w.type === 'millimetres') : -1;
  const lengthMm =
    measure < 0 ? undefined : Number.parseFloat(piece.take(measure, 1, 'how long')[0]?.text ?? '');
  // "unplug plug J7" names J7; "unplug main plug" names the main plug.
  const marked = piece.rest[1]?.found !== undefined || MARKED.test(piece.rest[1]?.text ?? '');
  if (
    (verb || marked) &&
    piece.rest.length > 1 &&
    !piece.rest[0]?.found &&
    /^plug$/.test(piece.rest[0]?.text ?? '')
  )
    piece.take(0, 1, 'what');
  const { said: name, words } = piece.words('what');
  // "slide it to the left and lift it off": what it is was said.
  if (!name || /^(?:it|them|that|both)$/i.test(name))
    return verb ? { does: verb.does, takesOff: Boolean(verb.takes), ...rest } : null;
  // On which side it is says nothing of what it is.
  const plain = name
    .toLowerCase()
    .replace(/ (?:by|near|beside|under) .*$/, '')
    .replace(/ (?:left|right|front|rear)$/, '');
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
  const part = meant ?? knownIn(words);
  if (!known && isTold(words)) doubt(words[0]?.from ?? 0, words.at(-1)?.to ?? 0);
  const aside = said || verb?.aside === true || (verb?.hinges === true && part?.kind === 'element');
  const kind = kindOf(verb, plain, known, count !== undefined);
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
