import type { ItemDraft, Place } from './items';

/** A stretch of the line and what it was read as. */
export interface Span {
  from: number;
  to: number;
  as: string;
}

export interface QuickLine {
  /** what is done: undo, unplug, lift, flip … */
  verb: string;
  item: ItemDraft | null;
  /** side that is up after a flip */
  sideUp?: string;
  /** the text as typed */
  text: string;
  spans: Span[];
  /** pieces that were not understood, kept as text */
  unknown: string[];
}

/** Verbs of the quick line: what each takes off, and how that is undone. */
const VERBS: Record<string, Partial<ItemDraft> | null> = {
  undo: { kind: 'fastener' },
  unscrew: { kind: 'fastener' },
  unplug: { kind: 'plug' },
  unlatch: { kind: 'plug', latch: true },
  lift: { kind: 'part' },
  remove: { kind: 'part' },
  slide: { kind: 'part' },
  pry: { kind: 'part' },
  unclip: { kind: 'part' },
  peel: { kind: 'tape' },
  cut: { kind: 'tie', undoneBy: 'replaced by' },
  eject: { kind: 'media' },
  flip: null,
  turn: null,
};

const NUMBER = '(\\d+(?:\\.\\d+)?)';
const DRIVES: [RegExp, (m: RegExpExecArray) => string][] = [
  [/\bT(?:X|orx)?\s?(\d{1,2})\s?(?:h|s|sec(?:urity)?)\b/i, (m) => `T${m[1]} security`],
  [/\bT[XR]?\s?(\d{1,2})\b/i, (m) => `T${m[1]}`],
  [/\b(PH|PZ)\s?(0{1,3}|\d)\b/i, (m) => `${m[1]?.toUpperCase()}${m[2]}`],
  [/\bSL\s?(\d+(?:\.\d+)?)\b/i, (m) => `SL${m[1]}`],
  [/\bslot(?:ted)?\b/i, () => 'SL'],
  [/\bhex\s?(\d+\/\d+)\b/i, (m) => `HEX${m[1]}`],
  [/\bhex\s?(\d+(?:\.\d+)?)(?:\s?mm)?\b/i, (m) => `HEX${m[1]}`],
  [/\bhex\b/i, () => 'HEX'],
  [/\b(?:tri-?wing\s?)?Y\s?(\d)\b/i, (m) => `Y${m[1]}`],
  [/\b(?:SQ|square\s?)(\d)?\b/i, (m) => `SQ${m[1] ?? ''}`],
];
const HEAD_WORDS = 'pan|flat|countersunk|button|cap|cheese|flange|truss';
const HEADS = new RegExp(`\\b(${HEAD_WORDS})\\b(?:\\s+head)?`, 'i');
const SPELLED_HEADS = new RegExp(`\\b(${HEAD_WORDS})\\s+head\\b`, 'i');
const NOISE = /^(of|the|a|from|off|on|at|with|and|to|in)$/i;

/** Cuts recognised stretches out of a line while remembering where they stood. */
class Line {
  rest: string;
  readonly spans: Span[] = [];

  constructor(readonly text: string) {
    this.rest = text;
  }

  take(pattern: RegExp, as: string): RegExpExecArray | null {
    const m = pattern.exec(this.rest);
    if (!m) return null;
    const from = m.index + (m[0].length - m[0].trimStart().length);
    const to = m.index + m[0].trimEnd().length;
    this.spans.push({ from, to, as });
    this.rest =
      this.rest.slice(0, m.index) + ' '.repeat(m[0].length) + this.rest.slice(m.index + m[0].length);
    return m;
  }
}

function readPlace(line: Line): Place | null {
  if (line.take(/(?:>|\binto\b|\bto\b|\bin\b)?\s*\b(?:left\s+)?in\s+(?:the|its)\s+part\b/i, 'kept in'))
    return { kind: 'left in the part' };
  if (line.take(/(?:>|\binto\b|\bin\b)?\s*\b(?:in\s+)?(?:its|own|its own)\s+hole\b/i, 'kept in'))
    return { kind: 'in its own hole' };
  if (line.take(/(?:>|\bto\b|\bon\b)?\s*\b(?:taped\s+)?(?:on|to)?\s*(?:the\s+)?photo\b/i, 'kept in'))
    return { kind: 'taped to the photo' };
  const cup = line.take(
    /(?:>|\binto\b|\bto\b|\bin\b)?\s*\b(cup|bag|shelf)\b\s*([A-Za-z]?\d+|[A-Z])?\b/i,
    'kept in',
  );
  if (!cup) return null;
  const kind = (cup[1] as string).toLowerCase() as 'cup' | 'bag' | 'shelf';
  return cup[2] ? { kind, label: cup[2] } : { kind };
}

function inches(text: string): number {
  const [whole, top, bottom] = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text)?.slice(1) ?? [];
  if (top && bottom) return (Number(whole ?? 0) + Number(top) / Number(bottom)) * 25.4;
  return Number(text) * 25.4;
}

function readFastener(line: Line): Partial<ItemDraft> {
  const metric = line.take(
    new RegExp(`\\b(M|ST)\\s?${NUMBER}(?:\\s*x\\s*${NUMBER})?(?:\\s?mm)?\\b`, 'i'),
    'what',
  );
  if (metric) {
    return {
      kind: 'fastener',
      thread: `${metric[1]?.toUpperCase()}${Number(metric[2])}`,
      ...(metric[3] ? { lengthMm: Number(metric[3]) } : {}),
    };
  }
  const inch = line.take(
    /#?\b(\d{1,2}-\d{2}|\d\/\d-\d{2})\b(?:\s*x\s*((?:\d+\s+)?\d+\/\d+|\d+(?:\.\d+)?)\s*(?:"|in(?:ch)?\b)?)?/i,
    'what',
  );
  if (inch) {
    return {
      kind: 'fastener',
      thread: inch[1] as string,
      ...(inch[2] ? { lengthMm: Number(inches(inch[2]).toFixed(3)) } : {}),
    };
  }
  return {};
}

