import type { LineEntry } from './entry';
import { numberIn } from './numbers';
import type { Piece, Word } from './piece';

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
export function spoken(
  all: readonly Word[],
  i: number,
): { thread: string; lengthMm?: number; used: number } | null {
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

/** Across and along: "4x30" of a wood screw. */
const ACROSS = /^(\d(?:\.\d)?)x(\d{1,3}(?:\.\d)?)$/;

/**
 * What is said of screws that have no thread of their own: how far they are across, and how long.
 *
 * @param piece what is read is taken out of it
 * @returns both in mm, or null where it is not said
 * @example readAcross(piece) // of "8 wood screws 4x30": { acrossMm: 4, lengthMm: 30 }
 */
export function readAcross(piece: Piece): { acrossMm: number; lengthMm: number } | null {
  const at = piece.at((w, i) => i > 0 && ACROSS.test(w.text));
  if (at < 0) return null;
  const [, across, length] = ACROSS.exec(piece.take(at, 1, 'what')[0]?.text ?? '') ?? [];
  return { acrossMm: Number(across), lengthMm: Number(length) };
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
