import { demand, Refusal } from '../refusal';
import {
  type BackState,
  type Item,
  type ItemDraft,
  type ItemState,
  isProvable,
  JOURNEYS,
  OFF_STATES,
  type Place,
  placeWords,
  specOf,
  tally,
} from './items';

export type CoverState = 'open' | 'trial' | 'final';

export interface Cover {
  id: string;
  name: string;
  state: CoverState;
  /** when it last changed */
  at: string;
}

export interface LedgerMove {
  id: string;
  at: string;
  verb: string;
  text: string;
  item?: string;
  sideUp?: string;
}

/** Everything that is off the unit, where it is, and what may close. */
export interface Ledger {
  items: Item[];
  covers: Cover[];
  moves: LedgerMove[];
  sideUp?: string;
}

export const EMPTY_LEDGER: Ledger = { items: [], covers: [], moves: [] };

/** Who does it, when: the part of an event that every rule may use. */
export interface When {
  id: string;
  at: string;
}

export interface MoveDraft {
  verb: string;
  text: string;
  item: ItemDraft | null;
  /** the cover this part is, if it is one */
  cover?: string;
  sideUp?: string;
  fresh?: boolean;
  /** the unit inside the unit it comes off */
  within?: string;
  /** covers that lie over it, where the map says; every open one when absent */
  under?: string[];
}

function find(ledger: Ledger, id: string): Item {
  const item = ledger.items.find((i) => i.id === id);
  if (!item) throw new Refusal('there is no such thing in the tray', '/item');
  return item;
}

const swapped = (ledger: Ledger, item: Item): Ledger => ({
  ...ledger,
  items: ledger.items.map((i) => (i.id === item.id ? item : i)),
});

const whole = (n: number, path = '/count') =>
  demand(Number.isInteger(n) && n >= 1, `a count is a whole number from 1 up, not ${n}`, path);

/**
 * Records a move: what came off, where it lies now, or a flip.
 *
 * @param ledger before
 * @param move what was done; counts are pieces, lengths millimetres
 * @param when id and time of the event
 * @returns the ledger with the item off
 * @throws Refusal when the thing is off already, has no name or no whole count
 * @example take(EMPTY_LEDGER, { verb: 'unplug', text: 'unplug J7', item: j7 }, { id: '1', at }).items.length // 1
 */
export function take(ledger: Ledger, move: MoveDraft, when: When): Ledger {
  const { item: draft } = move;
  const moves = [
    ...ledger.moves,
    {
      ...when,
      verb: move.verb,
      text: move.text,
      ...(draft ? { item: when.id } : {}),
      ...(move.sideUp ? { sideUp: move.sideUp } : {}),
    },
  ];
  if (!draft) {
    demand(move.sideUp, 'say what came off, or which side is up', '/item');
    return { ...ledger, moves, sideUp: move.sideUp };
  }
  demand(draft.name.trim() !== '', 'say what came off', '/item/name');
  if (draft.count !== null) whole(draft.count, '/item/count');
  demand(draft.lengthMm === undefined || draft.lengthMm > 0, 'a length is over 0 mm', '/item/lengthMm');
  if (draft.kind !== 'fastener') {
    const same = ledger.items.find(
      (i) =>
        i.kind === draft.kind &&
        i.name.toLowerCase() === draft.name.toLowerCase() &&
        !i.fresh &&
        tally(i).off > 0,
    );
    demand(!same, `${draft.name} is off already, ${same ? placeWords(same.place) : ''}`, '/item/name');
  }
  const before = ledger.items.find(
    (i) =>
      draft.kind !== 'fastener' &&
      i.kind === draft.kind &&
      i.name.toLowerCase() === draft.name.toLowerCase() &&
      !i.fresh &&
      tally(i).back > 0,
  );
  const inside = ledger.covers
    .filter((c) => c.state !== 'final' && c.id !== move.cover && (move.under?.includes(c.id) ?? true))
    .map((c) => c.id);
  const item: Item = {
    ...draft,
    id: when.id,
    at: when.at,
    by: { [draft.state ?? 'off']: draft.count ?? 1 },
    writtenOff: [],
    inside,
    ...(move.cover ? { cover: move.cover } : {}),
    ...(move.within ? { within: move.within } : {}),
    ...(move.fresh ? { fresh: true, by: { fitted: draft.count ?? 1 } } : {}),
  };
  const covers = move.cover
    ? [
        ...ledger.covers.filter((c) => c.id !== move.cover),
        { id: move.cover, name: draft.name, state: 'open' as const, at: when.at },
      ]
    : ledger.covers;
  // Off again after it had been back: the earlier entry is closed by this one.
  const items = before ? ledger.items.filter((i) => i.id !== before.id) : ledger.items;
  return { ...ledger, items: [...items, item], covers, moves };
}

