import type { LineEntry } from './entry';
import type { Piece, Word } from './piece';
import { ownPlace, type Place, placeAt } from './place';
import {
  saysAFigure,
  saysDamage,
  saysHowItIs,
  saysHowOften,
  saysInPassing,
  saysItIsTold,
  saysItWasLaid,
  saysWhatWasOnIt,
} from './states';
import { isToldVerb, verbAt } from './verb-at';

const TOOL_WORDS =
  /^(?:driver|screwdriver|impact|spudger|card|picks?|blade|knife|tweezers|iron|gun|bit|socket|wrench|spanner|key|pliers|cutter|brush|lever|ratchet|extension|swab|cloth|wick|hook|sucker|suction|scalpel|steel|metal|plastic|wood|hot|air|tab|dryer|hairdryer|eraser|ipa|alcohol|tape|pad)$/;

/** What it is done with: after "with", where a tool follows. */
export function readTool(piece: Piece): string | undefined {
  const at = piece.at((w) => w.text === 'with');
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const lasts = piece.rest.findIndex((w, i) => i > at && w.type === 'minutes');
  const after = piece.rest.slice(at + 1, lasts < 0 ? undefined : lasts);
  if (!after.some((w) => TOOL_WORDS.test(w.text) || w.type === 'drive')) return undefined;
  const words = piece.take(at, after.length + 1, 'tool').slice(1);
  return piece.typed(words).replace(/^(?:a|the) /i, '');
}

/** A note: in brackets, or after the word; the whole piece where it begins with that. */
export function readNote(piece: Piece): string | undefined {
  if (!piece.rest[0]?.found && /^notes?:?$/.test(piece.rest[0]?.text ?? '') && piece.rest.length > 1) {
    const words = piece.take(0, piece.rest.length, 'note').slice(1);
    return piece.typed(words[0]?.type === 'comma' ? words.slice(1) : words) || undefined;
  }
  if (saysDamage(piece.rest)) return piece.typed(piece.take(0, piece.rest.length, 'note'));
  const open = piece.at((w) => w.type === 'open');
  if (open >= 0) {
    const shut = piece.rest.findIndex((w, i) => i > open && w.type === 'shut');
    const words = piece.take(open, (shut < 0 ? piece.rest.length : shut + 1) - open, 'note');
    const inner = words.filter((w) => w.type !== 'open' && w.type !== 'shut');
    return piece.typed(inner) || undefined;
  }
  const at = piece.at((w, i) => i > 0 && /^note:?$/.test(w.text));
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const words = piece.take(at, piece.rest.length - at, 'note').slice(1);
  return piece.typed(words);
}

/** Whether it is told behind a comma what is still on: "head out, flex still on". */
const saysStill = (all: readonly Word[], comma: number): boolean => {
  const end = all.findIndex((w, i) => i > comma && w.type === 'comma');
  return all.slice(comma + 1, end < 0 ? undefined : end).some((w) => !w.found && w.text === 'still');
};

/** What is told behind it is why, when or with what left. */
const TELLS = /^(?:but|after|while|because|though|although|since)$/;

/**
 * What is told of a move with a clause of its own: "shell off but still hanging on the lead".
 *
 * @param piece what is read is taken out of it
 * @returns the clause as it was typed, and whether the thing hangs on still
 */
export function readClause(piece: Piece): { note?: string; aside?: true } {
  const at = piece.at(
    (w, i, all) =>
      i > 0 && i < all.length - 1 && (TELLS.test(w.text) || (w.type === 'comma' && saysStill(all, i))),
  );
  if (at < 0) return {};
  const from = piece.rest[at - 1]?.type === 'comma' ? at - 1 : at;
  const words = piece
    .take(from, piece.rest.length - from, 'note')
    .filter((w) => w.type !== 'comma' || w.found);
  const hangs = words.some(
    (w) => /^(?:hanging|hangs|attached|connected|tethered|on)$/.test(w.text) && !w.found,
  );
  const still = words.some((w) => w.text === 'still' && !w.found);
  return { note: piece.typed(words), ...(hangs && still ? { aside: true } : {}) };
}

/** A cup, bag or shelf that goes by more than a number: "> bench left", "> tin by the window". */
function named(piece: Piece, at: number, place: Place): Place {
  if (place.label !== undefined || !/^(?:cup|bag|shelf)$/.test(place.kind)) return place;
  const end = piece.rest.findIndex(
    (w, i) => i >= at && (w.type !== 'word' || /^(?:with|using|aside)$/.test(w.text)),
  );
  const words = piece.take(at, (end < 0 ? piece.rest.length : end) - at, 'kept in');
  if (words.length === 0) return place;
  return { ...place, label: piece.typed(words) };
}

