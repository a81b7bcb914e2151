import { driveAt } from './drives';
import type { LineEntry } from './entry';
import { numberIn } from './numbers';
import { Piece, type Word } from './piece';

/** Fasteners by their word. */
const SCREW_WORD =
  /^(screw|bolt|nut|washer|standoff|stud|rivet|thumbscrew|setscrew|woodscrew|tapper|self-tapper)s?$/;
const HEADS = /^(?:pan|flat|countersunk|button|cap|cheese|flange|truss)$/;
const SORTS = /^(?:short|long)(?:er|est)?$/;
/** What a screw carries. */
const BESIDE = /^(?:washer|nut)s?$/;
/** How screws look beside others. */
const LOOKS =
  /^(?:small|little|big|large|tiny|thin|thick|spring|shoulder|thumb|grub|set|self|tapping|self-tapping|machine|wood|lock|wing|nyloc|dome|captive|hidden|stripped|rusty|plastic|nylon|coarse|fine)$/;
/** Washers by their sort. */
const WASHERS = /^(?:star|serrated|fibre|rubber|felt|wave|flat|toothed)$/;
/** A colour, which is all that is said of some: "3 silver". */
const COLOURS = /^(?:black|silver|brass|gold|golden|chrome|zinc|steel)$/;
/** So far on stands what "both" is said of. */
const MOST_WORDS = 4;
/** What follows screws that are called by what drives them, or by their colour, alone. */
const WHENCE = /^(?:from|off|of|in|on|under|at|ones?)$/;
const ALIKE = /^(?:equal|alike|same|identical)$/;
/** Words that sound like a number. */
const HEARD: Record<string, number> = { for: 4, to: 2, too: 2, won: 1, ate: 8 };
const SEVERAL = /^(?:several|some|all|every)$/;

const SIZED = /^(m|st)\s?(\d+(?:\.\d+)?)(?:\s*(?:x|by)\s*(\d+(?:\.\d+)?))?(?:\s?mm)?$/;
const INCH =
  /^#?(\d{1,2}-\d{2}|\d\/\d-\d{2})(?:\s*x\s*((?:(?:\d+)\s+)?\d+\/\d+|\d+(?:\.\d+)?)(?:\s?(?:"|in|inch))?)?$/;

function inches(text: string): number {
  const [whole, top, bottom] = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text)?.slice(1) ?? [];
  if (top && bottom) return (Number(whole ?? 0) + Number(top) / Number(bottom)) * 25.4;
  return Number(text) * 25.4;
}

const BY = /^(?:by|x|times)$/;

/** A number in words or figures, "two point five" among them, and the place after it; undefined where there is none. */
function numberAt(all: readonly Word[], at: number): { value: number; next: number } | undefined {
  const whole = numberIn(all[at]?.text);
  if (whole === undefined) return undefined;
  const part = all[at + 1]?.text === 'point' ? numberIn(all[at + 2]?.text) : undefined;
  return part === undefined
    ? { value: Number(whole), next: at + 1 }
    : { value: Number(`${whole}.${part}`), next: at + 3 };
}

/** A length said after a thread: "by eight", "times two point five". */
const lengthAt = (all: readonly Word[], at: number) =>
  BY.test(all[at]?.text ?? '') ? numberAt(all, at + 1) : undefined;

/** A thread as it is spoken, and as dictation writes it down: "M three by eight", "em two point five times six". */
function spoken(all: readonly Word[], i: number): { thread: string; lengthMm?: number; used: number } | null {
  if (!/^em?$|^m$/.test(all[i]?.text ?? '')) return null;
  const size = numberAt(all, i + 1);
  if (!size) return null;
  const length = lengthAt(all, size.next);
  return {
    thread: `M${size.value}`,
    ...(length ? { lengthMm: length.value } : {}),
    used: (length ?? size).next - i,
  };
}

/**
 * What a piece says of a fastener's thread and length.
 *
 * @param piece as far as it is read; what is read is taken out of it
 * @returns thread and length in mm, empty where it names none
 * @example readThread(piece) // { thread: 'M3', lengthMm: 8 }
 */
export function readThread(piece: Piece): Pick<LineEntry, 'thread' | 'lengthMm'> {
  const at = piece.at((w, i, all) => w.type === 'metric' || w.type === 'inch' || spoken(all, i) !== null);
  if (at < 0) return {};
  const said = spoken(piece.rest, at);
  if (said) {
    const { used, ...read } = said;
    piece.take(at, used, 'what');
    return read;
  }
  const [word] = piece.take(at, 1, 'what');
  const metric = SIZED.exec(word?.text ?? '');
  if (metric) {
    // "M4 by twelve": the one in figures, the other in words.
    const said = metric[3] ? undefined : lengthAt(piece.rest, at);
    if (said) piece.take(at, said.next - at, 'what');
    const length = metric[3] ? Number(metric[3]) : said?.value;
    return {
      thread: `${metric[1]?.toUpperCase()}${Number(metric[2])}`,
      ...(length === undefined ? {} : { lengthMm: length }),
    };
  }
  const inch = INCH.exec(word?.text ?? '');
  return {
    thread: inch?.[1] as string,
    ...(inch?.[2] ? { lengthMm: Number(inches(inch[2]).toFixed(3)) } : {}),
  };
}

