import { readMinutes, readNote, readPlaces, readRemark, readTool } from './beside';
import { type Doubt, nearTo, unreadable } from './doubt';
import type { Doubtful, LineEntry, LineRead } from './entry';
import { fastened } from './fastened';
import { isFastener } from './fastener';
import { gathered } from './gathered';
import { LOOK, readHowItIs, readLying, readSnaps, saysItIsSet } from './how-it-is';
import { latchAt } from './latched';
import { listed } from './listed';
import { withMarks } from './marks';
import { type Named, namesIn } from './names';
import type { Part } from './part';
import { Piece, type Word, withNames } from './piece';
import { pieces } from './pieces';
import type { Place } from './place';
import { standing } from './standing';
import { saysInPassing, saysWhereItWent } from './states';
import { thing } from './thing';
import { plainOf, tokensOf } from './tokens';
import { readVerb, verbAt } from './verb-at';

/** What is done on the way back: nothing of it came off. */
const GOES_BACK = /^(?:refit(?:ted)?|fitted|mounted|reseated|reconnected|replugged|reassembled|put)$/;

/** The verb of a piece; a latch that is opened stays on, whatever verb is used for it. */
function readDoing(piece: Piece) {
  const latch = latchAt(piece.rest);
  if (!latch) return readVerb(piece);
  piece.take(0, latch.used, 'verb');
  return latch.verb;
}

/** Where something that has a name went: "front panel forward" is the front panel. */
function readWent(piece: Piece): string | undefined {
  const from = piece.rest.findLastIndex((w) => !saysWhereItWent(w)) + 1;
  if (from === piece.rest.length || !piece.rest[from - 1]?.found) return undefined;
  const words = piece.take(from, piece.rest.length - from, 'note');
  return piece.typed(words);
}

/** Reads what is left of a piece beside its note and its place: one move. */
function readMove(
  piece: Piece,
  note: string | undefined,
  place: Place | undefined,
  names: readonly Named[],
  doubt: Doubt,
): LineEntry | null {
  // A line that begins as a note is nothing else.
  if (piece.rest.length === 0 && note) return { does: LOOK.does, takesOff: false, note };
  if (piece.rest.every((w) => w.type === 'comma')) return null;
  // Of screws, each comma parts what is said of them.
  const screws = isFastener(piece, verbAt(piece.rest, 0)?.verb.takes);
  const remark = readRemark(piece, screws);
  // "balance lead out first": in which order stands in the story anyway.
  while (piece.rest.length > 2 && saysInPassing(piece.rest.at(-1)))
    piece.take(piece.rest.length - 1, 1, 'note');
  const side = readLying(piece);
  if (side) {
    const said = [side.note, remark, note].filter(Boolean).join('; ');
    return { does: 'flip', takesOff: false, to: side.to, ...(said ? { note: said } : {}) };
  }
  const back = piece.rest[0];
  if (back && !back.found && GOES_BACK.test(back.text)) doubt(back.from, back.to);
  const snaps = place ? null : readSnaps(piece);
  const verb = snaps?.verb ?? readDoing(piece) ?? (place ? null : saysItIsSet(piece)) ?? undefined;
  const went = readWent(piece);
  // "the two screws": how many stands behind the word that says which.
  if (piece.rest[0]?.text === 'the' && Piece.numberOf(piece.rest[1]) !== undefined) piece.take(0, 1, 'what');
  const tool = readTool(piece);
  // "relay 5 s" is the name of a relay: only what lasts has a time.
  const lasts = verb !== undefined && (verb.takes === null || verb.does === 'cut');
  const minutes = lasts ? readMinutes(piece) : undefined;
  const so = verb || place ? null : readHowItIs(piece);
  const noted = [note, remark, so?.note, snaps?.note, went].filter(Boolean).join('; ');
  const rest = {
    ...(noted ? { note: noted } : {}),
    ...(tool ? { tool } : {}),
    ...(minutes === undefined ? {} : { minutes }),
    ...(place ? { place } : {}),
  };
  const takes = verb ? verb.takes : undefined;
  const near = nearTo(names, doubt);

  if (so) return standing(piece, so.verb, rest, near);
  if (isFastener(piece, takes)) return fastened(piece, verb, rest, names, doubt);
  // What was left where it is did not come off.
  if (!verb && place?.kind === 'left in the part') {
    const { place: _where, ...left } = rest;
    return standing(
      piece,
      LOOK,
      { ...left, note: [noted, 'left in place'].filter(Boolean).join('; ') },
      near,
    );
  }
  if (verb && takes === null) {
    unreadable(piece, doubt);
    return standing(piece, verb, rest, near);
  }
  return thing(piece, verb, rest, near, doubt);
}

/** Screws that are told of in brackets: "hood (4x M3x8)". */
function inBrackets(part: Part, names: readonly Named[]): Part[] {
  const [thing] = part.of;
  if (part.of.length !== 1 || !thing?.note || thing.kind !== 'part') return [part];
  const { entries, doubtful } = readText(thing.note, names);
  const screws = entries.every((e) => e.kind === 'fastener' && !e.from && !e.note);
  if (!screws || doubtful.length > 0 || !/^(?:\d|m\d)/i.test(thing.note)) return [part];
  const { note: _screws, ...bare } = thing;
  return [
    { ...part, of: [bare], verbless: false },
    { of: entries, joined: false, told: true, places: [] },
  ];
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
    const note = readNote(piece);
    const places = readPlaces(piece, doubt);
    const entry = readMove(piece, note, places[0], names, doubt);
    // The verb of a list is read once.
    spans.push(...piece.spans.filter((s) => !spans.some((t) => t.from === s.from && t.to === s.to)));
    const verbless = !piece.spans.some((s) => s.as === 'verb');
    return { of: entry ? [entry] : [], places, verbless };
  };
  const words = withMarks(withNames(tokens, found, plain), text, names);
  const parts = pieces(words, text).flatMap(({ words, joined, told }) => {
    const each = listed(words).map(read);
    const places = each.at(-1)?.places ?? [];
    const verbless = each.every((r) => r.verbless);
    const part = { of: each.flatMap((r) => r.of), joined, told, places, verbless };
    return inBrackets(part, names);
  });
  return {
    entries: gathered(parts),
    doubtful: doubtful.sort((a, b) => a.at - b.at),
    spans: spans.sort((a, b) => a.from - b.from),
  };
}
