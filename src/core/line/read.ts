import { saysItIsOff } from './away';
import { readClause, readMinutes, readNote } from './beside';
import { type Doubt, nearTo, unreadable } from './doubt';
import type { Doubtful, LineEntry, LineRead } from './entry';
import { fastened } from './fastened';
import { isFastener } from './fastener';
import { gathered } from './gathered';
import { LOOK, readHowItIs, readLying, readMovedTo, readSnaps, saysItIsSet } from './how-it-is';
import { latchAt, latchLast } from './latched';
import { listed } from './listed';
import { withMarks } from './marks';
import { type Named, namesIn } from './names';
import type { Part } from './part';
import { Piece, type Word, withNames } from './piece';
import { pieces } from './pieces';
import type { Place } from './place';
import { readPlaces } from './places';
import { readVerb } from './read-verb';
import { readRemark } from './remark';
import { sorted } from './sorts';
import { standing } from './standing';
import { saysInPassing, saysWhereItWent } from './states';
import { thing } from './thing';
import { plainOf, tokensOf } from './tokens';
import { readTool } from './tool';
import { verbAt } from './verb-at';
import { WAY } from './verb-last';
import { verbOf } from './verbs';

/** What is done on the way back, or was found or lost: nothing of it came off. */
const NOT_OFF =
  /^(?:found|refit(?:ted)?|fitted|mounted|reseated|reconnected|replugged|reassembled|put|swapped|replaced|exchanged)$/;

/** What is undone without a screw. */
const STRAPS = /^(?:straps?|buckles?|laces?|knots?|zips?|belts?)$/;

/** The verb of a piece; a latch that is opened and a strap that is undone stay on, whatever verb is used for it. */
function readDoing(piece: Piece) {
  const latch = latchAt(piece.rest);
  if (latch) {
    piece.take(0, latch.used, 'verb');
    return latch.verb;
  }
  const last = latchLast(piece.rest);
  if (last) {
    piece.take(last.at, last.used, 'verb');
    return last.verb;
  }
  const verb = readVerb(piece);
  const strap = piece.rest.at(-1);
  return verb?.does === 'undo' && strap && !strap.found && STRAPS.test(strap.text) ? verbOf('unlatch') : verb;
}

/** Where something that has a name went: "front panel forward" is the front panel. */
function readWent(piece: Piece): string | undefined {
  const last = piece.rest.length - 1;
  const way = piece.rest[last];
  if (last > 0 && way && !way.found && (WAY.test(way.text) || way.text === 'through'))
    return piece.typed(piece.take(last, 1, 'note'));
  const went = (w: Word, i: number, all: Word[]) =>
    saysWhereItWent(w) ||
    (w.text === 'back' && !w.found) ||
    (w.type === 'millimetres' && /^(?:back|forward|up|down|out)$/.test(all[i - 1]?.text ?? ''));
  const from = piece.rest.findLastIndex((w, i, all) => !went(w, i, all)) + 1;
  const at = piece.rest[from - 1]?.text === 'at' && piece.rest[from]?.text === 'both' ? from - 1 : from;
  if (from === piece.rest.length || !piece.rest[at - 1]?.found) return undefined;
  const words = piece.take(at, piece.rest.length - at, 'note');
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
  if (saysInPassing(piece.rest[1]) && verbAt(piece.rest, 0)) piece.take(1, 1, 'note');
  const side = readLying(piece);
  if (side) {
    const said = [side.note, remark, note].filter(Boolean).join('; ');
    return { does: 'flip', takesOff: false, to: side.to, ...(said ? { note: said } : {}) };
  }
  const back = piece.rest[0];
  // "put 4 screws in a bag": they are off, and that is where they went.
  if (back && !back.found && place && /^(?:put|placed)$/.test(back.text)) piece.take(0, 1, 'verb');
  else if (back && !back.found && NOT_OFF.test(back.text)) doubt(back.from, back.to);
  const snaps = place ? null : readSnaps(piece);
  const said = snaps?.verb ?? readDoing(piece) ?? (place ? null : saysItIsSet(piece)) ?? undefined;
  const moved = readMovedTo(piece, said);
  const verb = moved?.verb ?? said;
  const went = readWent(piece);
  // "the two screws": how many stands behind the word that says which.
  const whose =
    Piece.numberOf(piece.rest[1]) !== undefined ||
    /^(?:other|last|first|remaining)$/.test(piece.rest[1]?.text ?? '');
  if (piece.rest[0]?.text === 'the' && whose) piece.take(0, 1, 'what');
  const tool = readTool(piece);
  // "relay 5 s" is the name of a relay: only what lasts has a time.
  const lasts = tool !== undefined || (verb !== undefined && (verb.takes === null || verb.does === 'cut'));
  const minutes = lasts ? readMinutes(piece) : undefined;
  const so = verb || place ? null : readHowItIs(piece);
  const noted = [note, remark, so?.note, snaps?.note, moved?.note, went].filter(Boolean).join('; ');
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

/**
 * What is told of in brackets: screws of a thing, "hood (4x M3x8)"; how many, "cable ties (3)"; sorts of screws, "9
 * screws (4 long, 5 short)".
 */
function inBrackets(part: Part, names: readonly Named[]): Part[] {
  const [thing] = part.of;
  if (part.of.length !== 1 || !thing?.note || !thing.takesOff) return [part];
  const { note, ...plain } = thing;
  const many = /^(?:x\s?)?([1-9]\d?)(?:\s?x)?$/.exec(note)?.[1];
  if (many && thing.count === 1) return [{ ...part, of: [{ ...plain, count: Number(many) }] }];
  const { entries, doubtful } = readText(note, names);
  if (thing.kind === 'fastener') {
    const each = entries.map((e): Part => ({ of: [e], joined: false, told: true, places: [] }));
    const both = doubtful.length === 0 ? sorted([{ ...part, of: [plain] }, ...each]) : [];
    return both.length === each.length && each.length > 1 ? both : [part];
  }
  if (thing.kind !== 'part') return [part];
  const screws = entries.length > 0 && entries.every((e) => e.kind === 'fastener' && !e.from && !e.note);
  if (!screws || doubtful.length > 0 || !/^(?:\d|m\d)/i.test(note)) return [part];
  return [
    { ...part, of: [plain], verbless: false },
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
    const clause = readClause(piece);
    const note = [readNote(piece), clause.note].filter(Boolean).join('; ') || undefined;
    const places = readPlaces(piece, doubt);
    const move = readMove(piece, note, places[0], names, doubt);
    const hangs = clause.aside && move?.takesOff && move.kind !== 'fastener';
    const entry = move && hangs ? { ...move, aside: true } : move;
    // The verb of a list is read once.
    spans.push(...piece.spans.filter((s) => !spans.some((t) => t.from === s.from && t.to === s.to)));
    const verbless = !piece.spans.some((s) => s.as === 'verb') && !saysItIsOff(words);
    return { of: entry ? [entry] : [], places, verbless };
  };
  const words = withMarks(withNames(tokens, found, plain), text, names);
  const parts = pieces(words, text).flatMap(({ words, joined, told, then }) => {
    const each = listed(words).map(read);
    const places = each.at(-1)?.places ?? [];
    const verbless = each.every((r) => r.verbless);
    const part = { of: each.flatMap((r) => r.of), joined, told, then, places, verbless };
    return inBrackets(part, names);
  });
  return {
    entries: gathered(parts),
    doubtful: doubtful.sort((a, b) => a.at - b.at),
    spans: spans.sort((a, b) => a.from - b.from),
  };
}
