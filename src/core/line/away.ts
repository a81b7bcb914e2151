import { COVER_WORD } from './covers';
import type { Word } from './piece';
import { saysItIsNot } from './states';
import { isToldVerb } from './told-verb';

/** What has contacts: `off` and `out` are said of it as of what is known. */
const LEAD = /^(?:lead|plug|cable|flex|ribbon|connector|harness)s?$/;
/** Whether it is said of a lead, by its word or by its name. */
export const isLead = (w: Word | undefined): boolean =>
  w !== undefined &&
  LEAD.test(w.found ? (w.found.named.name.toLowerCase().split(/\s+/).at(-1) ?? '') : w.text);

/** What a signal goes by: `line out` is a socket, and nothing that is out. */
const SIGNAL =
  /^(?:line|audio|video|phones?|headphones?|signal|mains|power|speakers?|aux|digital|main|monitor)$/;

/** Whether it can be opened: a cover, or what is called one. */
const opens = (own: Word): boolean =>
  own.found?.named.kind === 'cover' ||
  COVER_WORD.test(own.found ? (own.found.named.name.toLowerCase().split(/\s+/).at(-1) ?? '') : own.text) ||
  (!own.found && BOXES.test(own.text));
const BOXES = /^(?:box|pod|drawer|flap|compartment|tray|gate)$/;

/** Whether a small word says that what stands before it is away: "hood away", "J7 out", "lid open", "fan lead off". */
export function isAway(word: string, own: Word | undefined): boolean {
  if (word === 'away') return true;
  if (word === 'out' && own && !own.found)
    return /^(?:word|number|contacts)$/.test(own.type) && !SIGNAL.test(own.text);
  // A lid that is open is off; a fuse that is open is blown.
  if (word === 'open') return own !== undefined && opens(own);
  return /^(?:off|out)$/.test(word) && (isLead(own) || (word === 'out' && own?.found !== undefined));
}

/** What ends a piece, and what says where a thing lies now. */
const AFTER = /^(?:>|at|both|and|then|into|onto|in|on|to|first|easily|carefully)$/;
/** Behind a verb that is told stands what it was done from, with or by. */
const TOLD_OF =
  /^(?:>|and|then|off|out|up|down|away|free|from|of|with|at|by|first|easily|carefully|straight)$/;

/** The words of a piece before its first comma. */
export function uptoComma(rest: readonly Word[]): readonly Word[] {
  const comma = rest.findIndex((w) => w.type === 'comma' && !w.found);
  return comma < 0 ? rest : rest.slice(0, comma);
}

/**
 * Whether a piece says last that something is off: "roof plate off > bench".
 *
 * @param rest tokens from where it would begin
 * @returns true where `off`, `apart` or `away` ends it before any comma, or `out` or `open` behind what is known or a lead
 * @example saysItIsOff(tokens) // true
 */
export const saysItIsOff = (rest: readonly Word[]): boolean =>
  uptoComma(rest).some(
    (w, k, own) =>
      k > 0 &&
      !w.found &&
      (/^(?:off|apart)$/.test(w.text) || isAway(w.text, own[k - 1])) &&
      (own[k + 1] === undefined || AFTER.test(own[k + 1]?.text ?? '') || POLE.test(own[k - 1]?.text ?? '')),
  );
/** "red + off the first cell" */
const POLE = /^[+-]$/;

/**
 * Whether a piece begins that says last what was done: "roof plate off > bench" of "6 M4, roof plate off > bench",
 * "W2 pulled out" of "tape lifted, W2 pulled out".
 *
 * @param rest tokens from where it would begin
 * @returns true where it says that something is off, or ends before any comma with a verb that is told
 * @example endsIt(tokens) // true
 */
export const endsIt = (rest: readonly Word[]): boolean =>
  saysItIsOff(rest) ||
  uptoComma(rest).some(
    (w, k, own) =>
      k > 0 &&
      !w.found &&
      isToldVerb(w.text) &&
      !saysItIsNot(own[k - 1]) &&
      (own[k + 1] === undefined || TOLD_OF.test(own[k + 1]?.text ?? '')),
  );
