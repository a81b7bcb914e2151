import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import {
  alter,
  close,
  closeRefusals,
  countItem,
  EMPTY_LEDGER,
  giveBack,
  ITEM_KINDS,
  type Item,
  type ItemDraft,
  JOURNEYS,
  type Ledger,
  lengthSeen,
  lookAlike,
  miss,
  noteBack,
  OFF_STATES,
  owed,
  prove,
  readLine,
  specOf,
  stash,
  take,
  takeAgain,
  tally,
  threadMm,
  twins,
  wayBack,
  writeOff,
} from '.';

const AT = '2026-11-25T10:00:00.000Z';
const screws = (over: Partial<ItemDraft> = {}): ItemDraft => ({
  kind: 'fastener',
  name: 'screw',
  thread: 'M3',
  lengthMm: 8,
  drive: 'PH1',
  count: 4,
  from: 'lid',
  place: { kind: 'cup', label: '1' },
  ...over,
});
const plug = (name: string): ItemDraft => ({
  kind: 'plug',
  name,
  count: 1,
  place: { kind: 'left in the part' },
});
const part = (name: string): ItemDraft => ({ kind: 'part', name, count: 1, place: { kind: 'shelf' } });
let n = 0;
const on = (l: Ledger, item: ItemDraft, cover?: string) =>
  take(l, { verb: 'undo', text: '', item, ...(cover ? { cover } : {}) }, { id: `i${n++}`, at: AT });
const idOf = (l: Ledger, name: string) => l.items.findLast((i) => i.name === name)?.id ?? '';
const refusal = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};

