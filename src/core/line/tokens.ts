import moo from 'moo';
import { isTens, isUnit } from './numbers';

/** A piece of a line: what it looks like, what it says, and where it stood. */
export interface Token {
  type: string;
  /** in small letters, numbers with a point */
  text: string;
  from: number;
  to: number;
}

const N = '\\d+(?:\\.\\d+)?';
const END = '(?![\\w/])';
/** Numbered threads of the unified series, coarse and fine: "1-16" is none, but a row of terminals. ASME B1.1, from memory. */
const NUMBERED =
  '0-80|1-64|1-72|2-56|2-64|3-48|3-56|4-40|4-48|5-40|5-44|6-32|6-40|8-32|8-36|10-24|10-32|12-24|12-28';
const at = (source: string) => new RegExp(source);

const LEXER = moo.compile({
  space: { match: at('\\s+'), lineBreaks: true },
  arrow: at('>+'),
  // A stop ends what was dictated; the point of a number is part of it.
  comma: at('[,;]|[.!?](?=\\s|$)'),
  open: at('\\('),
  shut: at('\\)'),
  inch: at(
    `#?(?:(?:${NUMBERED})|\\d/\\d-\\d{2})(?:\\s*x\\s*(?:(?:\\d+\\s+)?\\d+/\\d+|${N})(?:\\s?(?:"|in\\b|inch\\b))?)?${END}`,
  ),
  metric: at(`(?:m|st)\\s?${N}(?:\\s*(?:x|by)\\s*${N})?(?:\\s?mm)?${END}`),
  // "3 xlr" are no three of anything called lr.
  count: at(
    '\\d{1,3}x(?=\\s|[a-z#]|\\d{1,2}-|\\d{1,2}/|$)|\\d{1,3}\\s+x(?=\\s|#|m\\d|\\d{1,2}-|\\d{1,2}/|$)|\\d{1,3}pcs?(?=\\s|$)',
  ),
  millimetres: at(`${N}\\s?mm${END}`),
  minutes: at(`${N}\\s?(?:min(?:utes?)?|mins|h|hours?|s|sec(?:onds?)?)${END}`),
  contacts: at('\\d{1,3}\\s?-?(?:p|pins?|ways?|contacts?)(?!\\w)'),
  wires: at('\\d{1,3}\\s?-?(?:w|wires?|cores?)(?!\\w)'),
  drive: at(
    `(?:t[xr]?\\s?\\d{1,2}\\s?(?:h|s|sec(?:urity)?)?|(?:ph|pz)\\s?(?:0{1,3}|\\d)|sl\\s?${N}|sq\\d?|5l\\s?\\d|y(?:0{1,3}|\\d)|hex\\s?\\d+/\\d+|hex\\s?${N}(?:\\s?mm)?)(?![\\w/.-])`,
  ),
  fraction: at('\\d+/\\d+(?![\\w/])'),
  number: at(`${N}(?=[\\s,;>()]|[.!?]?(?:\\s|$))`),
  word: at('[^\\s,;>()]+?(?=[.!?]?(?:[\\s,;>()]|$))'),
});

/**
 * The text as it is read: small letters and points, sign for sign as long as what was typed.
 *
 * @param text one line
 * @returns a text of the same length
 * @example plainOf('4× M2,5→Cup') // '4x m2.5>cup'
 */
export const plainOf = (text: string): string =>
  text
    .replaceAll('×', 'x')
    .replaceAll('→', '>')
    .replaceAll('->', ' >')
    // "took the back off: 8 screws"; a note has its own.
    .replace(/(?<=[a-z0-9])(?<!\bnote):(?=\s+\S)/gi, ',')
    // "fan off - 2 screws"
    .replace(/(?<=[a-z0-9)] )[-–—](?= (?!(?:off|out|from|at)\b)[a-z0-9(])/gi, ',')
    .replace(/(\d),(?=\d)/g, '$1.')
    .replace(/[A-Z]/g, (c) => c.toLowerCase());

/**
 * Cuts a line into tokens. Every sign but a space is in one of them.
 *
 * @param text one line
 * @returns tokens in their order
 * @example tokensOf('4xM2x8 lid').map((t) => t.type) // ['count', 'metric', 'word']
 */
export function tokensOf(text: string): Token[] {
  LEXER.reset(plainOf(text));
  const tokens = [...LEXER]
    .filter((t) => t.type !== 'space')
    .map((t) => ({
      type: t.type ?? 'word',
      text: t.value,
      from: t.offset,
      to: t.offset + t.value.length,
    }));
  return tokens.flatMap((t, i) => {
    const next = tokens[i + 1];
    const before = tokens[i - 1];
    // "twenty five" is said in two words and is one number.
    if (next && isTens(t.text) && isUnit(next.text))
      return [{ ...t, text: `${t.text}-${next.text}`, to: next.to }];
    return before && isTens(before.text) && isUnit(t.text) ? [] : [t];
  });
}
