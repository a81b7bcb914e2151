import type { Doubtful, LineEntry, LineRead } from './entry';
import { isFastener, readCount, readShape, readThread } from './fastener';
import { type Named, namesIn, nearest } from './names';
import { Piece, type Word, withNames } from './piece';
import { placeAt } from './place';
import { plainOf, tokensOf } from './tokens';
import { type LineVerb, type ThingKind, VERBS } from './verbs';

/** Verbs by their words, the longest first. */
const PHRASES = VERBS.flatMap((verb) => verb.words.map((w) => ({ verb, words: w.split(' ') }))).sort(
  (a, b) => b.words.length - a.words.length,
);

function verbAt(rest: readonly Word[], at: number): { verb: LineVerb; used: number } | null {
  const hit = PHRASES.find(({ words }) =>
    words.every((w, k) => !rest[at + k]?.found && rest[at + k]?.text === w),
  );
  return hit ? { verb: hit.verb, used: hit.words.length } : null;
}

/** The verb: first in the piece, or last ("J7 unplug"). */
function readVerb(piece: Piece): LineVerb | undefined {
  const first = verbAt(piece.rest, 0);
  // "mark" alone is a move; "part 7" and "slide 2" name something.
  if (first) {
    piece.take(0, first.used, 'verb');
    return first.verb;
  }
  const at = piece.rest.length - 1;
  const last = at > 0 ? verbAt(piece.rest, at) : null;
  const mayEnd =
    last?.verb.takes && ['unplug', 'lift', 'remove', 'peel', 'undo', 'eject'].includes(last.verb.does);
  if (
    !last ||
    !mayEnd ||
    !/^(?:unplug|lift|remove|peel|undo|unscrew|eject)$/.test(piece.rest[at]?.text ?? '')
  )
    return undefined;
  piece.take(at, 1, 'verb');
  return last.verb;
}

const TOOL_WORDS =
  /^(?:driver|screwdriver|impact|spudger|card|picks?|blade|knife|tweezers|iron|gun|bit|socket|wrench|spanner|key|pliers|cutter|brush|lever|ratchet|extension|swab|cloth|wick|hook|sucker|scalpel|steel|metal|plastic|wood|hot)$/;

function readTool(piece: Piece): string | undefined {
  const at = piece.at((w) => w.text === 'with');
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const after = piece.rest.slice(at + 1);
  if (!after.some((w) => TOOL_WORDS.test(w.text) || w.type === 'drive')) return undefined;
  const words = piece.take(at, after.length + 1, 'tool').slice(1);
  return piece.original({ from: words[0]?.from ?? 0, to: words.at(-1)?.to ?? 0 }).replace(/^(?:a|the) /i, '');
}

function readNote(piece: Piece): string | undefined {
  const open = piece.at((w) => w.type === 'open');
  if (open >= 0) {
    const shut = piece.rest.findIndex((w, i) => i > open && w.type === 'shut');
    const words = piece.take(open, (shut < 0 ? piece.rest.length : shut + 1) - open, 'note');
    const inner = words.filter((w) => w.type !== 'open' && w.type !== 'shut');
    return inner[0] ? piece.original({ from: inner[0].from, to: inner.at(-1)?.to ?? 0 }) : undefined;
  }
  const at = piece.at((w, i) => i > 0 && /^note:?$/.test(w.text));
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const words = piece.take(at, piece.rest.length - at, 'note').slice(1);
  return piece.original({ from: words[0]?.from ?? 0, to: words.at(-1)?.to ?? 0 });
}