/** Whether words say that a thing was set down: "into the tin", "onto the tray", "on the bench". */
const isSet = (words: readonly Word[]): boolean =>
  /^(?:into|onto)$/.test(words[0]?.text ?? '') ||
  (words[0]?.text === 'on' && /^(?:mat|bench|table)$/.test(words.at(-1)?.text ?? ''));

/** To where something is pushed. */
const SIDE = /^(?:left|right|front|back|rear|side|top|bottom)$/;
/** Where a thing may have been set down. */
const WHERE = /^(?:in|into|on|onto|against|beside|behind|under|by|from|to|next|over)$/;
const AWAY = /^(?:off|out|up|open|away|aside)$/;

/** Where it begins to be said how a thing was set down: behind `off` or `out`, or by a word for it. */
function laidAt({ rest }: Piece): number {
  return rest.findIndex((w, i) => {
    if (i === 0 || w.found) return false;
    const where = rest[i + 1];
    if (saysItWasLaid(w)) return where !== undefined && !where.found && WHERE.test(where.text);
    const before = rest[i - 1]?.type === 'comma' ? rest[i - 2] : rest[i - 1];
    // "pin out on the left" says where it was.
    if (w.text === 'on' && SIDE.test(rest.at(-1)?.text ?? '') && rest.length - i <= 3) return false;
    return (
      /^(?:in|into|on|onto|against|beside|behind|under)$/.test(w.text) &&
      where !== undefined &&
      before !== undefined &&
      !before.found &&
      i > 1 &&
      AWAY.test(before.text)
    );
  });
}

/** What the words of a plug say. */
const ofPlug = (w: Word): boolean =>
  /^(?:contacts|wires|minutes)$/.test(w.type) || /^(?:latch|latched|lever|aside)$/.test(w.text);

/** What screws had on them that is neither a washer nor a tool: "with threadlock". */
const isNoPartOf = (words: readonly Word[]): boolean =>
  words.length > 0 &&
  words.length <= 2 &&
  words.every(
    (w) => w.type === 'word' && !w.found && !TOOL_WORDS.test(w.text) && !/^(?:washer|nut)s?$/.test(w.text),
  );

/** What came along with a thing, or what it took. */
const WITH_IT = /^(?:its|their|some|force|care|difficulty|much|little|great|effort)$/;
/** Of some of the screws something is said: "6 M3, one under tape". */
const SOME = /^(?:one|two|three|some|all|both)$/;
const OF_SOME =
  /^(?:under|behind|at|in|with|by|near|of|is|are|was|were|has|have|had|left|still|came|same|alike|equal|identical)$/;

/** Whether words behind a comma say something beside the move: no name, no figure of a plug, no tool. */
function isRemark(words: readonly Word[], screws: boolean): boolean {
  const [first, second] = words;
  if (saysItIsTold(first)) return !words.every((w) => /^(?:latch|latched|lever)$/.test(w.text));
  const some = SOME.test(first?.text ?? '') && OF_SOME.test(second?.text ?? '') && !second?.found;
  if (screws)
    return (
      words.every((w) => w.type !== 'comma') &&
      (words.some(saysHowItIs) ||
        words.some((w) => /^(?:stays?|stayed|remains?)$/.test(w.text)) ||
        (first?.type === 'word' && saysInPassing(words.at(-1))) ||
        some ||
        /^(?:it|them)$/.test(words.at(-1)?.text ?? '') ||
        (first?.type === 'word' && words.some(saysWhatWasOnIt)))
    );
  if (first?.type === 'millimetres') return words.length === 1;
  if (first?.type === 'number') return saysHowOften(second) || saysAFigure(words);
  const isWord = first?.type === 'word' && !/^(?:with|using|note:?)$/.test(first.text);
  return isWord && !words.some((w) => w.found) && !words.every(ofPlug);
}

/**
 * What is said behind a comma and is no move of its own: "unplug W2, latch open".
 *
 * @param screws of screws only what says how they were found is a remark: "rear cover, one stripped"
 */
