import { uptoComma } from './away';
import type { Piece, Word } from './piece';
import { saysDamage } from './states';

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
const saysStill = (all: readonly Word[], comma: number): boolean =>
  uptoComma(all.slice(comma + 1)).some((w) => !w.found && w.text === 'still');

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

/** How long a move takes, in minutes. */
export function readMinutes(piece: Piece): number | undefined {
  const at = piece.at((w) => w.type === 'minutes');
  if (at < 0) return undefined;
  const text = piece.take(at, 1, 'how long')[0]?.text ?? '';
  const n = Number.parseFloat(text);
  if (/h/.test(text)) return n * 60;
  return /m/.test(text) ? n : Number((n / 60).toFixed(3));
}