/** Where it is kept: after a `>`, or at the end of the piece. */
function readPlace(piece: Piece, doubt: (from: number, to: number) => void): LineEntry['place'] {
  const arrow = piece.at((w) => w.type === 'arrow');
  if (arrow >= 0) {
    const after = piece.rest.slice(arrow + 1);
    const read = placeAt(after, true, piece.original);
    const words = piece.take(arrow, read ? read.used + 1 : after.length + 1, 'kept in');
    if (read) return read.place;
    if (after.length === 0) return undefined;
    const label = piece.original({ from: words[1]?.from ?? 0, to: words.at(-1)?.to ?? 0 });
    doubt(words[1]?.from ?? 0, words.at(-1)?.to ?? 0);
    return { kind: 'shelf', label };
  }
  for (let at = 0; at < piece.rest.length; at++) {
    if (piece.rest.slice(at).some((w) => w.found)) continue;
    const after = piece.rest.slice(at);
    const said = /^(?:in|into|to|on|onto)$/.test(after[0]?.text ?? '');
    const read = placeAt(after, false, piece.original);
    if (!read || read.used !== after.length) continue;
    if (at === 0 && !said && piece.rest.length === after.length && piece.rest.length > 1) continue;
    piece.take(at, read.used, 'kept in');
    return read.place;
  }
  return undefined;
}

function readMinutes(piece: Piece): number | undefined {
  const at = piece.at((w) => w.type === 'minutes');
  if (at < 0) return undefined;
  const text = piece.take(at, 1, 'how long')[0]?.text ?? '';
  const n = Number.parseFloat(text);
  if (/h/.test(text)) return n * 60;
  return /m/.test(text) ? n : Number((n / 60).toFixed(3));
}

const SIDES = /^(?:top|bottom|front|back|rear|left|right|over|round|around|up|down|end|face|on its .*)$/;
const TIES = /\b(?:ties?|straps?|zip|strings?|wires?|leads?|cables?|loom|lacing|cord|rivets?|seals?)\b/;
const TAPES = /\b(?:tape|foil|film|label|sticker|kapton|gasket|pad|mylar)s?\b/;
const LEADS = /\b(?:lead|cable|flex|ribbon|wire|harness)s?\b/;
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
      (out.contacts !== undefined || (MARKED.test(all[i - 1]?.text ?? '') && i === all.length - 1)),
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

type Doubt = (from: number, to: number, near?: Named[]) => void;

