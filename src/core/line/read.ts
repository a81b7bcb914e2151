import { readMinutes, readNote, readPlace, readRemark, readTool } from './beside';
import { type Doubt, knownIn, nearTo, unreadable } from './doubt';
import type { Doubtful, LineEntry, LineRead } from './entry';
import { isFastener, readCount, readShape, readThread } from './fastener';
import { listed } from './listed';
import { type Named, namesIn } from './names';
import { Piece, type Word, withNames } from './piece';
import { standing } from './standing';
import { saysHowItIs, saysInPassing, saysItWasLaid } from './states';
import { thing } from './thing';
import { plainOf, tokensOf } from './tokens';
import { endsIt, readVerb, verbAt } from './verb-at';

/** Covers whose names have every word that was said: "lid" of the sealed lid. */
function coversCalled(said: string, names: readonly Named[]): Named[] {
  const words = said.toLowerCase().split(/\s+/);
  return names.filter(
    (n) => n.kind === 'cover' && words.every((w) => n.name.toLowerCase().split(/\s+/).includes(w)),
  );
}

/** What is done on the way back: nothing of it came off. */
const GOES_BACK = /^(?:refit(?:ted)?|fitted|mounted|reseated|reconnected|replugged|reassembled|put)$/;

/** Reads one piece: one move. */
function readPiece(piece: Piece, names: readonly Named[], doubt: Doubt): LineEntry | null {
  if (piece.rest.every((w) => w.type === 'comma')) return null;
  const note = readNote(piece);
  const place = readPlace(piece, doubt);
  // Of screws, each comma parts what is said of them.
  const screws = isFastener(piece, verbAt(piece.rest, 0)?.verb.takes);
  const remark = readRemark(piece, screws);
  // "balance lead out first": in which order stands in the story anyway.
  while (piece.rest.length > 2 && saysInPassing(piece.rest.at(-1)))
    piece.take(piece.rest.length - 1, 1, 'note');
  const back = piece.rest[0];
  if (back && !back.found && GOES_BACK.test(back.text)) doubt(back.from, back.to);
  const verb = readVerb(piece);
  // "the two screws": how many stands behind the word that says which.
  if (piece.rest[0]?.text === 'the' && Piece.numberOf(piece.rest[1]) !== undefined) piece.take(0, 1, 'what');
  const tool = readTool(piece);
  // "relay 5 s" is the name of a relay: only what lasts has a time.
  const lasts = verb !== undefined && (verb.takes === null || verb.does === 'cut');
  const minutes = lasts ? readMinutes(piece) : undefined;
  const noted = [note, remark].filter(Boolean).join('; ');
  const rest = {
    ...(noted ? { note: noted } : {}),
    ...(tool ? { tool } : {}),
    ...(minutes === undefined ? {} : { minutes }),
    ...(place ? { place } : {}),
  };
  const takes = verb ? verb.takes : undefined;
  const near = nearTo(names, doubt);

  if (isFastener(piece, takes)) {
    const thread = readThread(piece);
    const count = readCount(piece);
    const shape = readShape(piece);
    // What is not there did not come off.
    const lacking = piece.at((w) => /^(?:missing|lost)$/.test(w.text));
    if (lacking >= 0) {
      const [word] = piece.take(lacking, 1, 'not understood');
      doubt(word?.from ?? 0, word?.to ?? 0);
    }
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
  if (verb && takes === null) {
    unreadable(piece, doubt);
    return standing(piece, verb, rest, near);
  }
  return thing(piece, verb, rest, near, doubt);
}

/** One move of a line, and whether it was joined to the one before by "and". */
interface Part {
  words: Word[];
  joined: boolean;
}

/** Whether a piece is about to be one of screws: how many stands first, or what is done to them. */
const ofScrews = (here: readonly Word[]): boolean =>
  /^(?:count|number|metric)$/.test(here[0]?.type ?? '') || verbAt(here, 0)?.verb.takes === 'fastener';

/** Screws from one thing, and after the comma another with a place of its own: "6 M4 hood, hood > bench". */
function putAside(here: readonly Word[], next: readonly Word[]): boolean {
  const at = next[0]?.text === 'the' ? 1 : 0;
  return here.some((w) => w.found) && next[at]?.found !== undefined && next[at + 1]?.type === 'arrow';
}

/** What goes on with the piece before a comma: what it was done with, a note, where it lies now. */
const GOES_ON =
  /^(?:>|note:?|with|using|aside|still|in|into|on|onto|to|from|at|against|beside|behind|under|\()$/;
/** What a word that says how a thing is may be followed by: else it says so of the next thing, "a broken clip". */
const OF_IT = /^(?:,|;|>|in|with|at|on|and|to|by|from|then|when)$/;

const goesOn = ([w, next]: readonly Word[]): boolean =>
  w !== undefined &&
  (GOES_ON.test(w.text) ||
    saysItWasLaid(w) ||
    saysInPassing(w) ||
    (saysHowItIs(w) && (next === undefined || OF_IT.test(next.text))));

/** Where a comma or "and" begins another move. */
function pieces(words: Word[]): Part[] {
  const out: Part[] = [{ words: [], joined: false }];
  words.forEach((w, i) => {
    const next = words.slice(i + 1);
    const begins =
      next.length > 0 &&
      (verbAt(next, 0) !== null ||
        next[0]?.type === 'count' ||
        next[0]?.type === 'metric' ||
        (next[0]?.type === 'number' && next.length > 1) ||
        endsIt(next));
    const here = out.at(-1)?.words ?? [];
    const another = ofScrews(here) ? putAside(here, next) : next.length > 0 && endsIt(here) && !goesOn(next);
    const bolted = /^(?:nut|bolt|screw|washer)s?$/;
    const splits =
      !w.found &&
      ((w.type === 'comma' && (begins || another)) ||
        (/^(?:and|except)$/.test(w.text) && begins) ||
        (w.text === 'then' && next.length > 0) ||
        (w.text === 'and' && bolted.test(words[i - 1]?.text ?? '') && bolted.test(next[0]?.text ?? '')) ||
        ((w.type === 'comma' || w.text === 'and') &&
          /^an?$/.test(next[0]?.text ?? '') &&
          bolted.test(next[1]?.text ?? '')));
    if (splits) out.push({ words: [], joined: w.text === 'and' });
    else out.at(-1)?.words.push(w);
    // "4 short 2 long"
    const sorts = /^(?:short|long)$/;
    if (!w.found && sorts.test(w.text) && next[0]?.type === 'number' && sorts.test(next[1]?.text ?? ''))
      out.push({ words: [], joined: false });
  });
  // A comma, or the stop of a sentence, at the end of a piece says nothing.
  for (const { words: p } of out) while (p.at(-1)?.type === 'comma' && !p.at(-1)?.found) p.pop();
  return out.filter((p) => p.words.length > 0);
}

const placeOf = (e: LineEntry | undefined) => (e?.place ? { place: e.place } : undefined);
const fromOf = (e: LineEntry | undefined) =>
  e?.from ? { from: e.from, ...(e.fromKnown ? { fromKnown: e.fromKnown } : {}) } : undefined;

/**
 * Fasteners that "and" joins come from one thing and are kept together where it is said once: "4 screws and 2
 * washers from the lid > cup 1".
 */
function keptTogether(parts: { of: LineEntry[]; joined: boolean }[]): LineEntry[] {
  let place: Pick<LineEntry, 'place'> | undefined;
  let from: Pick<LineEntry, 'from' | 'fromKnown'> | undefined;
  const out: LineEntry[] = [];
  for (const { of, joined } of parts.toReversed()) {
    const fasteners = of.every((e) => e.kind === 'fastener');
    out.unshift(
      ...of.map((e) => (fasteners ? { ...e, ...(e.place ? {} : place), ...(e.from ? {} : from) } : e)),
    );
    [place, from] = joined && fasteners ? [placeOf(of[0]) ?? place, fromOf(of[0]) ?? from] : [];
  }
  return out;
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
  const read = (words: Word[]) => {
    const piece = new Piece(words, text);
    const entry = readPiece(piece, names, doubt);
    // The verb of a list is read once.
    spans.push(...piece.spans.filter((s) => !spans.some((t) => t.from === s.from && t.to === s.to)));
    return entry ? [entry] : [];
  };
  const parts = pieces(withNames(tokens, found, plain)).map(({ words, joined }) => {
    const of = listed(words).flatMap(read);
    // Where the last of a list is kept, all of it is.
    const place = of.at(-1)?.place;
    return { of: place ? of.map((e) => (e.place ? e : { ...e, place })) : of, joined };
  });
  return {
    entries: keptTogether(parts),
    doubtful: doubtful.sort((a, b) => a.at - b.at),
    spans: spans.sort((a, b) => a.from - b.from),
  };
}
