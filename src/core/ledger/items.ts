import { PLACE_KINDS, type Place, type PlaceKind, THING_KINDS, type ThingKind } from '../line';
import type { WayBackNote } from '../unit';
import type { JointId } from './joints';
import { placeWords } from './place-words';

export { PLACE_KINDS, type Place, type PlaceKind };

export const ITEM_KINDS = THING_KINDS;
export type ItemKind = ThingKind;

/** States of a thing that still counts as off the unit. */
export const OFF_STATES = ['off', 'aside', 'in its own hole'] as const;
/** States of a thing that is back, in part or wholly. */
export const BACK_STATES = [
  'loose',
  'half tight',
  'tight',
  'plugged',
  'fitted',
  'proven',
  'moved to',
] as const;
export const ITEM_STATES = [...OFF_STATES, ...BACK_STATES] as const;
export type OffState = (typeof OFF_STATES)[number];
export type BackState = (typeof BACK_STATES)[number];
export type ItemState = (typeof ITEM_STATES)[number];

export const UNDONE_BY = ['reverse', 'nothing', 'replaced by'] as const;
export type UndoneBy = (typeof UNDONE_BY)[number];

/** A thing as it is recorded when it comes off. */
export interface ItemDraft {
  kind: ItemKind;
  /** what it is: "J7", "rear cover", "screw" */
  name: string;
  thread?: string;
  lengthMm?: number;
  drive?: string;
  head?: string;
  /** null = several, not counted */
  count: number | null;
  /** where it came from */
  from?: string;
  contacts?: number;
  /** wires of its lead, where they are fewer than its contacts */
  wires?: number;
  latch?: boolean;
  /** how it is held */
  joint?: JointId;
  place: Place;
  state?: OffState;
  undoneBy?: UndoneBy;
}

export interface WriteOff {
  count: number;
  reason: string;
  replacement: string;
}

export interface Item extends ItemDraft {
  id: string;
  /** how many stand in each state; written-off ones are not in here */
  by: Partial<Record<ItemState, number>>;
  writtenOff: WriteOff[];
  /** covers that were off when this came off: it lies inside them */
  inside: string[];
  /** the cover this item is, if it is one */
  cover?: string;
  /** how it was proven after it came back */
  proof?: { how: string; at: string };
  /** what was cut, trimmed or shortened */
  altered?: string;
  /** how many of those off cannot be found */
  missing?: number;
  /** new in this job: fitted at Swap, or going in for one that was written off */
  fresh?: boolean;
  /** put together for the first time: nothing came off for it */
  assembly?: boolean;
  /** a thing that is new every time: new ones went in, or why the old ones did */
  once?: string;
  /** what goes in under this name for the one that was written off */
  replacement?: string;
  /** what is different when it goes back */
  back?: WayBackNote;
  /** one of its kind was laid on the rule */
  measured?: { mm: number; at: string };
  /** the cover it belongs to, as it was said when that was not clear; null = none */
  of?: string | null;
  /** the old part: something else goes in its place */
  old?: boolean;
  /** the unit inside the unit that it came off */
  within?: string;
  /** when it came off */
  at: string;
}

/** How one kind of thing comes home. */
export interface Journey {
  /** the states on its way back, in their order; `proven` only where it is proven by an act */
  way: BackState[];
  /** the state it goes to when it is put back */
  back: BackState;
  /** states in which a final close lets it be */
  home: BackState[];
}

/** The one table of what may become of a thing, for every kind. */
export const JOURNEYS: Record<ItemKind, Journey> = {
  fastener: { way: ['loose', 'half tight', 'tight', 'moved to'], back: 'tight', home: ['tight', 'moved to'] },
  plug: { way: ['plugged', 'proven', 'moved to'], back: 'plugged', home: ['proven', 'moved to'] },
  part: { way: ['fitted', 'proven', 'moved to'], back: 'fitted', home: ['fitted', 'proven', 'moved to'] },
  tie: { way: ['fitted', 'proven'], back: 'fitted', home: ['fitted', 'proven'] },
  tape: { way: ['fitted', 'proven'], back: 'fitted', home: ['fitted', 'proven'] },
  media: { way: ['fitted', 'proven'], back: 'fitted', home: ['fitted', 'proven'] },
  change: { way: ['fitted', 'proven'], back: 'fitted', home: ['fitted', 'proven'] },
};

