import { demand } from '../refusal';
import { type Item, OFF_STATES, specOf, tally } from './items';
import { find, type Ledger, swapped, type When, whole } from './ledger';

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
 * Whether a new one can go in for a thing that is written off: a screw is taken from stock and counted,
 * the old part has its new one in Swap.
 *
 * @param item from the tray
 * @returns true when what takes its place is owed on the way back
 * @example canGoIn({ kind: 'plug' }) // true
 */
export const canGoIn = (item: Pick<Item, 'kind' | 'old'>): boolean => item.kind !== 'fastener' && !item.old;

/**
 * Puts what takes the place of a thing that was written off where that was: under its name, in its turn
 * on the way back, closing over what it closed over; owed and proven.
 *
 * @param ledger after the write-off
 * @param id of the thing that was written off
 * @param replacement what goes in, and how many
 * @param when id and time of the event
 * @returns the ledger with the new thing not in yet
 * @throws Refusal for screws and for the old part
 * @example inItsPlace(ledger, 'W4', { count: 1, replacement: 'new ribbon' }, when)
 */
export function inItsPlace(
  ledger: Ledger,
  id: string,
  { count, replacement }: { count: number; replacement: string },
  when: When,
): Ledger {
  const old = find(ledger, id);
  demand(
    canGoIn(old),
    old.old
      ? `the new one for ${old.name} goes in at Swap`
      : 'a screw is replaced by another of its kind: count it with the rest',
    '/goesIn',
  );
  const { cover, ...gone } = old;
  const { kind, name, from, contacts, wires, latch, joint, inside, within, place } = old;
  const item: Item = {
    kind,
    name,
    replacement: replacement.trim(),
    count,
    place,
    id: when.id,
    at: when.at,
    by: { off: count },
    writtenOff: [],
    inside,
    fresh: true,
    ...(from ? { from } : {}),
    ...(contacts ? { contacts } : {}),
    ...(wires ? { wires } : {}),
    ...(latch ? { latch } : {}),
    ...(joint ? { joint } : {}),
    ...(within ? { within } : {}),
    ...(cover ? { cover } : {}),
  };
  return { ...ledger, items: ledger.items.flatMap((i) => (i === old ? [gone, item] : [i])) };
}
