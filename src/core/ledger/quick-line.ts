import {
  type Doubtful,
  type LineEntry,
  type Named,
  printEntry,
  readText,
  type Span,
  takesOff,
} from '../line';
import { freeCup } from './free-cup';
import type { ItemDraft, Place } from './items';

/** One move of a line, as it is recorded. */
export interface MoveSaid {
  /** as typed, or as one move of several reads */
  text: string;
  /** what is done: undo, unplug, lift, flip, heat … */
  verb: string;
  item: ItemDraft | null;
  /** side that is up after a flip */
  sideUp?: string;
  /** what a move that takes nothing off is done to */
  on?: string;
  minutes?: number;
  tool?: string;
  note?: string;
}

export interface QuickLine extends MoveSaid {
  spans: Span[];
  /** pieces that were not understood, kept as text */
  unknown: string[];
  /** pieces that were not understood or are nearly a name */
  doubtful: Doubtful[];
  /** every move of the line, each as it is recorded; empty when it says nothing */
  moves: MoveSaid[];
}

/** Where a thing is kept when nobody says: a plug hangs where it is, a part lies on the shelf. */
const usualPlace = (kind: ItemDraft['kind'], fallback: Place): Place => {
  if (kind === 'plug' || kind === 'change') return { kind: 'left in the part' };
  return kind === 'part' ? { kind: 'shelf' } : fallback;
};

/** What holds once. Common practice, no source. */
const ONCE = /\b(?:adhesive|glue|gasket|silicone|sealant)/i;

/** The thing that an entry takes off, or null. */
function draftOf(e: LineEntry, fallback: Place): ItemDraft | null {
  if (!e.kind || !e.name) return null;
  const { kind, thread, lengthMm, drive, head, from, contacts, wires, latch } = e;
  return {
    kind,
    name: kind === 'change' ? `${e.name} at ${e.to}` : e.name,
    count: e.count === undefined ? 1 : e.count,
    place: e.place ?? usualPlace(kind, fallback),
    ...(thread ? { thread } : {}),
    ...(lengthMm === undefined ? {} : { lengthMm }),
    ...(drive ? { drive } : {}),
    ...(head ? { head } : {}),
    ...(from ? { from } : {}),
    ...(contacts === undefined ? {} : { contacts }),
    ...(wires === undefined ? {} : { wires }),
    ...(latch ? { latch } : {}),
    ...(kind === 'tie' || (kind === 'tape' && ONCE.test(e.name)) ? { undoneBy: 'replaced by' as const } : {}),
    ...(e.aside ? { state: 'aside' as const } : {}),
  };
}

function moveOf(e: LineEntry, fallback: Place, text: string): MoveSaid {
  const item = draftOf(e, fallback);
  return {
    text,
    verb: e.does,
    item,
    ...(e.does === 'flip' && e.to ? { sideUp: e.to } : {}),
    ...(!item && e.name ? { on: e.name } : {}),
    ...(e.minutes === undefined ? {} : { minutes: e.minutes }),
    ...(e.tool ? { tool: e.tool } : {}),
    ...(e.note ? { note: e.note } : {}),
  };
}

/**
 * Where each thing of a line goes of which nobody says where: from cup to cup, past those that hold something.
 */
function usualPlaces(entries: readonly LineEntry[], first: Place, taken: readonly string[]): Place[] {
  const said = entries.flatMap((e) => (e.place?.kind === 'cup' && e.place.label ? [e.place.label] : []));
  const used = [...taken, ...said];
  const numbered = first.kind === 'cup' && /^\d+$/.test(first.label ?? '');
  return entries.map((e) => {
    const unsaid = e.kind && e.name && !e.place && usualPlace(e.kind, first) === first;
    if (!unsaid || !numbered) return first;
    const cup = freeCup(used, Number(first.label));
    used.push(cup.label);
    return cup;
  });
}

/**
 * Reads one line as a technician jots it: `4 x M3x8 PH1 rear cover > cup 3`, `unplug J7 24p latch`,
 * `lift shield`, `flip bottom`, `heat 2 min`. What is not understood is kept and listed, never dropped.
 *
 * @param text one line
 * @param fallback place for things whose place is not said
 * @param names covers, elements and plugs of the unit, things in the tray
 * @param taken cups that hold something, by what is written on them
 * @returns verb, the item that came off (null for a flip, a move that takes nothing off or an empty
 *   line), how it was read, and every move of the line
 * @example readLine('4x M3x8 PH1 rear cover > cup 3').item?.count // 4
 */
export function readLine(
  text: string,
  fallback: Place = { kind: 'shelf' },
  names: readonly Named[] = [],
  taken: readonly string[] = [],
): QuickLine {
  const { entries, doubtful, spans } = readText(text, names);
  const said = (e: LineEntry) => (entries.length > 1 ? printEntry(e) : text.trim());
  const places = usualPlaces(entries, fallback, taken);
  const moves = entries.map((e, k) => moveOf(e, places[k] ?? fallback, said(e)));
  return {
    ...(moves[0] ?? { verb: 'lift', item: null }),
    text,
    spans,
    doubtful,
    unknown: doubtful.filter((d) => d.nearest.length === 0).map((d) => d.text),
    moves: moves.filter((m) => m.item || m.sideUp || m.on || !takesOff(m.verb)),
  };
}

/**
 * Things that go in for the first time, as a line names them: `fan board`, `plug J7`, `4 x M3x8 PH1 lid`.
 *
 * @param text one line
 * @param names covers, elements and plugs of the unit
 * @returns a thing and its words for each; empty when none is named
 * @example toFitOf('plug J7')[0].item.kind // 'plug'
 */
export function toFitOf(text: string, names: readonly Named[] = []): { text: string; item: ItemDraft }[] {
  const takenOff = text
    .replace(/^\s*plug(?: in)?\s+/i, 'unplug ')
    .replace(/^\s*(?:fit|mount|insert|put in|screw in)\s+/i, '');
  return readLine(takenOff, { kind: 'shelf' }, names).moves.flatMap(({ text: words, item }) =>
    item && item.kind !== 'change' ? [{ text: words, item }] : [],
  );
}
