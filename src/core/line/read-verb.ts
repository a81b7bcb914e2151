import { endsIt } from './away';
import type { Piece } from './piece';
import { SCREW_WORD } from './screw-words';
import { saysItIs } from './states';
import { isToldVerb } from './told-verb';
import { PHRASES, verbAt } from './verb-at';
import { verbLast } from './verb-last';
import type { LineVerb } from './verbs';

/** Verbs that are things as well: a label that is off is not labelled. */
const THINGS_TOO = /^(?:heat|mark|clean|solder|wait|look|measure|discharge)$/;

const PARTICLE = /^(?:off|out|over|up|open|back|away|free|down|forward|aside)$/;

/** A verb whose small word stands at the end of the piece: "took the hood off", "the hood came off". */
function around(piece: Piece): LineVerb | undefined {
  const { rest } = piece;
  const last = rest.at(-1);
  if (rest.length < 3 || !last || last.found || !PARTICLE.test(last.text)) return undefined;
  // "screw under the label out" is one of them.
  const screw = rest[0]?.text === 'screw' && !rest.slice(1).some((w) => SCREW_WORD.test(w.text));
  for (const at of screw ? [] : [0, rest.length - 2]) {
    const hit = PHRASES.find(
      ({ verb, words: [first, small, more] }) =>
        !more &&
        first === rest[at]?.text &&
        small === last.text &&
        !rest[at]?.found &&
        !verb.unless?.test((at === 0 ? rest[1]?.text : '') ?? ''),
    );
    if (!hit) continue;
    piece.take(rest.length - 1, 1, 'verb');
    // "W2 was pulled out"
    const was = at > 1 && saysItIs(rest[at - 1]) ? 1 : 0;
    piece.take(at - was, 1 + was, 'verb');
    return hit.verb;
  }
  return undefined;
}

/**
 * The verb of a piece: first in it, or last ("J7 unplug"), or around what it is said of ("took the hood off").
 *
 * @param piece the verb is taken out of it
 * @returns the verb, or undefined where none is said
 * @example readVerb(piece)?.does // 'unplug'
 */
export function readVerb(piece: Piece): LineVerb | undefined {
  const apart = around(piece);
  if (apart) return apart;
  const first = verbAt(piece.rest, 0);
  const last = piece.rest.at(-1);
  // "tape over the screws peeled": what was done is said last.
  const told = first && last && first.used < piece.rest.length && !last.found && isToldVerb(last.text);
  // "lift pin pulled out": what is done stands there as it is told.
  const later = piece.rest.findIndex((w, i) => i > 1 && !w.found && isToldVerb(w.text));
  const names = first && later > first.used && !isToldVerb(piece.rest[0]?.text ?? '') && endsIt(piece.rest);
  const isThing = first && ((THINGS_TOO.test(first.verb.does) && (endsIt(piece.rest) || told)) || names);
  // "tape off at the ribbon" is peeled; "tape off the terminals" is not.
  const tape = first?.verb.does === 'tape' && (told || piece.rest[first.used]?.text === 'off');
  if (!first || isThing || tape) return verbLast(piece);
  piece.take(0, first.used, 'verb');
  return first.verb;
}