/** Whether a piece speaks of fasteners, and not of a plug or part that is called like one. */
export function isFastener(piece: Piece, takes: string | null | undefined): boolean {
  if (takes === 'fastener') return true;
  if (takes !== undefined && takes !== 'part') return false;
  // "board unclipped from 4 standoffs" is the board, and "shim under the screw" the shim.
  const from = piece.rest.findIndex(
    (w) => !w.found && /^(?:from|off|under|behind|below|beside)$/.test(w.text),
  );
  const holds = (w: Word) =>
    !w.found && (SCREW_WORD.test(w.text) || /^(?:metric|inch|count|number)$/.test(w.type));
  // "earth lug off the stud" is the lug.
  const other =
    takes === undefined && from > 0 && !piece.rest.slice(0, from).some(holds) && !isCount(piece.rest[0]);
  const own =
    from > 0 && (takes === 'part' || other || !/^(?:from|off)$/.test(piece.rest[from]?.text ?? ''))
      ? from
      : Number.POSITIVE_INFINITY;
  const has = (fits: (w: Word, i: number, all: Word[]) => boolean) => piece.at(fits) >= 0;
  const sized = has((w) => (w.type === 'metric' && /x|by/.test(w.text)) || w.type === 'inch');
  const counted = has((w) => w.type === 'count' || SEVERAL.test(w.text)) || isCount(piece.rest[0]);
  const screw = has(
    (w, i, all) =>
      i < own && SCREW_WORD.test(w.text) && (takes === undefined || counted || i === all.length - 1),
  );
  if (sized || screw) return true;
  if (takes !== undefined) return false;
  const threaded = has((w, i, all) => w.type === 'metric' || spoken(all, i) !== null);
  const driven = piece.rest.some((w, i) => {
    const read = w.found ? null : driveAt(piece.rest, i);
    return read !== null && (w.type === 'drive' || read.used > 1);
  });
  // "2 torx", "4 phillips from the hood": what drives them is all that is said of them.
  const headed = has(
    (w, i, all) => i > 0 && i <= 2 && HEADS.test(w.text) && w.text !== 'button' && ends(all[i + 1]),
  );
  if (counted && (saysDriveAlone(piece) || colourAt(piece) > 0 || headed)) return true;
  const sorted = counted && has((w, i) => (i <= 2 && SORTS.test(w.text)) || ALIKE.test(w.text));
  return (threaded && (counted || driven)) || driven || sorted || (threaded && piece.rest.length > 1);
}

/** Whether what screws are called by ends there, or is followed by where they come from. */
const ends = (next: Word | undefined): boolean =>
  next === undefined || (!next.found && (WHENCE.test(next.text) || next.type === 'comma'));

/** Whether a piece names a drive instead of a screw: right after how many, and before where from. */
function saysDriveAlone({ rest }: Piece): boolean {
  const at = rest.findIndex((w, i) => !w.found && driveAt(rest, i) !== null);
  const next = rest[at + 1];
  return at >= 0 && at <= 2 && (next === undefined || (!next.found && WHENCE.test(next.text)));
}

/** Where a colour stands for the screws that have it: "3 silver from the side"; -1 where it does not. */
const colourAt = (piece: Piece): number =>
  piece.at(
    (w, i, all) =>
      i <= 2 &&
      COLOURS.test(w.text) &&
      (all[i + 1] === undefined || (!all[i + 1]?.found && WHENCE.test(all[i + 1]?.text ?? ''))),
  );

const isCount = (w: Word | undefined): boolean =>
  w !== undefined && !w.found && Number.isInteger(Piece.numberOf(w)) && (Piece.numberOf(w) ?? 0) > 0;

/**
 * How many.
 *
 * @param piece what is read is taken out of it
 * @returns a count; null = several; undefined where it is not said
 * @example readCount(piece) // 4
 */
