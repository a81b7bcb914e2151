import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHEMISTRY_ROWS } from '../chemistry';
import { Refusal } from '../refusal';
import {
  cellSaid,
  demandItem,
  ENDS_SOON_DAYS,
  type Holding,
  holdingOf,
  isUsable,
  judgeMovement,
  MOVEMENTS,
  type Movement,
  type StockItem,
  stockFor,
  toOrder,
  usedByJob,
} from '.';

let n = 0;
const line = (kind: Movement['kind'], count: number, job?: string): Movement => ({
  id: `m${n++}`,
  item: 'i',
  at: '2026-11-27T10:00:00Z',
  by: 'Ines',
  kind,
  count,
  ...(job ? { job: { id: job, tag: `T-${job}` } } : {}),
});
const glue: StockItem = {
  id: 'i',
  what: 'contact glue',
  unit: 'ml',
  place: { kind: 'shelf', label: 'B2' },
  models: [],
  elements: [],
  minimum: 2,
};

/** Any movements, those that may not be left out. */
const taken = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...MOVEMENTS),
      count: fc.oneof(fc.integer({ min: 1, max: 9 }), fc.constantFrom(0.5, 0.001, 2.25)),
      job: fc.constantFrom('a', 'b', undefined),
    }),
    { maxLength: 40 },
  )
  .map((list) => {
    const kept: Movement[] = [];
    let h = holdingOf('i', []);
    const steps: Holding[] = [h];
    for (const { kind, count, job } of list) {
      const m = line(kind, count, job);
      try {
        h = judgeMovement(h, m);
        kept.push(m);
        steps.push(h);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
      }
    }
    return { kept, steps };
  });

describe('the ledger of a store', () => {
  it('conserves: received + found = used + written off + on hand, and nothing is below zero', () => {
    fc.assert(
      fc.property(taken, ({ steps }) => {
        for (const h of steps) {
          expect(h.received + h.found).toBeCloseTo(h.used + h.writtenOff + h.onHand, 9);
          expect(Math.min(h.onHand, h.used, h.writtenOff, h.received, h.found)).toBeGreaterThanOrEqual(0);
          const aside = h.reserved.reduce((s, r) => s + r.count, 0);
          expect(h.free).toBeCloseTo(h.onHand - aside, 9);
          expect(h.reserved.every((r) => r.count > 0)).toBe(true);
        }
      }),
    );
  });
  it('is what is counted line by line', () => {
    /** What comes in and what goes out, by the word of a line alone. */
    const into = {
      received: 1,
      found: 1,
      returned: 1,
      used: -1,
      'written off': -1,
      reserved: 0,
      released: 0,
    };
    fc.assert(
      fc.property(taken, ({ kept, steps }) => {
        const h = steps.at(-1) as Holding;
        const sum = (...kinds: string[]) =>
          kept.filter((m) => kinds.includes(m.kind)).reduce((n, m) => n + m.count, 0);
        expect(h.onHand).toBeCloseTo(
          kept.reduce((n, m) => n + into[m.kind] * m.count, 0),
          9,
        );
        expect(h.received).toBeCloseTo(sum('received'), 9);
        expect(h.found).toBeCloseTo(sum('found'), 9);
        expect(h.writtenOff).toBeCloseTo(sum('written off'), 9);
        expect(h.used).toBeCloseTo(sum('used') - sum('returned'), 9);
      }),
    );
  });
  it('is what its lines say, whenever it is read', () => {
    fc.assert(
      fc.property(taken, ({ kept, steps }) => {
        expect(holdingOf('i', kept)).toEqual(steps.at(-1));
      }),
    );
  });
  it('what a job uses stands in it whatever was counted: what nobody knew of was found', () => {
    fc.assert(
      fc.property(taken, fc.integer({ min: 1, max: 9 }), ({ kept, steps }, count) => {
        const before = steps.at(-1) as Holding;
        const more = usedByJob(before, line('used', count, 'a'), 'found');
        const h = holdingOf('i', [...kept, ...more]);
        expect(h.used - before.used).toBeCloseTo(count, 9);
        expect(h.onHand).toBeCloseTo(Math.max(0, before.onHand - count), 9);
        expect(h.found - before.found).toBeCloseTo(Math.max(0, count - before.onHand), 9);
        expect(h.received + h.found).toBeCloseTo(h.used + h.writtenOff + h.onHand, 9);
        // What was set aside for others stays so, here or not.
        expect(h.reserved.filter((r) => r.job !== 'a')).toEqual(before.reserved.filter((r) => r.job !== 'a'));
      }),
    );
  });
  it('two jobs do not get the last one', () => {
    const h = judgeMovement(holdingOf('i', [line('received', 1)]), line('reserved', 1, 'a'));
    expect(h).toMatchObject({ onHand: 1, free: 0, reserved: [{ tag: 'T-a', count: 1 }] });
    expect(() => judgeMovement(h, line('reserved', 1, 'b'))).toThrow(
      '0 free of 1 on hand, 1 for T-a set aside',
    );
    expect(() => judgeMovement(h, line('used', 1, 'b'))).toThrow('1 for T-a set aside');
    expect(() => judgeMovement(h, line('used', 1))).toThrow('1 on hand');
    // Whom it is set aside for may use it, and it is set aside no more.
    expect(judgeMovement(h, line('used', 1, 'a'))).toMatchObject({ onHand: 0, free: 0, reserved: [] });
  });
  it('says at its field what cannot be', () => {
    const h = holdingOf('i', [line('received', 2)]);
    for (const [m, why] of [
      [line('received', 0), 'over 0'],
      [line('received', -1), 'over 0'],
      [line('received', Number.NaN), 'over 0'],
      [line('received', 0.0001), 'thousandths'],
      [line('written off', 3), '2 on hand'],
      [line('returned', 1), '0 were used'],
      [line('reserved', 1), 'for which job'],
      [line('released', 1, 'a'), '0 set aside for T-a'],
    ] as const)
      expect(() => judgeMovement(h, m), m.kind).toThrow(why);
    // What is broken is written off, set aside or not: the list of orders then says what is missing.
    const aside = judgeMovement(h, line('reserved', 2, 'a'));
    expect(judgeMovement(aside, line('written off', 1))).toMatchObject({ onHand: 1, free: -1 });
  });
});

