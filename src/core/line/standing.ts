import { knownIn, type Near } from './doubt';
import type { LineEntry } from './entry';
import type { Piece } from './piece';
import type { LineVerb } from './verbs';

const SIDES = /^(?:top|bottom|front|back|rear|left|right|over|round|around|up|down|end|face|on its .*)$/;

/** A move that takes nothing off: what it is done to, and to which position. */
export function standing(piece: Piece, verb: LineVerb, rest: Partial<LineEntry>, near: Near): LineEntry {
  const to = piece.rest.findLastIndex((w) => !w.found && /^(?:to|at)$/.test(w.text));
  const moves = verb.does === 'turn' || verb.does === 'set';
  if (moves && to > 0 && to < piece.rest.length - 1) {
    const position = piece.take(to, piece.rest.length - to, 'position').slice(1);
    const { said: name, words } = piece.words('what');
    const known = near(name, words) ?? knownIn(words);
    return {
      does: verb.does,
      takesOff: false,
      ...(name ? { kind: 'change' as const, name } : {}),
      ...(known ? { known: known.id } : {}),
      to: piece.typed(position),
      ...rest,
    };
  }
  const last = piece.rest.at(-1);
  if (verb.does === 'set' && piece.rest.length > 1 && last && !last.found && /^(?:on|off)$/.test(last.text)) {
    const position = piece.take(piece.rest.length - 1, 1, 'position');
    const { said: name } = piece.words('what');
    return { does: verb.does, takesOff: false, kind: 'change', name, to: piece.typed(position), ...rest };
  }
  const flips = verb.does === 'flip' || verb.does === 'turn';
  // "heated back 80 C for" 2 min
  const lasts = piece.rest.at(-1);
  if (lasts && !lasts.found && lasts.text === 'for') piece.take(piece.rest.length - 1, 1, 'how long');
  const { said, words } = piece.words(flips ? 'side' : 'what');
  const side = said.replace(/\s+up$/i, '');
  if (
    verb.does === 'flip' ||
    (verb.does === 'turn' && (!side || SIDES.test(side.toLowerCase()) || side !== said))
  )
    return { does: 'flip', takesOff: false, to: side || 'over', ...rest };
  const meant = near(said, words);
  const known = meant ?? knownIn(words);
  return {
    does: verb.does,
    takesOff: false,
    ...(known ? { known: known.id } : {}),
    ...(said ? { name: meant?.name ?? said } : {}),
    ...rest,
  };
}