describe('conservation', () => {
  type Op = { op: number; item: number; count: number; state: number; kind: (typeof ITEM_KINDS)[number] };
  const ops = fc.array(
    fc.record({
      op: fc.nat(14),
      item: fc.nat(2),
      count: fc.integer({ min: 1, max: 3 }),
      state: fc.nat(3),
      kind: fc.constantFrom(...ITEM_KINDS),
    }),
    { maxLength: 60 },
  );
  const apply = (l: Ledger, o: Op, k: number): Ledger => {
    const at = l.items[o.item % Math.max(1, l.items.length)];
    const id = at?.id ?? 'none';
    const steps: (() => Ledger)[] = [
      () => on(l, screws({ count: o.count, from: `cover ${o.item}` })),
      () => on(l, plug(`J${o.item}`)),
      () => on(l, part(`cover ${o.item}`), `cover ${o.item}`),
      () =>
        on(l, {
          kind: o.kind,
          name: `${o.kind} ${o.item}`,
          count: o.state === 0 ? null : o.count,
          place: { kind: 'shelf' },
          state: (['off', 'aside', 'in its own hole'] as const)[o.state % 3] ?? 'off',
        }),
      () => giveBack(l, id, o.count, JOURNEYS[at?.kind ?? 'plug'].way[o.state] ?? 'tight'),
      () => giveBack(l, id, o.count, JOURNEYS[at?.kind ?? 'plug'].back),
      () => countItem(l, id, o.count),
      () => stash(l, id, { kind: 'cup', label: String(o.count) }),
      () => alter(l, id, 'cut by 2 mm'),
      () => noteBack(l, id, { note: 'slack' }),
      () => lengthSeen(l, id, o.count, AT),
      () => takeAgain(l, id, o.count),
      () => prove(l, id, 'tug', AT),
      () => writeOff(l, id, { count: o.count, reason: 'stripped', replacement: `new ${k}` }),
      () => miss(l, id, o.count),
    ];
    try {
      return (steps[o.op] as () => Ledger)();
    } catch (error) {
      if (error instanceof Refusal) return l;
      throw error;
    }
  };

  it('taken off = back + written off + still off, for every item at every point of every history', () => {
    fc.assert(
      fc.property(ops, (list) => {
        let l = EMPTY_LEDGER;
        list.forEach((o, k) => {
          l = apply(l, o, k);
          for (const item of l.items) {
            const t = tally(item);
            expect(t.back + t.writtenOff + t.off).toBe(t.taken);
            expect(Math.min(t.back, t.writtenOff, t.off, ...Object.values(item.by))).toBeGreaterThanOrEqual(
              0,
            );
            const states = [...OFF_STATES, ...JOURNEYS[item.kind].way];
            for (const s of Object.keys(item.by)) expect(states).toContain(s);
            expect(item.missing ?? 0).toBeLessThanOrEqual(t.off);
          }
        });
      }),
      { numRuns: 600 },
    );
  });

  it.each(ITEM_KINDS)('a %s that was back, and proven where it can be, comes off again whole', (kind) => {
    let l = on(EMPTY_LEDGER, { kind, name: 'it', count: 2, place: { kind: 'shelf' } });
    const id = idOf(l, 'it');
    l = giveBack(l, id, 2, JOURNEYS[kind].back);
    const proven = refusal(() => prove(l, id, 'looked at', AT));
    expect(proven).toBe(kind === 'fastener' ? 'a screw is tight or not, it is not proven' : 'taken');
    if (proven === 'taken') l = prove(l, id, 'looked at', AT);
    l = takeAgain(l, id, 1);
    expect(tally(l.items[0] as Item)).toEqual({ taken: 2, off: 1, back: 1, writtenOff: 0 });
    expect(l.items[0]?.proof).toBeUndefined();
  });

  it('a cover only ever closes for good when everything inside it is home', () => {
    fc.assert(
      fc.property(ops, (list) => {
        let l = EMPTY_LEDGER;
        list.forEach((o, k) => {
          l = apply(l, o, k);
          for (const c of l.covers) {
            const owing = l.items.some(
              (i) => (i.inside.includes(c.id) || i.cover === c.id || i.from === c.name) && owed(i),
            );
            if (owing) expect(refusal(() => close(l, c.id, 'final', AT))).toMatch(/stays open/);
            expect(refusal(() => close(l, c.id, 'trial', AT))).toBe('taken');
          }
        });
      }),
      { numRuns: 100 },
    );
  });

  it('following the way back brings everything home, and every close is accepted', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 1, maxLength: 12 }),
        fc.boolean(),
        (kinds, late) => {
          let l = EMPTY_LEDGER;
          kinds.forEach((k, i) => {
            const cover = `lid ${i}`;
            if (k === 0 && !late) l = on(l, screws({ from: cover, count: 3 }));
            if (k === 0) l = on(l, part(cover), cover);
            if (k === 0 && late) l = on(l, screws({ from: cover, count: 3 }));
            if (k === 1) l = on(l, plug(`J${i}`));
            if (k === 2) l = on(l, screws({ from: `board ${i}`, count: 2 }));
          });
          for (let guard = 0; guard < 100; guard++) {
            const step = wayBack(l)[0];
            if (!step) break;
            if (step.kind === 'close') l = close(l, step.cover?.id ?? '', 'final', AT);
            else if (step.kind === 'prove') l = prove(l, step.item?.id ?? '', 'click', AT);
            else if (step.to) l = giveBack(l, step.item?.id ?? '', step.left, step.to);
          }
          expect(wayBack(l)).toEqual([]);
          expect(l.items.map(owed).filter(Boolean)).toEqual([]);
          expect(l.covers.every((c) => c.state === 'final')).toBe(true);
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('states and closes', () => {
  const opened = () => {
    let l = on(EMPTY_LEDGER, screws());
    l = on(l, part('lid'), 'lid');
    return on(l, plug('J7'));
  };

  it('says everything that is missing, loose or unproven', () => {
    let l = opened();
    expect(closeRefusals(l, 'lid')).toEqual([
      '4 × M3×8 PH1 still in cup 1',
      'lid still on the shelf',
      'J7 still left in the part',
    ]);
    l = giveBack(l, idOf(l, 'J7'), 1, 'plugged');
    l = giveBack(l, idOf(l, 'lid'), 1, 'fitted');
    l = giveBack(l, idOf(l, 'screw'), 3, 'tight');
    l = giveBack(l, idOf(l, 'screw'), 1, 'half tight');
    expect(refusal(() => close(l, 'lid', 'final', AT))).toBe(
      'lid stays open: 1 × M3×8 PH1 half tight, not tight; J7 is plugged but not proven',
    );
    l = prove(l, idOf(l, 'J7'), 'latch clicked', AT);
    l = giveBack(l, idOf(l, 'screw'), 1, 'tight');
    expect(close(l, 'lid', 'final', AT).covers[0]?.state).toBe('final');
  });

  it('remembers a trial close as not closed', () => {
    const l = close(opened(), 'lid', 'trial', AT);
    expect(l.covers[0]?.state).toBe('trial');
    expect(closeRefusals(l, 'lid').length).toBe(3);
  });

  it('holds a cover open over an inner cover and over what a check changed', () => {
    let l = on(EMPTY_LEDGER, part('lid'), 'lid');
    l = on(l, part('shield'), 'shield');
    l = giveBack(l, idOf(l, 'shield'), 1, 'fitted');
    l = giveBack(l, idOf(l, 'lid'), 1, 'fitted');
    expect(closeRefusals(l, 'lid')).toEqual(['shield inside it is not closed']);
    l = close(l, 'shield', 'final', AT);
    l = take(
      l,
      {
        verb: 'change',
        text: '',
        item: {
          kind: 'change',
          name: 'left lead on the right channel',
          count: 1,
          place: { kind: 'left in the part' },
        },
      },
      { id: 'c', at: AT },
    );
    expect(closeRefusals(l, 'lid')[0]).toMatch(/left lead on the right channel/);
  });

  it('takes "several" while opening and asks for a number before the close', () => {
    let l = on(EMPTY_LEDGER, screws({ count: null }));
    l = on(l, part('lid'), 'lid');
    expect(refusal(() => giveBack(l, idOf(l, 'screw'), 1, 'tight'))).toMatch(/Count them first/);
    l = countItem(l, idOf(l, 'screw'), 5);
    expect(tally(l.items[0] as never)).toMatchObject({ taken: 5, off: 5 });
  });

  it('refuses what cannot be, and changes nothing', () => {
    const l = opened();
    const before = JSON.stringify(l);
    const said = [
      refusal(() => giveBack(l, 'no such', 1, 'tight')),
      refusal(() => giveBack(l, idOf(l, 'screw'), 9, 'tight')),
      refusal(() => giveBack(l, idOf(l, 'J7'), 1, 'tight')),
      refusal(() => prove(l, idOf(l, 'J7'), 'tug', AT)),
      refusal(() => on(l, plug('j7'))),
      refusal(() => writeOff(l, idOf(l, 'screw'), { count: 1, reason: '', replacement: 'x' })),
      refusal(() => giveBack(l, idOf(l, 'screw'), 1.5, 'tight')),
      refusal(() => close(l, 'roof', 'final', AT)),
    ];
    expect(said).not.toContain('taken');
    expect(JSON.stringify(l)).toBe(before);
  });

  it('does not owe a cut tie that is undone by nothing, and owes one that is replaced', () => {
    let l = on(EMPTY_LEDGER, {
      kind: 'tie',
      name: 'tie W2',
      count: 1,
      place: { kind: 'shelf' },
      undoneBy: 'replaced by',
    });
    expect(owed(l.items[0] as never)).toMatch(/tie W2/);
    l = writeOff(l, l.items[0]?.id ?? '', { count: 1, reason: 'cut', replacement: 'new tie' });
    expect(owed(l.items[0] as never)).toBeNull();
    l = on(EMPTY_LEDGER, {
      kind: 'tape',
      name: 'tape W4',
      count: 1,
      place: { kind: 'shelf' },
      undoneBy: 'nothing',
    });
    expect(owed(l.items[0] as never)).toBeNull();
  });
});

describe('look-alikes', () => {
  it('knows nominal diameters', () => {
    // Source: ISO 261 coarse series; ASME B1.1 number sizes, 0.060 in + 0.013 in per number.
    expect(threadMm('M2.5')).toBe(2.5);
    for (const number of [0, 2, 4, 6, 8, 10])
      expect(threadMm(`${number}-32`)).toBeCloseTo((0.06 + 0.013 * number) * 25.4, 2);
    expect(threadMm('1/4-20')).toBeCloseTo(6.35, 10);
    expect(threadMm('nail')).toBeNull();
  });

  it('pairs another length, a near thread, and nothing else', () => {
    expect(lookAlike(screws(), screws({ lengthMm: 12 }))).toEqual({ protrusionMm: 4, differs: 'length' });
    expect(lookAlike(screws(), screws({ thread: '6-32' }))).toMatchObject({ differs: 'thread' });
    expect(lookAlike(screws({ thread: 'M2.5' }), screws({ thread: 'M2.6' }))).toMatchObject({
      differs: 'thread',
    });
    expect(lookAlike(screws(), screws())).toBeNull();
    expect(lookAlike(screws(), screws({ lengthMm: 12, drive: 'T10' }))).toBeNull();
    expect(lookAlike(screws(), screws({ thread: 'M5' }))).toBeNull();
    let l = on(EMPTY_LEDGER, screws());
    l = on(l, screws({ lengthMm: 12, place: { kind: 'cup', label: '2' } }));
    expect(twins(l.items)).toHaveLength(1);
    expect(twins(giveBack(l, l.items[0]?.id ?? '', 4, 'tight').items)).toHaveLength(0);
  });
});

describe('quick line', () => {
  const read = (t: string) => readLine(t, { kind: 'cup', label: '9' });
  it.each([
    [
      '4 x M3x8 PH1 rear cover > cup 3',
      {
        count: 4,
        thread: 'M3',
        lengthMm: 8,
        drive: 'PH1',
        from: 'rear cover',
        place: { kind: 'cup', label: '3' },
      },
    ],
    [
      '4× M3×8 PH1 from rear cover → cup 3',
      {
        count: 4,
        thread: 'M3',
        lengthMm: 8,
        drive: 'PH1',
        from: 'rear cover',
        place: { kind: 'cup', label: '3' },
      },
    ],
    [
      'rear cover 4x M2,5x6 T8',
      {
        count: 4,
        thread: 'M2.5',
        lengthMm: 6,
        drive: 'T8',
        from: 'rear cover',
        place: { kind: 'cup', label: '9' },
      },
    ],
    [
      '2x 6-32 x 1/4 PH2 bracket > bag A',
      {
        count: 2,
        thread: '6-32',
        lengthMm: 6.35,
        drive: 'PH2',
        from: 'bracket',
        place: { kind: 'bag', label: 'A' },
      },
    ],
    [
      'T10 security 2x M4x12 foot',
      { count: 2, thread: 'M4', lengthMm: 12, drive: 'T10 security', from: 'foot' },
    ],
    ['3x M3x6 hex 2.5 foot', { count: 3, drive: 'HEX2.5', from: 'foot' }],
    ['2x M3x6 hex 5/64 foot', { count: 2, drive: 'HEX5/64' }],
    ['1x M2x4 Y1 hinge', { count: 1, drive: 'Y1', from: 'hinge' }],
    ['several x M3x6 PZ2 lid', { count: null, drive: 'PZ2', from: 'lid' }],
    ['unplug J7 24p latch', { kind: 'plug', name: 'J7', contacts: 24, latch: true }],
    ['lift shield', { kind: 'part', name: 'shield', count: 1 }],
    ['unplug J9 aside', { kind: 'plug', name: 'J9', state: 'aside' }],
    ['lift dust cap > shelf', { kind: 'part', name: 'dust cap' }],
    ['unplug flat cable', { kind: 'plug', name: 'flat cable' }],
    ['2 x M3x8 PH1 cap lid', { head: 'cap', from: 'lid' }],
    ['2 button head screws lid', { head: 'button', from: 'lid' }],
    ['cut tie W2', { kind: 'tie', name: 'tie W2', undoneBy: 'replaced by' }],
    ['peel tape W4', { kind: 'tape', name: 'tape W4' }],
    ['6x M3x6 PH1 lid > in the part', { count: 6, place: { kind: 'left in the part' } }],
  ])('%s', (line, item) => {
    expect(read(line).item).toMatchObject(item);
    expect(read(line).unknown).toEqual([]);
  });

  it('reads a flip, and keeps what it does not understand', () => {
    expect(read('flip bottom')).toMatchObject({ item: null, sideUp: 'bottom' });
    expect(read('lift lid @@ 77').unknown).toEqual(['@@']);
    expect(read('').item).toBeNull();
  });

  it('never drops a sign: every word typed stands in a span or is noise', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const line = read(text);
        expect(line.text).toBe(text);
        const plain = text
          .replaceAll('×', 'x')
          .replaceAll('→', '>')
          .replace(/(\d),(\d)/g, '$1.$2');
        const covered = new Set(
          line.spans.flatMap((s) => Array.from({ length: s.to - s.from }, (_, i) => s.from + i)),
        );
        for (const m of plain.matchAll(/\S+/g)) {
          // Small words and signs that part or point say nothing by themselves.
          if (
            /^[>,;().!?]*(?:of|the|an?|from|off|on|at|with|and|except|then|plug|to|in|its)?[>,;().!?]*$/i.test(
              m[0],
            )
          )
            continue;
          expect(
            [...m[0]].length === 0 ||
              Array.from({ length: m[0].length }, (_, i) => m.index + i).some((i) => covered.has(i)),
          ).toBe(true);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('writes a spec as a cup shows it', () => {
    expect(specOf(screws())).toBe('M3×8 PH1');
    expect(
      specOf({ kind: 'fastener', name: 'screw with washer', thread: 'M3', lengthMm: 8, drive: 'PH1' }),
    ).toBe('M3×8 PH1 with washer');
    expect(specOf(screws({ thread: '6-32', lengthMm: 6.35 }))).toBe('6-32×1/4 in PH1');
    expect(specOf(plug('J7'))).toBe('J7');
  });
});
