import type { LineEntry } from './entry';
import type { Piece } from './piece';

/** A designator: letters, a number, perhaps a letter. */
export const MARKED = /^[a-z]{1,3}\d{1,4}[a-z]?$/;

/** Whether a word is a mark that connectors have on a board: "CN7". Common practice, no source. */
export const isPlugMark = (word: string | undefined): boolean =>
  /^(?:j|p|cn|con|w)\d{1,4}$/i.test(word ?? '');

/** Contacts, wires, a latch that is spelled out, and whether it only lies aside. */
export function readPlugWords(piece: Piece): Pick<LineEntry, 'contacts' | 'wires' | 'latch' | 'aside'> {
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
