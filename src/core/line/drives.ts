import { numberIn } from './numbers';
import { SCREW_WORD } from './screw-words';
import type { Token } from './tokens';

/** One family of drives: how it is written short, what people call it, what it looks like, its sizes. */
export interface DriveFamily {
  id: string;
  words: RegExp;
  looks: string;
  sizes: string[];
}

/** Drives that the line and the buttons know. */
export const DRIVES: DriveFamily[] = [
  { id: 'PH', words: /^(?:phill?ips|cross|crosshead)$/, looks: 'cross', sizes: ['00', '0', '1', '2', '3'] },
  { id: 'PZ', words: /^pozi(?:driv)?$/, looks: 'cross with ticks', sizes: ['0', '1', '2', '3'] },
  {
    id: 'T',
    words: /^(?:torx|six-?lobe|star)$/,
    looks: 'six-lobe',
    sizes: ['3', '4', '5', '6', '7', '8', '9', '10', '15', '20', '25', '27', '30', '40', '45', '50'],
  },
  {
    id: 'HEX',
    words: /^(?:hex|allen|hexagon)$/,
    looks: 'hex',
    sizes: ['1.5', '2', '2.5', '3', '4', '5', '6', '7', '8', '10', '13', '1/8', '5/32', '5/64', '3/32'],
  },
  { id: 'SL', words: /^(?:slot|slotted|flat-?blade)$/, looks: 'slot', sizes: ['3', '4', '5', '6'] },
  { id: 'SQ', words: /^(?:square)$/, looks: 'square', sizes: ['0', '1', '2', '3'] },
  { id: '5L', words: /^(?:pentalobe|five-?lobe)$/, looks: 'five-lobe', sizes: ['1', '2', '5', '6'] },
  { id: 'Y', words: /^(?:tri-?(?:wing|point))$/, looks: 'three wings', sizes: ['000', '00', '0', '1', '2'] },
];

/** The short name of a family as it is said by itself: "ph", "tee". */
const spelled = (d: DriveFamily) => (d.id === 'T' ? /^(?:t|tee|tx)$/ : new RegExp(`^${d.id.toLowerCase()}$`));

/** A drive as it is spelled, and how many tokens it took. */
interface DriveRead {
  drive: string;
  used: number;
}

/** "Phillips number one" */
const NUMBER = /^(?:number|no|size)$/;
const SECURITY = /^(?:security|sec|secure|pin-?in)$/;

/** A drive written short: T10, TX 10, PH1, hex2.5, Y1, T10h. */
function short(text: string): string | null {
  const t = /^t[xr]?\s?(\d{1,2})\s?(h|s|sec|security)?$/.exec(text);
  if (t) return `T${t[1]}${t[2] ? ' security' : ''}`;
  const m = /^(ph|pz|sl|sq|5l|y|hex)\s?(.*?)(?:\s?mm)?$/.exec(text);
  return m ? `${m[1]?.toUpperCase()}${m[2]}` : null;
}

/**
 * Reads a drive at a place of a line: `PH1`, `T10 security`, `phillips one`, `hex 2.5`, `1/8 hex`.
 *
 * @param tokens of the line
 * @param at where to look
 * @returns the drive and how many tokens it takes; null where there is none
 * @example driveAt(tokensOf('1/8 hex foot'), 0) // { drive: 'HEX1/8', used: 2 }
 */
export function driveAt(tokens: readonly Token[], at: number): DriveRead | null {
  const token = tokens[at];
  if (!token) return null;
  const secured = (drive: string, used: number): DriveRead =>
    SECURITY.test(tokens[at + used]?.text ?? '')
      ? { drive: `${drive} security`, used: used + 1 }
      : { drive, used };
  if (token.type === 'drive') {
    const drive = short(token.text);
    if (!drive) return null;
    // "T15 torx"
    const twice = DRIVES.find((d) => d.words.test(tokens[at + 1]?.text ?? ''));
    if (twice && drive.startsWith(twice.id)) return { drive, used: 2 };
    return drive.startsWith('T') && !drive.endsWith('security') ? secured(drive, 1) : { drive, used: 1 };
  }
  // "P2 screws", "pentalobe P2"
  const lobes = (t: Token | undefined) => /^p([1-6])$/.exec(t?.text ?? '')?.[1];
  if (lobes(token) && SCREW_WORD.test(tokens[at + 1]?.text ?? ''))
    return { drive: `5L${lobes(token)}`, used: 1 };
  const five = DRIVES.find((d) => d.id === '5L');
  if (five?.words.test(token.text) && lobes(tokens[at + 1]))
    return { drive: `5L${lobes(tokens[at + 1])}`, used: 2 };
  const sized = (t: Token | undefined) =>
    t && ['number', 'fraction', 'millimetres', 'word'].includes(t.type)
      ? (numberIn(t.text.replace(/\s?mm$/, '')) ?? (t.type === 'fraction' ? t.text : undefined))
      : undefined;
  // "1/8 hex", "5 mm hex"
  const before = sized(token);
  const wordAfter = tokens[at + 1]?.text ?? '';
  const family = DRIVES.find((d) => d.words.test(wordAfter));
  // "8 allen bolts" are eight of them.
  const many =
    token.type === 'number' &&
    SCREW_WORD.test(tokens[at + 2]?.text ?? '') &&
    !/^(?:count|number)$/.test(tokens[at - 1]?.type ?? '');
  if (before !== undefined && family?.id === 'HEX' && !many) return { drive: `HEX${before}`, used: 2 };
  if (token.type !== 'word') return null;
  const numbered = NUMBER.test(wordAfter) ? 1 : 0;
  const size = sized(tokens[at + 1 + numbered]);
  // Its short name is a name of it only with a size: "ph one", "tee ten".
  const named = DRIVES.find(
    (d) => d.words.test(token.text) || (size !== undefined && spelled(d).test(token.text)),
  );
  if (!named) return null;
  // "torx T15"
  const next = tokens[at + 1];
  const own = next?.type === 'drive' ? short(next.text) : null;
  if (own?.startsWith(named.id)) return { drive: own, used: 2 };
  const at2 = 2 + numbered;
  const point = tokens[at + at2]?.text === 'point' ? sized(tokens[at + at2 + 1]) : undefined;
  // A star is many things.
  if (size === undefined)
    return token.text === 'star'
      ? null
      : { drive: /^(?:T|5L)$/.test(named.id) ? named.looks : named.id, used: 1 };
  if (point !== undefined) return { drive: `${named.id}${size}.${point}`, used: at2 + 2 };
  return named.id === 'T' ? secured(`T${size}`, at2) : { drive: `${named.id}${size}`, used: at2 };
}