function readCount(line: Line): number | null | undefined {
  if (line.take(/\b(?:several|some)\b(?:\s*x\b)?/i, 'how many')) return null;
  const m =
    line.take(/(?:^|\s)(\d{1,3})\s*x(?=\s|$)/i, 'how many') ??
    line.take(/^\s*(\d{1,3})(?=\s+\D)/, 'how many');
  return m ? Number(m[1]) : undefined;
}

/**
 * Reads one line as a technician jots it: `4 x M3x8 PH1 rear cover > cup 3`, `unplug J7 24p latch`,
 * `lift shield`, `flip bottom`. The order of words is free, units are optional, `×` or `x`, comma or
 * point, inch threads and fractions. What is not understood is kept and listed, never dropped.
 *
 * @param text one line
 * @param fallback place for things whose place is not said
 * @returns verb, the item that came off (null for a flip or an empty line), and how it was read
 * @example readLine('4x M3x8 PH1 rear cover > cup 3').item?.count // 4
 */
export function readLine(text: string, fallback: Place = { kind: 'shelf' }): QuickLine {
  const plain = text
    .replaceAll('×', 'x')
    .replaceAll('→', '>')
    .replace(/(\d),(\d)/g, '$1.$2');
  const line = new Line(plain);
  const place = readPlace(line);
  const screw = readFastener(line);
  const count = readCount(line);
  let drive: string | undefined;
  for (const [pattern, write] of DRIVES) {
    const m = line.take(pattern, 'driver');
    if (m) {
      drive = write(m);
      break;
    }
  }
  // "lift dust cap", "unplug flat cable": a word of a name is a head only beside a screw.
  const head = line.take(screw.kind || drive ? HEADS : SPELLED_HEADS, 'head')?.[1]?.toLowerCase();
  const contacts = line.take(/\b(\d{1,3})\s?-?(?:p|pins?|ways?|contacts?)\b/i, 'contacts');
  const latch = line.take(/\b(?:latch(?:ed)?|lever)\b/i, 'latch') !== null;
  const aside = line.take(/\baside\b/i, 'state') !== null;
  const spoken = line
    .take(new RegExp(`\\b(${Object.keys(VERBS).join('|')})\\b`, 'i'), 'verb')?.[1]
    ?.toLowerCase();
  const isScrewWord = line.take(/\b(?:screws?|bolts?|nuts?|washers?|standoffs?)\b/i, 'what')?.[0]?.trim();
  const isTape = line.take(/\btape\b/i, 'what') !== null;
  const isTie = line.take(/\b(?:cable\s+)?tie\b/i, 'what') !== null;

  const words: string[] = [];
  const unknown: string[] = [];
  let targetFrom = -1;
  let targetTo = -1;
  for (const m of line.rest.matchAll(/\S+/g)) {
    const w = m[0];
    // "unplug plug J7" names J7, "unplug main plug" names the main plug.
    const empty = NOISE.test(w) || w === '>' || w === ',' || (words.length === 0 && /^plug$/i.test(w));
    if (empty) continue;
    if (/^[\p{L}][\p{L}\p{N}./+'-]*,?$/u.test(w)) {
      words.push(w.replace(/,$/, ''));
      if (targetFrom < 0) targetFrom = m.index;
      targetTo = m.index + w.length;
    } else {
      unknown.push(w);
      line.spans.push({ from: m.index, to: m.index + w.length, as: 'not understood' });
    }
  }
  if (targetFrom >= 0) line.spans.push({ from: targetFrom, to: targetTo, as: 'from' });
  const target = words.join(' ');
  const spans = line.spans.sort((a, b) => a.from - b.from);
  const base = { text, spans, unknown };

  if (spoken === 'flip' || spoken === 'turn')
    return { ...base, verb: 'flip', item: null, sideUp: target || 'over' };
  const isFastener =
    screw.kind === 'fastener' || isScrewWord !== undefined || (drive !== undefined && !spoken);
  const verb = spoken ?? (isFastener ? 'undo' : isTape ? 'peel' : isTie ? 'cut' : 'lift');
  if (!target && !isFastener && !isTape && !isTie) return { ...base, verb, item: null };
  const shape = VERBS[verb] ?? {};
  const kind = isFastener ? 'fastener' : isTape ? 'tape' : isTie ? 'tie' : (shape.kind ?? 'part');
  const name =
    kind === 'fastener'
      ? (isScrewWord ?? 'screw')
      : kind === 'tape'
        ? `tape ${target}`.trim()
        : kind === 'tie'
          ? `tie ${target}`.trim()
          : target;
  const item: ItemDraft = {
    ...shape,
    ...screw,
    kind,
    name,
    count: count === undefined ? 1 : count,
    place:
      place ??
      (kind === 'plug' ? { kind: 'left in the part' } : kind === 'part' ? { kind: 'shelf' } : fallback),
    ...(drive ? { drive } : {}),
    ...(head ? { head } : {}),
    ...(contacts ? { contacts: Number(contacts[1]) } : {}),
    ...(latch || shape.latch ? { latch: true } : {}),
    ...(kind === 'fastener' && target ? { from: target } : {}),
    ...(kind === 'tie' ? { undoneBy: 'replaced by' as const } : {}),
    ...(aside ? { state: 'aside' as const } : {}),
  };
  return { ...base, verb, item };
}
