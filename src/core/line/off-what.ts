import type { Piece, Word } from './piece';
import { MARKED } from './plug-words';

/** A lead or a plug by its word. */
export const LEADS = /\b(?:lead|cable|flex|ribbon|wire|harness|plug|connector)s?\b/;

/** Whether a word stands right behind the verb: "antenna lead unplugged from the tuner". */
const isBehindVerb = (piece: Piece, w: Word): boolean =>
  piece.spans.some((s) => {
    const before = piece.rest[piece.rest.indexOf(w) - 1];
    return s.as === 'verb' && before !== undefined && s.from >= before.to && s.to <= w.from;
  });

/** What a thing was on: "ferrite off the grey ribbon" is the ferrite, and not the ribbon. */
export function readOff(piece: Piece): string | undefined {
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
    if (w.text === 'from') {
      const marked = all.slice(0, i).some(named);
      return marked && (the || named(next) || (i === 1 && all[0]?.found !== undefined && next !== undefined));
    }
    // "unplug ribbon at board A": which end of it.
    if (/^(?:at|on)$/.test(w.text))
      return i === 1 && next !== undefined && (all[0]?.found ?? next.found) !== undefined;
    if (w.text !== 'off' || i === 0 || next === undefined || /^(?:with|by|using|at|x\d+)$/.test(next.text))
      return false;
    return (
      the ||
      next.found !== undefined ||
      next.type === 'number' ||
      (i === all.length - 2 && next.type === 'word') ||
      (i === 1 && all[0]?.found !== undefined && next.type === 'word')
    );
  });
  if (at < 0) return undefined;
  const end = piece.rest.findIndex((w, i) => i > at && !w.found && !/^(?:word|number)$/.test(w.type));
  const words = piece.take(at, (end < 0 ? piece.rest.length : end) - at, 'from').slice(1);
  const first = words.findIndex((w) => w.found || !/^(?:of|the|its|their)$/.test(w.text));
  const own = words.slice(Math.max(first, 0));
  return piece.typed(own) || undefined;
}
