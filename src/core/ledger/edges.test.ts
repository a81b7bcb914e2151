import { describe, expect, it } from 'vitest';
import {
  backWords,
  close,
  EMPTY_LEDGER,
  type ItemDraft,
  jointFrom,
  type Ledger,
  lengthSeen,
  readLine,
  specOf,
  take,
  tally,
  toFitOf,
  wayBack,
  writeOff,
} from '.';

const AT = '2026-11-27T10:00:00.000Z';
const on = (
  l: Ledger,
  id: string,
  item: Partial<ItemDraft> & { name: string },
  more: { cover?: string } = {},
) =>
  take(
    l,
    {
      verb: 'undo',
      text: '',
      item: { kind: 'fastener', count: 2, place: { kind: 'cup', label: id }, ...item },
      ...more,
    },
    { id, at: AT },
  );
const m3 = (lengthMm: number, more: Partial<ItemDraft> = {}) => ({
  name: 'screw',
  thread: 'M3',
  drive: 'PH1',
  lengthMm,
  ...more,
});

describe('the length read off the rule', () => {
  const two = on(on(EMPTY_LEDGER, '1', m3(8)), '2', m3(12, { from: 'rear edge' }));
  const said = (l: Ledger, id: string, mm: number) => {
    try {
      return lengthSeen(l, id, mm, AT).items.find((i) => i.id === id)?.measured?.mm;
    } catch (error) {
      return (error as Error).message;
    }
  };
  it('is right as far as a rule can be read, and wrong beyond it, on both sides', () => {
    expect(said(two, '1', 8.75)).toBe(8.75);
    expect(said(two, '1', 7.25)).toBe(7.25);
    expect(said(two, '1', 8.76)).toContain('it would reach 0.76 mm further in');
    expect(said(two, '1', 7.24)).toContain('it would hold on 0.76 mm less thread');
  });
  it('is kept with the piece it was read of, and no other', () => {
    const seen = lengthSeen(two, '1', 8, AT);
    expect(seen.items.map((i) => i.measured)).toEqual([{ mm: 8, at: AT }, undefined]);
  });
  it('names the cup of the look-alike that is so long', () => {
    expect(said(two, '1', 12)).toBe(
      'This one is 12 mm, and here goes 8 mm: it would reach 4 mm further in. It is M3×12 PH1, kept in cup 2, rear edge',
    );
    expect(said(two, '2', 8)).toBe(
      'This one is 8 mm, and here goes 12 mm: it would hold on 4 mm less thread. It is M3×8 PH1, kept in cup 1',
    );
    // As far off the other as a rule can be read, and not further.
    expect(said(two, '1', 12.75)).toContain('It is M3×12 PH1');
    expect(said(two, '1', 12.76)).toContain('Look where it came from');
  });
  it('names none that is back or written off, has no length, or looks otherwise', () => {
    const look = 'Look where it came from';
    expect(said(on(EMPTY_LEDGER, '1', m3(8)), '1', 12)).toContain(look);
    const gone = writeOff(two, '2', { count: 2, reason: 'lost', replacement: 'from stock' });
    expect(said(gone, '1', 12)).toContain(look);
    const { lengthMm: _none, ...unmeasured } = m3(12);
    expect(said(on(on(EMPTY_LEDGER, '1', m3(8)), '2', unmeasured), '1', 12)).toContain(look);
    expect(said(on(on(EMPTY_LEDGER, '1', m3(8)), '2', m3(12, { drive: 'T10' })), '1', 12)).toContain(look);
  });
  it('is asked of a screw that has one, and of nothing else', () => {
    const { lengthMm: _none, ...unmeasured } = m3(12);
    expect(said(on(EMPTY_LEDGER, '1', unmeasured), '1', 12)).toBe('M3 PH1 has no length');
    const plug = on(EMPTY_LEDGER, '1', { kind: 'plug', name: 'J7', lengthMm: 12, count: 1 });
    expect(said(plug, '1', 12)).toBe('J7 has no length');
    expect(said(two, '3', 12)).toBe('there is no such thing in the tray');
    expect(said(two, '1', 0)).toBe('a length is over 0 mm');
    expect(said(two, '1', Number.POSITIVE_INFINITY)).toBe('a length is over 0 mm');
  });
});

