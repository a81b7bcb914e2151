import { demand } from '../refusal';
import { type BackState, type ItemState, isProvable, JOURNEYS, OFF_STATES, specOf, tally } from './items';
import { find, type Ledger, swapped, whole } from './ledger';
import { placeWords } from './place-words';

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
  const ready = earlier.reduce((n, s) => n + (item.by[s] ?? 0), 0) - (item.missing ?? 0);
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