/** Whether a thing of this kind can be proven by a click, a tug, a look. */
export const isProvable = (kind: ItemKind): boolean => JOURNEYS[kind].way.includes('proven');

const isOff = (s: string): s is OffState => (OFF_STATES as readonly string[]).includes(s);

/**
 * How many of an item are off, back and written off. Taken off = the sum of the three, always.
 *
 * @param item an item
 * @returns counts; for "several, not counted" 1 stands for the several
 * @example tally({ count: 4, by: { off: 1, tight: 3 }, writtenOff: [] }) // { taken: 4, off: 1, back: 3, writtenOff: 0 }
 */
export function tally(item: Pick<Item, 'count' | 'by' | 'writtenOff'>) {
  let off = 0;
  let back = 0;
  for (const [state, n] of Object.entries(item.by)) {
    if (isOff(state)) off += n;
    else back += n;
  }
  return { taken: item.count ?? 1, off, back, writtenOff: item.writtenOff.reduce((a, w) => a + w.count, 0) };
}

/**
 * Whether a part that is back has to be proven by an act: what is new, and what sits on a pin strip.
 *
 * @param item from the tray
 * @returns true when it is not home before
 * @example wantsProof({ kind: 'part', joint: 'pin strip' }) // true
 */
export const wantsProof = (item: Pick<Item, 'kind' | 'fresh' | 'joint'>): boolean =>
  isProvable(item.kind) && (item.fresh === true || (item.kind === 'part' && item.joint === 'pin strip'));

/**
 * What is still owed before a cover may close finally over an item, in words; null when nothing is.
 *
 * @param item an item
 * @returns a short phrase such as "2 of 4 still in cup 3", or null
 * @example owed(fourScrewsOneHalfTight) // '1 × M3×8 half tight, not tight'
 */
export function owed(item: Item): string | null {
  const t = tally(item);
  const what = specOf(item);
  if (item.count === null) return `${what}: several, not counted. Count them first`;
  if (t.off > 0) {
    if (item.undoneBy === 'nothing') return null;
    if (item.replacement) return `${what} is written off, and ${item.replacement} is not in yet`;
    if (item.old) return `${what} is out, and nothing is in its place`;
    const many = t.off === 1 && t.taken === 1 ? what : `${t.off} × ${what}`;
    return (item.by.aside ?? 0) > 0 ? `${many} still moved aside` : `${many} still ${placeWords(item.place)}`;
  }
  const { home } = JOURNEYS[item.kind];
  for (const [state, n] of Object.entries(item.by) as [ItemState, number][]) {
    if (n === 0 || home.includes(state as BackState)) continue;
    if (item.kind === 'plug') return `${what} is plugged but not proven`;
    return `${n} × ${what} ${state}, not tight`;
  }
  if (wantsProof(item) && t.back > 0 && !item.proof) return `${what} is in but not proven`;
  return null;
}

/** What each screw carries. */
const WITH = /with (?:\S+ )?(?:washer|nut)$/;

/**
 * Spec of an item as written on a cup: thread, length and drive, or its name.
 *
 * @param item an item or a draft
 * @returns such as "M3×8 PH1" or "J7"
 * @example specOf({ kind: 'fastener', name: 'screw', thread: 'M3', lengthMm: 8, drive: 'PH1' }) // 'M3×8 PH1'
 */
export function specOf(item: Pick<ItemDraft, 'kind' | 'name' | 'thread' | 'lengthMm' | 'drive'>): string {
  if (item.kind !== 'fastener' || !item.thread) return [item.name, item.drive].filter(Boolean).join(' ');
  const size = item.lengthMm === undefined ? item.thread : `${item.thread}×${lengthWords(item)}`;
  return [size, item.drive, WITH.exec(item.name)?.[0]].filter(Boolean).join(' ');
}

function lengthWords(item: Pick<ItemDraft, 'thread' | 'lengthMm'>): string {
  const mm = item.lengthMm as number;
  if (item.thread?.includes('-')) {
    const eighths = Math.round((mm / 25.4) * 16);
    if (Math.abs(eighths * 25.4 - mm * 16) < 0.5) return `${fraction(eighths, 16)} in`;
  }
  return String(Number(mm.toFixed(2)));
}

function fraction(a: number, b: number): string {
  let n = a;
  let d = b;
  while (n % 2 === 0 && d > 1) {
    n /= 2;
    d /= 2;
  }
  return d === 1 ? String(n) : `${n}/${d}`;
}