describe('a spec as it is written on a cup', () => {
  const inch = (mm: number) => specOf({ kind: 'fastener', name: 'screw', thread: '6-32', lengthMm: mm });
  it.each<[number, string]>([
    [25.4, '6-32×1 in'],
    [12.7, '6-32×1/2 in'],
    [9.525, '6-32×3/8 in'],
    [4.7625, '6-32×3/16 in'],
    [50.8, '6-32×2 in'],
    // Half of a sixteenth is told in millimetres.
    [10.32, '6-32×10.32'],
    [10.2, '6-32×10.2'],
  ])('%f mm of an inch thread is %s', (mm, words) => {
    expect(inch(mm)).toBe(words);
  });
  it('of a metric thread, of none and of a thing that is no screw', () => {
    expect(specOf({ kind: 'fastener', name: 'screw', thread: 'M3', lengthMm: 12.7 })).toBe('M3×12.7');
    expect(specOf({ kind: 'fastener', name: 'wing nut', lengthMm: 12.7 })).toBe('wing nut');
    expect(specOf({ kind: 'plug', name: 'J7', thread: 'M3' })).toBe('J7');
  });
});

describe('the way back of a cover whose screws were recorded late', () => {
  const late = (screw: string) =>
    on(
      on(on(EMPTY_LEDGER, 'lid', { kind: 'part', name: 'lid', count: 1 }, { cover: 'lid' }), 'fan', {
        kind: 'plug',
        name: 'W2',
        count: 1,
      }),
      'late',
      m3(8, { from: screw }),
    );
  it('the cover goes on first, then its screws', () => {
    expect(wayBack(late('lid')).map((s) => `${s.kind} ${s.item?.id ?? s.cover?.id}`)).toEqual([
      'return fan',
      'return lid',
      'return late',
      'close lid',
    ]);
  });
  it('other screws keep their turn: last off, first on', () => {
    expect(wayBack(late('bracket')).map((s) => `${s.kind} ${s.item?.id ?? s.cover?.id}`)).toEqual([
      'return late',
      'return fan',
      'return lid',
      'close lid',
    ]);
  });
  it('a cover that nobody took off as a part keeps its turn too', () => {
    const l: Ledger = {
      ...late('lid'),
      covers: [...late('lid').covers, { id: 'hatch', name: 'hatch', state: 'open', at: AT }],
    };
    expect(wayBack(l).map((s) => s.item?.id ?? s.cover?.id)).toEqual(['fan', 'lid', 'late', 'lid']);
  });
  it('two covers, each before its own', () => {
    let l = on(EMPTY_LEDGER, 'lid', { kind: 'part', name: 'lid', count: 1 }, { cover: 'lid' });
    l = on(l, 'hatch', { kind: 'part', name: 'hatch', count: 1 }, { cover: 'hatch' });
    l = on(l, 'h', m3(6, { from: 'hatch' }));
    l = on(l, 'l', m3(8, { from: 'lid' }));
    expect(wayBack(l).map((s) => `${s.kind} ${s.item?.id ?? s.cover?.id}`)).toEqual([
      'return hatch',
      'return h',
      'close hatch',
      'return lid',
      'return l',
      'close lid',
    ]);
  });
  it('says why it does not close yet, and nothing once it may', () => {
    const l = on(EMPTY_LEDGER, 'lid', { kind: 'part', name: 'lid', count: 1 }, { cover: 'lid' });
    const last = wayBack(on(l, 'l', m3(8, { from: 'lid' }))).at(-1);
    expect(last?.left).toBeGreaterThan(0);
    expect(last?.note).toBe('lid still in cup lid');
  });
});