describe('what to order', () => {
  const held = (more: Partial<Holding>) => new Map([['i', { ...holdingOf('i', []), ...more }]]);
  const why = (item: Partial<StockItem>, h: Partial<Holding>) =>
    toOrder([{ ...glue, ...item }], held(h), '2026-11-27', CHEMISTRY_ROWS)[0];
  it('below the minimum, from both sides', () => {
    expect(why({}, { onHand: 2, free: 2 })).toBeUndefined();
    expect(why({}, { onHand: 1.999, free: 1.999 })).toMatchObject({
      count: 0.001,
      why: ['1.999 free, 2 wanted'],
    });
    expect(why({ minimum: 0 }, {})).toBeUndefined();
  });
  it('set aside and not here', () => {
    expect(why({ minimum: 0 }, { onHand: 1, free: -2 })).toMatchObject({
      count: 2,
      why: ['0 free, 0 wanted', '2 set aside and not here'],
    });
  });
  it('its last day near or past: what is there does not count', () => {
    const in_ = (days: number) =>
      new Date(Date.parse('2026-11-27') + days * 86_400_000).toISOString().slice(0, 10);
    const full = { onHand: 5, free: 5 };
    expect(why({ useBy: in_(ENDS_SOON_DAYS + 1) }, full)).toBeUndefined();
    expect(why({ useBy: in_(ENDS_SOON_DAYS) }, full)).toMatchObject({ count: 2 });
    expect(why({ useBy: in_(-1) }, full)?.why).toEqual(['past its last day, 2026-11-26']);
    expect(why({ useBy: in_(-1), minimum: 0 }, { onHand: 0, free: 0 })).toBeUndefined();
  });
  it('a cell that was spent at its last look counts as none', () => {
    const cell = { chemistry: 'AGM 12 V', series: 2 };
    const full = { onHand: 5, free: 5 };
    expect(why({ cell: { ...cell, restVolts: 21 } }, full)).toBeUndefined();
    expect(why({ cell: { ...cell, restVolts: 20.99 } }, full)).toMatchObject({
      count: 2,
      why: ['spent at its last look'],
    });
    expect(why({ cell }, full)).toBeUndefined();
    expect(why({ cell: { ...cell, chemistry: 'taken away', restVolts: 1 } }, full)).toBeUndefined();
  });
});

