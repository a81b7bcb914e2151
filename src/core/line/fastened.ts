import { type Doubt, knownIn, nearTo, unreadable } from './doubt';
import type { LineEntry } from './entry';
import { readCount } from './how-many';
import { type Named, ofSide } from './names';
import type { Piece } from './piece';
import { readShape } from './shape';
import { saysItIs } from './states';
import { readAcross, readThread } from './thread';
import type { LineVerb } from './verbs';

/** Covers whose names have every word that was said: "lid" of the sealed lid. */
function coversCalled(said: string, names: readonly Named[]): Named[] {
  const wordsOf = (name: string) => name.toLowerCase().split(/\s+/).map(ofSide);
  return names.filter((n) => n.kind === 'cover' && wordsOf(said).every((w) => wordsOf(n.name).includes(w)));
}

/**
 * Reads a piece that takes off screws and their like.
 *
 * @param piece as far as it is read
 * @param verb of the piece
 * @param rest what was read beside it
 * @param names what has a name
 * @param doubt told of what is not understood
 * @returns the entry
 * @example fastened(piece, undefined, {}, [], doubt).count // 4
 */
export function fastened(
  piece: Piece,
  verb: LineVerb | undefined,
  rest: Partial<LineEntry>,
  names: readonly Named[],
  doubt: Doubt,
): LineEntry {
  const { lengthMm, ...thread } = readThread(piece);
  const across = thread.thread === undefined ? readAcross(piece) : null;
  const several = piece.rest.some(
    (w) => !w.found && /^(?:screw|bolt|nut|washer|standoff|stud|rivet)s$/.test(w.text),
  );
  // "axle nuts" are more than one, and nobody counted them.
  const said = readCount(piece);
  const bare = piece.rest.length;
  const shape = readShape(piece);
  // "board unscrewed": by how many is not said.
  const unsaid = verb?.does === 'undo' && piece.rest.length === bare && thread.thread === undefined;
  const many = said === undefined ? (several || unsaid ? null : 1) : said;
  // "nut M8 x2": a nut has no length.
  const nut = said === undefined && /^(?!.* with )(?:.* )?(?:nut|washer)$/.test(shape.name ?? '');
  const nuts = nut && !thread.thread?.includes('-') ? lengthMm : undefined;
  const count = nuts ?? many;
  // What is not there did not come off.
  const lacking = piece.at((w) => /^(?:missing|lost)$/.test(w.text));
  if (lacking >= 0) {
    const [word] = piece.take(lacking, 1, 'not understood');
    doubt(word?.from ?? 0, word?.to ?? 0);
  }
  // "6 screws M3x8, out"
  const [comma, out] = piece.rest.slice(-2);
  if (comma?.type === 'comma' && /^(?:out|off)$/.test(out?.text ?? ''))
    piece.take(piece.rest.length - 2, 2, 'verb');
  const loose = piece.rest.at(-1);
  if (
    loose &&
    !loose.found &&
    /^(?:loosened|slackened|torqued|squeezed|pressed|pinched|released)$/.test(loose.text)
  )
    piece.take(piece.rest.length - 1, 1, 'verb');
  unreadable(piece, doubt);
  const { said: from, words } = piece.words('from');
  const covers = from ? coversCalled(from, names) : [];
  const known = knownIn(words) ?? (covers.length === 1 ? covers[0] : undefined);
  if (!known) nearTo(names, doubt)(from, words);
  const tells = words.some((w) => !w.found && (saysItIs(w) || /^(?:had|has)$/.test(w.text)));
  if (tells) doubt(words[0]?.from ?? 0, words.at(-1)?.to ?? 0);
  const toolDrive = rest.tool
    ? /\bT\d{1,2}\b|\bPH\d\b|\bPZ\d\b/i.exec(rest.tool)?.[0].toUpperCase()
    : undefined;
  return {
    // "3 screws out" were undone.
    does: !verb || verb.does === 'lift' ? 'undo' : verb.does,
    takesOff: true,
    kind: 'fastener',
    ...shape,
    ...(across ? { name: `${shape.name} ${across.acrossMm} mm`, lengthMm: across.lengthMm } : {}),
    ...thread,
    ...(lengthMm === undefined || nuts !== undefined ? {} : { lengthMm }),
    ...(shape.drive || !toolDrive ? {} : { drive: toolDrive }),
    count,
    ...(from ? { from } : {}),
    ...(known ? { fromKnown: known.id } : {}),
    ...rest,
  };
}