export function readRemark(piece: Piece, screws: boolean): string | undefined {
  // "slide battery out the front"
  const way = piece.at(
    (w, i, all) =>
      (i > 1 && w.text === 'out' && /^(?:the|through|past|over|at)$/.test(all[i + 1]?.text ?? '')) ||
      (i > 0 && w.text === 'through' && all[i + 1] !== undefined) ||
      (i > 0 && w.text === 'between' && all[0]?.found !== undefined) ||
      (i > 1 && w.text === 'with' && WITH_IT.test(all[i + 1]?.text ?? '')) ||
      (screws && i > 0 && w.text === 'with' && isNoPartOf(all.slice(i + 1))) ||
      (i > 0 && w.text === 'without' && i < all.length - 1) ||
      (i > 1 &&
        w.text === 'to' &&
        SIDE.test(all.at(-1)?.text ?? '') &&
        ((verbAt(all, 0)?.verb.takes ?? null) !== null || all.some((v) => isToldVerb(v.text)))),
  );
  const comma = piece.at((w, i, all) => w.type === 'comma' && i > 0 && isRemark(all.slice(i + 1), screws));
  const at = way < 0 ? comma : way;
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const words = piece.take(at, piece.rest.length - at, 'note').slice(way < 0 ? 1 : 0);
  return piece.typed(words) || undefined;
}

/** Where it is kept: after a `>`, or at the end of the piece. */
function readPlace(piece: Piece, doubt: (from: number, to: number) => void): LineEntry['place'] {
  const arrow = piece.at((w) => w.type === 'arrow');
  if (arrow >= 0) {
    const after = piece.rest.slice(arrow + 1);
    const read = placeAt(after, true, piece.original);
    const words = piece.take(arrow, read ? read.used + 1 : after.length + 1, 'kept in');
    if (read) return named(piece, arrow, read.place);
    const own = ownPlace(after, piece.original);
    if (own && !own.sure) doubt(words[1]?.from ?? 0, words.at(-1)?.to ?? 0);
    return own?.place;
  }
  const laid = laidAt(piece);
  if (laid >= 0) {
    const begin = piece.rest[laid - 1]?.type === 'comma' ? laid - 1 : laid;
    const words = piece.take(begin, piece.rest.length - begin, 'kept in');
    const said = words.filter((w, i) => w.type !== 'comma' && !(i < 2 && saysItWasLaid(w)));
    const read = placeAt(said, true, piece.original);
    return read && read.used === said.length ? read.place : ownPlace(said, piece.original)?.place;
  }
  for (let at = 0; at < piece.rest.length; at++) {
    if (piece.rest.slice(at).some((w) => w.found)) continue;
    const after = piece.rest.slice(at);
    const said = /^(?:in|into|to|on|onto)$/.test(after[0]?.text ?? '');
    const read = placeAt(after, isSet(after), piece.original);
    if (!read || read.used !== after.length) continue;
    if (at === 0 && !said && piece.rest.length === after.length && piece.rest.length > 1) continue;
    piece.take(at, read.used, 'kept in');
    return read.place;
  }
  return undefined;
}

/**
 * Where it is kept; several where several are said: "> cup 1, cup 2", "> cup 1 and 2".
 *
 * @param piece what is read is taken out of it
 * @param doubt told of what is nearly a place
 * @returns the places in their order, none where none is said
 */
export function readPlaces(piece: Piece, doubt: (from: number, to: number) => void): Place[] {
  const arrow = piece.at((w) => w.type === 'arrow');
  const first = readPlace(piece, doubt);
  const out = first ? [first] : [];
  while (first && arrow >= 0) {
    const [joint, next] = piece.rest.slice(arrow);
    if (!joint || joint.found || !(joint.type === 'comma' || joint.text === 'and') || !next) break;
    const read = placeAt(piece.rest.slice(arrow + 1), true, piece.original);
    // "cup 1 and 2": of the same kind.
    const bare = next.type === 'number' && piece.rest.length === arrow + 2;
    if (!read && !bare) break;
    piece.take(arrow, 1 + (read?.used ?? 1), 'kept in');
    out.push(read?.place ?? { kind: first.kind, label: next.text });
  }
  return out;
}

/** How long a move takes, in minutes. */
export function readMinutes(piece: Piece): number | undefined {
  const at = piece.at((w) => w.type === 'minutes');
  if (at < 0) return undefined;
  const text = piece.take(at, 1, 'how long')[0]?.text ?? '';
  const n = Number.parseFloat(text);
  if (/h/.test(text)) return n * 60;
  return /m/.test(text) ? n : Number((n / 60).toFixed(3));
}