describe('things of the store', () => {
  it('are found by their words, else by what they are known to fit', () => {
    const board = { ...glue, id: 'b', what: 'Amp board', models: ['HL-40'], elements: ['A1'] };
    const lead = { ...glue, id: 'l', what: 'ribbon 10-way  200 mm' };
    const wanted = { model: 'HL-40', element: 'A1', part: 'Ribbon 10-way 200 mm' };
    expect(stockFor([board, lead, glue], wanted).map((s) => [s.item.id, s.by])).toEqual([
      ['l', 'words'],
      ['b', 'fits'],
    ]);
    expect(stockFor([board], { ...wanted, model: 'PB-3' })).toEqual([]);
    expect(stockFor([glue], { ...wanted, part: '' })).toEqual([]);
  });
  it.each([
    [{ what: ' ' }, 'say what it is'],
    [{ unit: '' }, 'counted in'],
    [{ minimum: -1 }, '0 or more'],
    [{ price: 1.5 }, 'amount of money'],
    [{ useBy: '2026-13-01' }, 'last day'],
    [{ useBy: 'soon' }, 'last day'],
    [{ litres: -1 }, '0 litres'],
    [{ cell: { chemistry: 'moonstone', series: 1 } }, 'moonstone is none of'],
    [{ cell: { chemistry: 'li-ion cell', series: 0 } }, 'whole number'],
    [{ cell: { chemistry: 'li-ion cell', series: 1, restVolts: 0 } }, 'over 0 V'],
    [{ cell: { chemistry: 'li-ion cell', series: 1, restVolts: 37 } }, 'is the number in series right'],
    [{ cell: { chemistry: 'li-ion cell', series: 1, dateCode: 'soon' } }, 'soon'],
    [{ cell: { chemistry: 'li-ion cell', series: 1, lookedAt: 'today' } }, '2026-11-27'],
  ])('%j is refused', (more, reason) => {
    expect(() => demandItem({ ...glue, ...more }, CHEMISTRY_ROWS, '2026-11-27')).toThrow(reason);
    expect(() =>
      demandItem({ ...glue, price: 0, useBy: '2026-12-01' }, CHEMISTRY_ROWS, '2026-11-27'),
    ).not.toThrow();
  });
});

describe('a cell on the shelf', () => {
  const said = (more: Partial<Parameters<typeof cellSaid>[0]>) =>
    cellSaid({ chemistry: 'AGM 12 V', series: 1, ...more }, CHEMISTRY_ROWS, '2026-11-27');
  it('says its age by the week printed on it (ISO 8601) and its charge by the table of its chemistry', () => {
    // ISO 8601: week 35 of 2025 runs from Monday 25 to Sunday 31 August.
    const a = said({ dateCode: '2535', restVolts: 12.5, lookedAt: '2026-11-20' });
    expect(a.percent).toBeCloseTo(70, 6);
    expect(a.words[0]).toMatch(/^week 35 of 2025, 1[45] months old$/);
    expect(a.words[1]).toBe('12.5\u00a0V at rest on 2026-11-20, 70\u00a0%');
    expect(a).toMatchObject({ spent: false, look: false });
  });
  it('is to be looked at once it lay as long as its chemistry does by itself: six months, AGM', () => {
    expect(said({ restVolts: 12.8, lookedAt: '2026-05-29' }).look).toBe(false);
    expect(said({ restVolts: 12.8, lookedAt: '2026-05-27' }).look).toBe(true);
    // Never looked at: from the day it was made.
    expect(said({ dateCode: '2026-W40' }).look).toBe(false);
    expect(said({ dateCode: '2026-W10' }).look).toBe(true);
    expect(said({}).look).toBe(false);
    expect(said({}).words).toEqual(['rest voltage not looked at']);
  });
  it('is of no use once it is spent, as anything is past its last day', () => {
    const use = (more: Partial<StockItem>) => isUsable({ ...glue, ...more }, CHEMISTRY_ROWS, '2026-11-27');
    const cell = { chemistry: 'AGM 12 V', series: 1 };
    expect(use({})).toBe(true);
    expect(use({ useBy: '2026-11-27' })).toBe(true);
    expect(use({ useBy: '2026-11-26' })).toBe(false);
    expect(use({ cell: { ...cell, restVolts: 10.5 } })).toBe(true);
    expect(use({ cell: { ...cell, restVolts: 10.4 } })).toBe(false);
    expect(use({ cell })).toBe(true);
  });
  it('is spent under the end of its table, each of the row counted', () => {
    expect(said({ series: 2, restVolts: 21 }).spent).toBe(false);
    expect(said({ series: 2, restVolts: 20.9 })).toMatchObject({ spent: true, look: true });
  });
});