/**
 * Puts some of an item back, into a state of its way back.
 *
 * @param ledger before
 * @param id item
 * @param count pieces, whole
 * @param state loose, half tight, tight, plugged, fitted, moved to
 * @returns the ledger with so many moved on
 * @throws Refusal when fewer are off, the state is not one of this kind, or it was never counted
 * @example giveBack(ledger, screws, 6, 'tight') // "6 of 8 back"
 */
export function giveBack(ledger: Ledger, id: string, count: number, state: BackState): Ledger {
  const item = find(ledger, id);
  whole(count);
  demand(state !== 'proven', 'proving has its own entry: say how it was proven', '/state');
  const { way } = JOURNEYS[item.kind];
  demand(way.includes(state), `${specOf(item)} cannot be ${state}`, '/state');
  demand(item.count !== null, `${specOf(item)}: several, not counted. Count them first`, '/count');
  const earlier: ItemState[] = [
    ...way
      .slice(0, way.indexOf(state))
      .filter((s) => s !== 'proven')
      .reverse(),
    ...OFF_STATES,
  ];
  const ready = earlier.reduce((n, s) => n + (item.by[s] ?? 0), 0) - missing(item);
  demand(ready > 0, `${specOf(item)} is not off`, '/item');
  demand(count <= ready, `only ${ready} of ${specOf(item)} can be put back, not ${count}`, '/count');
  const by = { ...item.by };
  let left = count;
  for (const s of earlier) {
    const n = Math.min(left, by[s] ?? 0);
    if (n === 0) continue;
    by[s] = (by[s] ?? 0) - n;
    left -= n;
  }
  by[state] = (by[state] ?? 0) + count;
  return swapped(ledger, { ...item, by });
}

/**
 * Takes some of an item off again that had been put back.
 *
 * @param ledger before
 * @param id item
 * @param count pieces, whole
 * @returns the ledger with so many off again; a proof falls
 * @throws Refusal when fewer are back
 * @example takeAgain(ledger, 'J7', 1)
 */
export function takeAgain(ledger: Ledger, id: string, count: number): Ledger {
  const item = find(ledger, id);
  whole(count);
  const { back } = tally(item);
  demand(count <= back, `only ${back} of ${specOf(item)} are back, not ${count}`, '/count');
  const by = { ...item.by };
  let left = count;
  for (const s of [...JOURNEYS[item.kind].way].reverse()) {
    const n = Math.min(left, by[s] ?? 0);
    by[s] = (by[s] ?? 0) - n;
    left -= n;
  }
  by.off = (by.off ?? 0) + count;
  const { proof: _fallen, ...rest } = item;
  const covers = ledger.covers.map((c) => (c.id === item.cover ? { ...c, state: 'open' as const } : c));
  return { ...swapped(ledger, { ...rest, by }), covers };
}

/**
 * Notes that an item is proven: the latch clicked, it held a tug, both ends were looked at.
 *
 * @param ledger before
 * @param id item, wholly back
 * @param how the act
 * @param at time
 * @returns the ledger with the proof
 * @throws Refusal when it is still off or no act is named
 * @example prove(ledger, 'J7', 'tug', at)
 */
export function prove(ledger: Ledger, id: string, how: string, at: string): Ledger {
  const item = find(ledger, id);
  demand(how.trim() !== '', 'say how it was proven: click, tug, both ends looked at', '/how');
  const t = tally(item);
  demand(t.off === 0 && t.back > 0, `${specOf(item)} is still ${placeWords(item.place)}`, '/item');
  demand(isProvable(item.kind), 'a screw is tight or not, it is not proven', '/item');
  return swapped(ledger, { ...item, by: { proven: t.back }, proof: { how: how.trim(), at } });
}

/**
 * Turns "several, not counted" into a number.
 *
 * @param ledger before
 * @param id item
 * @param count pieces found
 * @returns the ledger with the count
 * @throws Refusal when it was counted before
 * @example countItem(ledger, screws, 5)
 */
export function countItem(ledger: Ledger, id: string, count: number): Ledger {
  const item = find(ledger, id);
  whole(count);
  demand(item.count === null, `${specOf(item)} was counted: ${item.count}`, '/item');
  const [state] = Object.keys(item.by) as ItemState[];
  return swapped(ledger, { ...item, count, by: { [state ?? 'off']: count } });
}

