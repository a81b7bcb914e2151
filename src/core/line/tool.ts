import type { Piece } from './piece';

export const TOOL_WORDS =
  /^(?:driver|screwdriver|impact|spudger|card|picks?|blade|knife|tweezers|iron|gun|bit|socket|wrench|spanner|key|pliers|cutter|brush|lever|ratchet|extension|swab|cloth|wick|hook|sucker|suction|scalpel|steel|metal|plastic|wood|hot|air|tab|dryer|hairdryer|eraser|ipa|alcohol|tape|pad)$/;

/** What turns screws, and is told by itself: "2 nuts M10, 18 mm spanner". */
const TURNS = /^(?:spanner|wrench|driver|screwdriver|socket|key|ratchet)$/;

function behindAComma(piece: Piece): string | undefined {
  const at = piece.at((w, i) => w.type === 'comma' && i > 0);
  const end = piece.rest.findIndex((w, i) => i > at && !w.found && TURNS.test(w.text));
  const words = piece.rest.slice(at + 1, end + 1);
  const next = piece.rest[end + 1];
  if (at < 0 || words.length === 0 || words.length > 3 || words.some((w) => w.found || w.type === 'comma'))
    return undefined;
  if (next && next.type !== 'comma') return undefined;
  return piece.typed(piece.take(at, words.length + 1, 'tool').slice(1));
}

/** What it is done with: after "with", where a tool follows, or behind a comma. */
export function readTool(piece: Piece): string | undefined {
  const at = piece.at((w) => w.text === 'with');
  if (at < 0) return behindAComma(piece);
  if (at < 0 || at === piece.rest.length - 1) return undefined;
  const lasts = piece.rest.findIndex((w, i) => i > at && w.type === 'minutes');
  const after = piece.rest.slice(at + 1, lasts < 0 ? undefined : lasts);
  if (!after.some((w) => TOOL_WORDS.test(w.text) || w.type === 'drive')) return undefined;
  const words = piece.take(at, after.length + 1, 'tool').slice(1);
  return piece.typed(words).replace(/^(?:a|the) /i, '');
}
