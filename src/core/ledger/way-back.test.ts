import { describe, expect, it } from 'vitest';
import {
  closeRefusals,
  EMPTY_LEDGER,
  giveBack,
  ITEM_KINDS,
  type Item,
  type ItemDraft,
  inItsPlace,
  isProvable,
  JOURNEYS,
  type Ledger,
  looseNow,
  owed,
  PROOFS,
  prove,
  take,
  tally,
  wayBack,
  writeOff,
} from '.';

const AT = '2026-11-26T10:00:00.000Z';
let n = 0;
const on = (
  l: Ledger,
  item: Partial<ItemDraft> & { kind: ItemDraft['kind']; name: string },
  more: { cover?: string; fresh?: boolean } = {},
) =>
  take(
    l,
    { verb: 'x', text: '', item: { count: 1, place: { kind: 'shelf' }, ...item }, ...more },
    { id: `w${n++}`, at: AT },
  );
const texts = (l: Ledger) => wayBack(l).map((s) => s.text);

/** A lid and its two screws, off. */
const lidOff = () =>
  on(
    on(EMPTY_LEDGER, { kind: 'fastener', name: 'screw', thread: 'M3', lengthMm: 8, count: 2, from: 'lid' }),
    { kind: 'part', name: 'lid' },
    { cover: 'lid' },
  );

describe('the order of the way back', () => {
  const opened = () => {
    const l = on(lidOff(), { kind: 'plug', name: 'W6' });
    return on(l, { kind: 'part', name: 'new pack' }, { fresh: true });
  };
  it('what is new is proven once its plugs are in, and before the cover', () => {
    expect(texts(opened())).toEqual([
      'Plug in W6',
      'Prove new pack',
      'Fit lid',
      'Screw in 2 × M3×8, lid',
      'Close lid',
    ]);
  });
  it('a plug that is in is proven next', () => {
    const l = opened();
    const w6 = l.items.find((i) => i.name === 'W6')?.id ?? '';
    expect(texts(giveBack(l, w6, 1, 'plugged'))[0]).toBe('Prove W6');
    expect(texts(prove(giveBack(l, w6, 1, 'plugged'), w6, 'held a tug', AT))[0]).toBe('Prove new pack');
  });
  it('without a cover it comes last', () => {
    let l = on(EMPTY_LEDGER, { kind: 'plug', name: 'W6' });
    l = on(l, { kind: 'part', name: 'new pack' }, { fresh: true });
    expect(texts(l)).toEqual(['Plug in W6', 'Prove new pack']);
  });
  it('words of a proof follow what is proven', () => {
    for (const kind of ITEM_KINDS) expect(PROOFS[kind].length).toBeGreaterThan(0);
    const [first] = wayBack(on(EMPTY_LEDGER, { kind: 'part', name: 'board' }, { fresh: true }));
    expect(first?.note).toBe('sits home, nothing pinched, its fixing holds it, leads run as they did');
  });
});

describe('how each kind comes home', () => {
  it.each(ITEM_KINDS)('%s', (kind) => {
    const { way, back, home } = JOURNEYS[kind];
    expect(way).toContain(back);
    for (const state of home) expect([...way, 'proven']).toContain(state);
    expect(isProvable(kind)).toBe(kind !== 'fastener');
    let l = on(EMPTY_LEDGER, { kind, name: 'it', from: 'lid' });
    const id = l.items[0]?.id ?? '';
    const item = () => l.items[0] as (typeof l.items)[0];
    expect(owed(item())).not.toBeNull();
    l = giveBack(l, id, 1, back);
    if (!home.includes(back)) {
      expect(owed(item())).toMatch(/not proven/);
      l = prove(l, id, 'looked at', AT);
    }
    expect(owed(item())).toBeNull();
    expect(wayBack(l)).toEqual([]);
  });
});

describe('what takes the place of a thing written off', () => {
  const when = { id: 'new1', at: AT };
  const off = { count: 1, reason: 'torn', replacement: ' new ribbon ' };
  const put = (l: Ledger, id: string) => inItsPlace(writeOff(l, id, off), id, off, when);
  it('is owed under the old name, in its turn, and is proven', () => {
    const first = on(EMPTY_LEDGER, { kind: 'plug', name: 'W4', from: 'base', contacts: 12 });
    const l = on(first, { kind: 'tie', name: 'tie' });
    const [w4 = '', tie] = l.items.map((i) => i.id);
    const now = put(l, w4);
    const open = now.items.filter((i) => owed(i) !== null);
    expect(open.map((i) => [i.id, i.name, i.from, i.contacts])).toEqual([
      ['new1', 'W4', 'base', 12],
      [tie, 'tie', undefined, undefined],
    ]);
    expect(owed(open[0] as Item)).toBe('W4 is written off, and new ribbon is not in yet');
    expect(wayBack(now).map((s) => [s.item?.id, s.text, s.note])).toEqual([
      [tie, 'Fit tie', 'on the shelf'],
      ['new1', 'Plug in W4, base', 'new ribbon'],
    ]);
    const plugged = giveBack(now, 'new1', 1, 'plugged');
    expect(wayBack(plugged).map((s) => s.text)).toContain('Prove W4');
    expect(tally(now.items[0] as Item)).toEqual({ taken: 1, off: 0, back: 0, writtenOff: 1 });
  });
  it('a new cover closes over what the old one closed over', () => {
    const l = lidOff();
    const now = put(l, l.items[1]?.id ?? '');
    expect(texts(now)).toEqual(['Fit lid', 'Screw in 2 × M3×8, lid', 'Close lid']);
    expect(closeRefusals(now, 'lid')).toContain('lid is written off, and new ribbon is not in yet');
    expect(closeRefusals(giveBack(now, 'new1', 1, 'fitted'), 'lid')).toContain('lid is in but not proven');
  });
  it('a screw is counted from stock, an old part has its new one in Swap, and the answer says so', () => {
    const l = on(EMPTY_LEDGER, { kind: 'fastener', name: 'screw', thread: 'M3', lengthMm: 8, count: 2 });
    expect(() => put(l, l.items[0]?.id ?? '')).toThrow(/replaced by another of its kind/);
    const board = on(EMPTY_LEDGER, { kind: 'part', name: 'A1' });
    const old = { ...board, items: board.items.map((i) => ({ ...i, old: true })) };
    expect(() => put(old, old.items[0]?.id ?? '')).toThrow('the new one for A1 goes in at Swap');
  });
});

describe('what falls when the unit is turned', () => {
  const screw = { kind: 'fastener', name: 'screw', thread: 'M3', lengthMm: 8, count: 4 } as const;
  it('names screws left in their holes or in the part, not those in a cup', () => {
    let l = on(EMPTY_LEDGER, { ...screw, place: { kind: 'cup', label: '3' } });
    l = on(l, { ...screw, name: 'own', place: { kind: 'in its own hole' } });
    l = on(l, { ...screw, name: 'part', place: { kind: 'left in the part' } });
    expect(looseNow(l).map((i) => i.name)).toEqual(['own', 'part']);
  });
  it('names what was put back only loosely, until it is tight', () => {
    const l = on(EMPTY_LEDGER, { ...screw, place: { kind: 'cup', label: '3' } });
    const id = l.items[0]?.id ?? '';
    const loose = giveBack(l, id, 4, 'loose');
    expect(looseNow(loose).map((i) => i.id)).toEqual([id]);
    expect(looseNow(giveBack(loose, id, 4, 'tight'))).toEqual([]);
  });
});