/**
 * Writes some of an item off: stripped, one-time, lost. It is owed no longer.
 *
 * @param ledger before
 * @param id item
 * @param off count, reason and what takes its place
 * @returns the ledger with the entry
 * @throws Refusal without reason or replacement, or when fewer are off
 * @example writeOff(ledger, screws, { count: 1, reason: 'stripped', replacement: 'M3×8 from stock' })
 */
export function writeOff(
  ledger: Ledger,
  id: string,
  off: { count: number; reason: string; replacement: string },
): Ledger {
  const item = find(ledger, id);
  whole(off.count);
  demand(off.reason.trim() !== '', 'say why it is written off', '/reason');
  demand(off.replacement.trim() !== '', 'say what takes its place', '/replacement');
  demand(item.count !== null, `${specOf(item)}: several, not counted. Count them first`, '/count');
  const t = tally(item);
  demand(off.count <= t.off, `only ${t.off} of ${specOf(item)} are off, not ${off.count}`, '/count');
  const by = { ...item.by };
  let left = off.count;
  for (const s of OFF_STATES) {
    const n = Math.min(left, by[s] ?? 0);
    by[s] = (by[s] ?? 0) - n;
    left -= n;
  }
  const lost = item.missing ? Math.max(0, item.missing - off.count) : 0;
  const { missing: _before, ...rest } = item;
  return swapped(ledger, {
    ...rest,
    by,
    writtenOff: [...item.writtenOff, off],
    ...(lost ? { missing: lost } : {}),
  });
}

/**
 * What takes the place of a thing that was written off: it is owed on the way back as that was, and proven.
 *
 * @param ledger after the write-off
 * @param id of the thing that was written off
 * @param replacement count and name of what goes in
 * @param when id and time of the event
 * @returns the ledger with the new thing off
 * @throws Refusal for screws, which are taken from stock and counted
 * @example inItsPlace(ledger, 'W4', { count: 1, name: 'new ribbon' }, when)
 */
export function inItsPlace(
  ledger: Ledger,
  id: string,
  replacement: { count: number; name: string },
  when: When,
): Ledger {
  const old = find(ledger, id);
  demand(
    old.kind !== 'fastener',
    'a screw is replaced by another of its kind: count it with the rest',
    '/goesIn',
  );
  const { kind, from, contacts, latch, inside, within, place } = old;
  const item: Item = {
    kind,
    name: replacement.name.trim(),
    count: replacement.count,
    place,
    id: when.id,
    at: when.at,
    by: { off: replacement.count },
    writtenOff: [],
    inside,
    fresh: true,
    ...(from ? { from } : {}),
    ...(contacts ? { contacts } : {}),
    ...(latch ? { latch } : {}),
    ...(within ? { within } : {}),
  };
  // It goes back where the old one would have: its turn on the way back is the same.
  return { ...ledger, items: ledger.items.flatMap((i) => (i === old ? [old, item] : [i])) };
}

/** Things that would fall or slide when the unit is turned: loose in their holes, or left lying in a part. */
export const looseNow = (ledger: Ledger): Item[] =>
  ledger.items.filter(
    (i) =>
      (i.by.loose ?? 0) > 0 ||
      (i.kind === 'fastener' &&
        tally(i).off > 0 &&
        (i.place.kind === 'left in the part' || i.place.kind === 'in its own hole')),
  );

const missing = (item: Item) => item.missing ?? 0;

/**
 * Notes how many of the pieces off cannot be found.
 *
 * @param ledger before
 * @param id item
 * @param count pieces missing, 0 when all are found again
 * @returns the ledger with the note
 * @throws Refusal when more are missing than off
 * @example miss(ledger, screws, 1)
 */
export function miss(ledger: Ledger, id: string, count: number): Ledger {
  const item = find(ledger, id);
  demand(Number.isInteger(count) && count >= 0, `a count is a whole number, not ${count}`, '/count');
  const { off } = tally(item);
  demand(count <= off, `only ${off} of ${specOf(item)} are off, so ${count} cannot be missing`, '/count');
  const { missing: _before, ...rest } = item;
  return swapped(ledger, count ? { ...rest, missing: count } : rest);
}

/** Moves an item to another place. */
export function stash(ledger: Ledger, id: string, place: Place): Ledger {
  return swapped(ledger, { ...find(ledger, id), place });
}

/** Notes what was cut, trimmed or shortened on an item. */
export function alter(ledger: Ledger, id: string, what: string): Ledger {
  demand(what.trim() !== '', 'say what was altered, with its measure', '/what');
  return swapped(ledger, { ...find(ledger, id), altered: what.trim() });
}
