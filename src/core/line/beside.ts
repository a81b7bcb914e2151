import type { LineEntry } from './entry';
import type { Piece, Word } from './piece';
import { type Place, placeAt } from './place';

const TOOL_WORDS =
  /^(?:driver|screwdriver|impact|spudger|card|picks?|blade|knife|tweezers|iron|gun|bit|socket|wrench|spanner|key|pliers|cutter|brush|lever|ratchet|extension|swab|cloth|wick|hook|sucker|scalpel|steel|metal|plastic|wood|hot)$/;

/** What it is done with: after "with", where a tool follows. */
export function readTool(piece: Piece): string | undefined {
  const at = piece.at((w) => w.text === 'with');
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const after = piece.rest.slice(at + 1);
  if (!after.some((w) => TOOL_WORDS.test(w.text) || w.type === 'drive')) return undefined;
  const words = piece.take(at, after.length + 1, 'tool').slice(1);
  return piece.original({ from: words[0]?.from ?? 0, to: words.at(-1)?.to ?? 0 }).replace(/^(?:a|the) /i, '');
}

/** A note: in brackets, or after the word. */
export function readNote(piece: Piece): string | undefined {
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

/** A cup, bag or shelf that goes by more than a number: "> bench left", "> tin by the window". */
function named(piece: Piece, at: number, place: Place): Place {
  if (place.label !== undefined || !/^(?:cup|bag|shelf)$/.test(place.kind)) return place;
  const end = piece.rest.findIndex(
    (w, i) => i >= at && (w.type !== 'word' || /^(?:with|using|aside)$/.test(w.text)),
  );
  const words = piece.take(at, (end < 0 ? piece.rest.length : end) - at, 'kept in');
  if (words.length === 0) return place;
  return { ...place, label: piece.original({ from: words[0]?.from ?? 0, to: words.at(-1)?.to ?? 0 }) };
}

/** Whether words say that a thing was set down: "into the tin", "onto the tray", "on the bench". */
const isSet = (words: readonly Word[]): boolean =>
  /^(?:into|onto)$/.test(words[0]?.text ?? '') ||
  (words[0]?.text === 'on' && /^(?:mat|bench|table)$/.test(words.at(-1)?.text ?? ''));

/** Where it is kept: after a `>`, or at the end of the piece. */
export function readPlace(piece: Piece, doubt: (from: number, to: number) => void): LineEntry['place'] {
  const arrow = piece.at((w) => w.type === 'arrow');
  if (arrow >= 0) {
    const after = piece.rest.slice(arrow + 1);
    const read = placeAt(after, true, piece.original);
    const words = piece.take(arrow, read ? read.used + 1 : after.length + 1, 'kept in');
    if (read) return named(piece, arrow, read.place);
    if (after.length === 0) return undefined;
    const label = piece.original({ from: words[1]?.from ?? 0, to: words.at(-1)?.to ?? 0 });
    doubt(words[1]?.from ?? 0, words.at(-1)?.to ?? 0);
    return { kind: 'shelf', label };
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

/** How long a move takes, in minutes. */
export function readMinutes(piece: Piece): number | undefined {
  const at = piece.at((w) => w.type === 'minutes');
  if (at < 0) return undefined;
  const text = piece.take(at, 1, 'how long')[0]?.text ?? '';
  const n = Number.parseFloat(text);
  if (/h/.test(text)) return n * 60;
  return /m/.test(text) ? n : Number((n / 60).toFixed(3));
}
