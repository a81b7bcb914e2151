import { driveAt } from './drives';
import type { LineEntry } from './entry';
import type { Piece } from './piece';
import { ALIKE, COLOURS, HEADS, LOOKS, SCREW_WORD, SORTS, screwCalled, WASHERS, WHENCE } from './screw-words';

/** What a screw carries. */
const BESIDE = /^(?:washer|nut)s?$/;

/** Where a colour stands for the screws that have it: "3 silver from the side"; -1 where it does not. */
export const colourAt = (piece: Piece): number =>
  piece.at(
    (w, i, all) =>
      i <= 2 &&
      COLOURS.test(w.text) &&
      (all[i + 1] === undefined || (!all[i + 1]?.found && WHENCE.test(all[i + 1]?.text ?? ''))),
  );

/**
 * What else a piece says of fasteners: drive, head, what they are called, a length by itself.
 *
 * @param piece what is read is taken out of it
 * @returns drive, head, name and length in mm
 * @example readShape(piece) // { name: 'screw', drive: 'PH1' }
 */
export function readShape(piece: Piece): Pick<LineEntry, 'drive' | 'head' | 'name' | 'lengthMm'> {
  const out: Pick<LineEntry, 'drive' | 'head' | 'name' | 'lengthMm'> = {};
  const at = piece.rest.findIndex((w, i) => !w.found && driveAt(piece.rest, i) !== null);
  if (at >= 0) {
    const read = driveAt(piece.rest, at);
    piece.take(at, read?.used ?? 1, 'driver');
    out.drive = read?.drive ?? '';
  }
  const head = piece.at((w, i, all) => HEADS.test(w.text) && !/^(?:the|its|a)$/.test(all[i - 1]?.text ?? ''));
  if (head >= 0) {
    const used = piece.rest[head + 1]?.text === 'head' ? 2 : 1;
    out.head = piece.take(head, used, 'head')[0]?.text ?? '';
  }
  // "all equal except two": how they are is not where they come from.
  const alike = piece.at((w) => ALIKE.test(w.text));
  if (alike >= 0) piece.take(alike, 1, 'how many');
  const sort = piece.at((w) => SORTS.test(w.text));
  let sorted = sort >= 0 ? `${piece.take(sort, 1, 'what')[0]?.text} ` : '';
  if (sort >= 0 && /^ones?$/.test(piece.rest[sort]?.text ?? '')) piece.take(sort, 1, 'what');
  // How it looks stands right before what it is: a black lid is no black screw.
  let looks = '';
  for (;;) {
    const at = piece.at(
      (w, i, all) =>
        all[i - 1]?.text !== 'with' &&
        (LOOKS.test(w.text) ||
          COLOURS.test(w.text) ||
          (WASHERS.test(w.text) && /^washers?$/.test(all[i + 1]?.text ?? ''))) &&
        // "3 recessed M3x25": the thread is read.
        ((i === all.length - 1 && all.every((x) => LOOKS.test(x.text) || COLOURS.test(x.text))) ||
          (SCREW_WORD.test(all[i + 1]?.text ?? '') && !all[i + 1]?.found)),
    );
    if (at < 0) break;
    looks = `${piece.take(at, 1, 'what')[0]?.text} ${looks}`;
  }
  sorted += looks;
  const colour = colourAt(piece);
  if (colour >= 0) {
    sorted += `${piece.take(colour, 1, 'what')[0]?.text} `;
    if (/^ones?$/.test(piece.rest[colour]?.text ?? '')) piece.take(colour, 1, 'what');
  }
  // "6 M3x8 with washers": the screws, each with its washer.
  const beside = piece.at(
    (w, i, all) =>
      w.text === 'with' && [1, 2].some((k) => BESIDE.test(all[i + k]?.text ?? '') && !all[i + k]?.found),
  );
  const long = BESIDE.test(piece.rest[beside + 1]?.text ?? '') ? 2 : 3;
  const pair =
    beside < 0
      ? ''
      : ` ${piece
          .take(beside, long, 'what')
          .map((w) => w.text)
          .join(' ')
          .replace(/s$/, '')}`;
  const word = piece.at((w) => SCREW_WORD.test(w.text));
  const called = word >= 0 ? screwCalled(piece.take(word, 1, 'what')[0]?.text ?? '') : 'screw';
  out.name = `${sorted}${called}${pair}`;
  const mm = piece.at((w) => w.type === 'millimetres');
  if (mm >= 0) {
    const length = Number.parseFloat(piece.take(mm, 1, 'what')[0]?.text ?? '');
    // What a nut or a standoff measures is the spanner that turns it.
    if (/nut|standoff/.test(called))
      out.drive = out.drive && out.drive !== 'HEX' ? out.drive : `HEX${length}`;
    else out.lengthMm = length;
  }
  return out;
}