describe('closing', () => {
  const both = on(
    on(EMPTY_LEDGER, 'lid', { kind: 'part', name: 'lid', count: 1 }, { cover: 'lid' }),
    'hatch',
    { kind: 'part', name: 'hatch', count: 1 },
    { cover: 'hatch' },
  );
  it('closes the one that was meant, and a trial may be closed again', () => {
    const l = close(both, 'hatch', 'trial', AT);
    expect(l.covers.map((c) => `${c.id} ${c.state}`)).toEqual(['lid open', 'hatch trial']);
    expect(close(l, 'hatch', 'trial', AT).covers.map((c) => c.state)).toEqual(['open', 'trial']);
  });
  it('nothing that is not off, and nothing twice', () => {
    expect(() => close(both, 'shield', 'trial', AT)).toThrow('shield is not off');
    const shut: Ledger = { ...both, covers: both.covers.map((c) => ({ ...c, state: 'final' as const })) };
    expect(() => close(shut, 'lid', 'trial', AT)).toThrow('lid is closed already');
    expect(() => close(shut, 'lid', 'final', AT)).toThrow('lid is closed already');
  });
});

describe('a line', () => {
  it('of one move keeps its words, of several says each', () => {
    expect(readLine('  unplug J7 24p latch ').moves.map((m) => m.text)).toEqual(['unplug J7 24p latch']);
    const two = readLine('unplug J7; unplug J8');
    expect(two.moves.map((m) => m.item?.name)).toEqual(['J7', 'J8']);
    expect(two.moves.map((m) => m.text)).toEqual(['unplug J7', 'unplug J8']);
  });
  it('draws what it says of a thing, and nothing it does not say', () => {
    expect(readLine('4 x M3x8 PH1 lid > cup 3').item).toEqual({
      kind: 'fastener',
      name: expect.any(String),
      thread: 'M3',
      lengthMm: 8,
      drive: 'PH1',
      count: 4,
      from: 'lid',
      place: { kind: 'cup', label: '3' },
    });
    const plug = readLine('unplug J7').item ?? {};
    for (const field of ['lengthMm', 'contacts', 'wires', 'thread', 'drive', 'latch'])
      expect(plug).not.toHaveProperty(field);
    expect(readLine('unplug J7 24p').item).toMatchObject({ contacts: 24 });
    expect(readLine('unplug J7').item?.count).toBe(1);
    expect(readLine('lift lid').item?.place).toEqual({ kind: 'shelf' });
  });
  it('what goes in for the first time is read by what it is, wherever its verb stands', () => {
    const fits = (text: string) => toFitOf(text).map((t) => `${t.item.kind} ${t.item.name}`);
    for (const text of ['plug J7', 'plug in J7', '  PLUG  in   J7'])
      expect(fits(text), text).toEqual(['plug J7']);
    for (const text of ['fit fan', 'mount  fan', ' insert fan', 'put in fan', 'fan'])
      expect(fits(text), text).toEqual(['part fan']);
    // A name that holds such a word keeps it.
    expect(fits('lift outfit box')).toEqual(['part outfit box']);
    expect(toFitOf('M3x8 PH1 lid')[0]?.item.place).toEqual({ kind: 'shelf' });
    expect(toFitOf('')).toEqual([]);
  });
});

describe('words that say nothing', () => {
  it('no joint is read from blanks', () => {
    expect(jointFrom(['   ', 'unsolder'], 'red').id).toBe('solder joint');
    expect(jointFrom([undefined, ''], 'W3').id).toBe('plug');
  });
  it('a note for the way back loses its blanks when it is told', () => {
    expect(backWords({ note: '  slack ', torqueNm: 1.2 })).toBe('1.2\u00a0N·m, slack');
    expect(backWords({ note: '   ' })).toBe('');
  });
  it('what is counted is told of one and of several', () => {
    const l = on(EMPTY_LEDGER, '1', m3(8, { count: null }));
    expect(tally(l.items[0] as (typeof l.items)[0])).toEqual({ taken: 1, off: 1, back: 0, writtenOff: 0 });
  });
});