export function readCount(piece: Piece): number | null | undefined {
  const several = piece.at((w) => SEVERAL.test(w.text));
  // "all screws of the shell out, 18"
  const last = piece.rest.length - 1;
  const row = piece.rest[last - 2]?.type === 'number';
  if (last > 1 && !row && piece.rest[last - 1]?.type === 'comma' && isCount(piece.rest[last])) {
    const counted = Piece.numberOf(piece.take(last - 1, 2, 'how many')[1]);
    if (several >= 0 && several <= 1) piece.take(several, 1, 'how many');
    return counted;
  }
  // "both batteries"
  const two = piece.rest[0]?.text === 'both' && !piece.rest[0]?.found;
  const plural = piece.rest.slice(1, MOST_WORDS).find((w) => w.found || /[^s]s$/.test(w.text));
  if (two && plural && !plural.found) {
    piece.take(0, 1, 'how many');
    return 2;
  }
  // "all 14", "the last 3": it is counted.
  const which =
    /^(?:all|both|last|first|other|remaining)$/.test(piece.rest[0]?.text ?? '') && !piece.rest[0]?.found;
  if (which && isCount(piece.rest[1])) piece.take(0, 1, 'how many');
  else if (several >= 0 && several <= 1) {
    const used = piece.rest[several + 1]?.text === 'x' ? 2 : 1;
    piece.take(several, used, 'how many');
    return null;
  }
  const at = piece.at((w) => w.type === 'count');
  // "spades off, 6 pcs"
  const pieces = piece.at((w, i, all) => isCount(w) && /^(?:pcs?|pieces)$/.test(all[i + 1]?.text ?? ''));
  if (pieces >= 0) return Piece.numberOf(piece.take(pieces, 2, 'how many')[0]);
  // "T20 x 4 controller cover"
  const by =
    at < 0 && !isCount(piece.rest[0]) ? piece.at((w, i, all) => w.text === 'x' && isCount(all[i + 1])) : -1;
  if (by >= 0) return Piece.numberOf(piece.take(by, 2, 'how many')[1]);
  // "M4x10, 6 off"
  const lot = piece.rest.slice(-3);
  if (lot[0]?.type === 'comma' && isCount(lot[1]) && lot[2]?.text === 'off')
    return Piece.numberOf(piece.take(piece.rest.length - 3, 3, 'how many')[1]);
  // "knobs x4"; with a great letter it is the mark of a thing.
  const times = at < 0 ? piece.at((w) => /^x[1-9]\d?$/.test(piece.original(w))) : -1;
  if (times >= 0 && (times > 0 || piece.spans.some((s) => s.as === 'what')))
    return Number(piece.take(times, 1, 'how many')[0]?.text.slice(1));
  if (at >= 0) return Number.parseInt(piece.take(at, 1, 'how many')[0]?.text ?? '1', 10);
  const first = piece.rest[0];
  // What stands right before a thread is how many, and "for em three" was said "four M three".
  const sized = first && piece.spans.some((s) => s.as === 'what' && s.from === first.to + 1);
  const heard = HEARD[first?.text ?? ''];
  if (sized && heard !== undefined) {
    piece.take(0, 1, 'how many');
    return heard;
  }
  // "front panel 3 screws bottom"
  const named = piece.at((w, i, all) => {
    const next = all[i + 1]?.text ?? '';
    const looks = LOOKS.test(next) || COLOURS.test(next) || SORTS.test(next);
    return i > 0 && isCount(w) && SCREW_WORD.test((looks ? all[i + 2]?.text : next) ?? '');
  });
  if (named > 0 && !isCount(first)) return Piece.numberOf(piece.take(named, 1, 'how many')[0]);
  // "2 nuts", "four M three": a number that stands first, with something after it.
  if (!isCount(first) || (piece.rest.length < 2 && !sized)) return undefined;
  if (
    /^one$/.test(first?.text ?? '') &&
    !sized &&
    !/^(?:m|x|by|screw|bolt|nut)/.test(piece.rest[1]?.text ?? '') &&
    !(LOOKS.test(piece.rest[1]?.text ?? '') || SORTS.test(piece.rest[1]?.text ?? ''))
  )
    return undefined;
  const used = piece.rest[1]?.text === 'x' ? 2 : 1;
  const count = Piece.numberOf(piece.take(0, used, 'how many')[0]);
  // "3 of 4 screws": the fourth is still in.
  if (piece.rest[0]?.text === 'of' && isCount(piece.rest[1])) piece.take(0, 2, 'how many');
  else if (piece.rest[0]?.text === 'more') piece.take(0, 1, 'how many');
  return count;
}

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
  const head = piece.at((w) => HEADS.test(w.text));
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
        (LOOKS.test(w.text) ||
          COLOURS.test(w.text) ||
          (WASHERS.test(w.text) &&
            /^washers?$/.test(all[i + 1]?.text ?? '') &&
            all[i - 1]?.text !== 'with')) &&
        SCREW_WORD.test(all[i + 1]?.text ?? '') &&
        !all[i + 1]?.found,
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
  const called =
    word >= 0 ? (SCREW_WORD.exec(piece.take(word, 1, 'what')[0]?.text ?? '')?.[1] ?? 'screw') : 'screw';
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