/** Letters and figures make a name; signs alone are not understood. */
function unreadable(piece: Piece, doubt: Doubt): void {
  for (let i = piece.rest.length - 1; i >= 0; i--) {
    const w = piece.rest[i] as Word;
    if (w.found || w.type === 'comma' || w.type === 'arrow') {
      if (w.type === 'arrow') piece.rest.splice(i, 1);
      continue;
    }
    // Poles are names: "cell +".
    if (/^[+−-]$/.test(w.text) && i > 0) continue;
    if (/[\p{L}\p{N}]/u.test(w.text) && !/^[^\p{L}\p{N}#"'/-]/u.test(w.text)) continue;
    piece.take(i, 1, 'not understood');
    doubt(w.from, w.to);
  }
}

const knownIn = (words: readonly Word[], kinds?: readonly string[]) =>
  words.find((w) => w.found && (!kinds || kinds.includes(w.found.named.kind)))?.found?.named;

/** Covers whose names have every word that was said: "lid" of the sealed lid. */
function coversCalled(said: string, names: readonly Named[]): Named[] {
  const words = said.toLowerCase().split(/\s+/);
  return names.filter(
    (n) => n.kind === 'cover' && words.every((w) => n.name.toLowerCase().split(/\s+/).includes(w)),
  );
}

/** Reads one piece: one move. */
function readPiece(piece: Piece, names: readonly Named[], doubt: Doubt): LineEntry | null {
  if (piece.rest.every((w) => w.type === 'comma')) return null;
  const note = readNote(piece);
  const place = readPlace(piece, doubt);
  const verb = readVerb(piece);
  const tool = readTool(piece);
  const minutes = readMinutes(piece);
  const rest = {
    ...(note ? { note } : {}),
    ...(tool ? { tool } : {}),
    ...(minutes === undefined ? {} : { minutes }),
    ...(place ? { place } : {}),
  };
  const takes = verb ? verb.takes : undefined;
  const near = (said: string, words: Word[]) => {
    if (!said || words.some((w) => w.found)) return;
    const close = nearest(said, names);
    if (close.length) doubt(words[0]?.from ?? 0, words.at(-1)?.to ?? 0, close);
  };

  if (isFastener(piece, takes)) {
    const thread = readThread(piece);
    const count = readCount(piece);
    const shape = readShape(piece);
    unreadable(piece, doubt);
    const { said: from, words } = piece.words('from');
    const covers = from ? coversCalled(from, names) : [];
    const known = knownIn(words) ?? (covers.length === 1 ? covers[0] : undefined);
    if (!known) near(from, words);
    const toolDrive = tool ? /\bT\d{1,2}\b|\bPH\d\b|\bPZ\d\b/i.exec(tool)?.[0].toUpperCase() : undefined;
    return {
      does: verb?.does ?? 'undo',
      takesOff: true,
      kind: 'fastener',
      ...shape,
      ...thread,
      ...(shape.drive || !toolDrive ? {} : { drive: toolDrive }),
      count: count === undefined ? 1 : count,
      ...(from ? { from } : {}),
      ...(known ? { fromKnown: known.id } : {}),
      ...rest,
    };
  }

  const aside = readAside(piece);
  const count = takes === null ? undefined : readCount(piece);
  const plugWords =
    takes === 'plug' || (takes === undefined && knownIn(piece.rest, ['plug'])) ? readPlugWords(piece) : {};
  unreadable(piece, doubt);
  if (verb && takes === null) return standing(piece, verb, rest, near);

  const measure = verb?.does === 'cut' ? piece.at((w) => w.type === 'millimetres') : -1;
  const lengthMm =
    measure < 0 ? undefined : Number.parseFloat(piece.take(measure, 1, 'how long')[0]?.text ?? '');
  // "unplug plug J7" names J7; "unplug main plug" names the main plug.
  if (verb && piece.rest.length > 1 && !piece.rest[0]?.found && /^plug$/.test(piece.rest[0]?.text ?? ''))
    piece.take(0, 1, 'what');
  const { said: name, words } = piece.words('what');
  if (!name) return verb ? { does: verb.does, takesOff: Boolean(verb.takes), ...rest } : null;
  const plain = name.toLowerCase();
  if (
    verb?.does === 'cut' &&
    (lengthMm !== undefined || !(TIES.test(plain) || MARKED.test(plain) || knownIn(words)))
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
  near(name, words);
  const known = words.length === 1 ? words[0]?.found?.named : undefined;
  const part = knownIn(words);
  const kind = kindOf(verb, plain, known);
  return {
    does:
      verb?.does ??
      ({ plug: 'unplug', tape: 'peel', tie: 'cut' } as Partial<Record<ThingKind, string>>)[kind] ??
      'lift',
    takesOff: true,
    kind,
    ...(part ? { known: part.id } : {}),
    name,
    count: count === undefined ? 1 : count,
    ...plugWords,
    ...(aside ? { aside } : {}),
    ...rest,
  };
}

/** What kind of thing comes off: by what is known of it, by its verb, by its words. */
function kindOf(verb: LineVerb | undefined, plain: string, known: Named | undefined): ThingKind {
  const takes = verb?.takes ?? undefined;
  if (takes === 'plug' || takes === 'media') return takes;
  if (takes === 'tie') return 'tie';
  if (known?.kind === 'plug' || (known?.kind === 'header' && takes === undefined)) return 'plug';
  if (takes === 'tape') return LEADS.test(plain) && !TAPES.test(plain) ? 'part' : 'tape';
  if (takes) return 'part';
  if (known) return 'part';
  if (/^tape\b|\btape$/.test(plain)) return 'tape';
  return /\bties?\b/.test(plain) ? 'tie' : 'part';
}

/** A move that takes nothing off: what it is done to, and to which position. */
function standing(
  piece: Piece,
  verb: LineVerb,
  rest: Partial<LineEntry>,
  near: (said: string, words: Word[]) => void,
): LineEntry {
  const to = piece.rest.findLastIndex((w) => !w.found && /^(?:to|at)$/.test(w.text));
  const moves = verb.does === 'turn' || verb.does === 'set';
  if (moves && to > 0 && to < piece.rest.length - 1) {
    const position = piece.take(to, piece.rest.length - to, 'position').slice(1);
    const { said: name, words } = piece.words('what');
    near(name, words);
    const known = knownIn(words);
    return {
      does: verb.does,
      takesOff: false,
      ...(name ? { kind: 'change' as const, name } : {}),
      ...(known ? { known: known.id } : {}),
      to: piece.original({ from: position[0]?.from ?? 0, to: position.at(-1)?.to ?? 0 }),
      ...rest,
    };
  }
  const flips = verb.does === 'flip' || verb.does === 'turn';
  const { said, words } = piece.words(flips ? 'side' : 'what');
  const side = said.replace(/\s+up$/i, '');
  if (
    verb.does === 'flip' ||
    (verb.does === 'turn' && (!side || SIDES.test(side.toLowerCase()) || side !== said))
  )
    return { does: 'flip', takesOff: false, to: side || 'over', ...rest };
  near(said, words);
  const known = knownIn(words);
  return {
    does: verb.does,
    takesOff: false,
    ...(known ? { known: known.id } : {}),
    ...(said ? { name: said } : {}),
    ...rest,
  };
}

/** Where a comma or "and" begins another move. */
function pieces(words: Word[]): Word[][] {
  const out: Word[][] = [[]];
  words.forEach((w, i) => {
    const next = words.slice(i + 1);
    const begins =
      next.length > 0 &&
      (verbAt(next, 0) !== null ||
        next[0]?.type === 'count' ||
        next[0]?.type === 'metric' ||
        (next[0]?.type === 'number' && next.length > 1));
    const bolted = /^(?:nut|bolt|screw|washer)s?$/;
    const splits =
      !w.found &&
      ((w.type === 'comma' && begins) ||
        (/^(?:and|except|then)$/.test(w.text) && begins) ||
        (w.text === 'and' && bolted.test(words[i - 1]?.text ?? '') && bolted.test(next[0]?.text ?? '')));
    if (splits) out.push([]);
    else out.at(-1)?.push(w);
    // "4 short 2 long"
    const sorts = /^(?:short|long)$/;
    if (!w.found && sorts.test(w.text) && next[0]?.type === 'number' && sorts.test(next[1]?.text ?? ''))
      out.push([]);
  });
  return out.filter((p) => p.length > 0);
}

/**
 * Reads a line as a technician jots or dictates it. Names that are known are found first, the longest
 * first; only the rest is read by its grammar. Nothing of a name is dropped, and what is not understood,
 * or is nearly a name, is listed.
 *
 * Method: tokens of a lexer, then one pass for each thing that can be said. Common practice, no source.
 *
 * @param text one line
 * @param names covers, elements, plugs and headers of the unit, things in the tray
 * @returns moves in the order they were written, what is doubtful, and what each stretch was read as
 * @example readText('4xM2x8 bottom cover').entries[0].count // 4
 */
export function readText(text: string, names: readonly Named[] = []): LineRead {
  const plain = plainOf(text);
  const tokens = tokensOf(text);
  // "4 x M3 PH1 lid": a thread after a count is no motor called M3.
  const counted = tokens.flatMap((t, i) =>
    t.type === 'metric' && ['count', 'number'].includes(tokens[i - 1]?.type ?? '') ? [t.from] : [],
  );
  const found = namesIn(text, names).filter((f) => !counted.includes(f.from));
  const doubtful: Doubtful[] = [];
  const doubt: Doubt = (from, to, near = []) =>
    doubtful.push({ text: text.slice(from, to), at: from, nearest: near.map((n) => n.id) });
  const spans: LineRead['spans'] = [];
  const entries = pieces(withNames(tokens, found, plain)).flatMap((words) => {
    const piece = new Piece(words, text);
    const entry = readPiece(piece, names, doubt);
    spans.push(...piece.spans);
    return entry ? [entry] : [];
  });
  return {
    entries,
    doubtful: doubtful.sort((a, b) => a.at - b.at),
    spans: spans.sort((a, b) => a.from - b.from),
  };
}
