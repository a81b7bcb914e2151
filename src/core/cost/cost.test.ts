import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CostRung, expectedCost, priceOf } from '.';

const rung = (id: string, minutes: number, lasts: number, parts = 0): CostRung => ({
  id,
  minutes,
  lasts,
  parts,
});

describe('expected cost of a ladder', () => {
  it('a worked example, rung by rung', () => {
    // By hand at 60.00 an hour: replace 20 min + 12.50, lasts 0.9, then refer 100.00: 32.50 + 0.1·100 = 42.50;
    // clean 10 min, lasts 0.5: 10 + 0.5·42.50 = 31.25; reseat 4 min, lasts 0.3: 4 + 0.7·31.25 = 25.875.
    const { costs, cheapest, soonest } = expectedCost({
      remedies: [rung('reseat', 4, 0.3), rung('clean', 10, 0.5), rung('replace', 20, 0.9, 1250)],
      ratePerHour: 6000,
      refer: { price: 10_000 },
    });
    expect(costs.map((c) => [c.id, c.expected])).toEqual([
      ['reseat', 2588],
      ['clean', 3125],
      ['replace', 4250],
    ]);
    // Minutes by hand: 20; 10 + 0.5·20 = 20; 4 + 0.7·20 = 18.
    expect(costs.map((c) => c.minutes)).toEqual([18, 20, 20]);
    expect([cheapest, soonest]).toEqual(['reseat', 'reseat']);
  });
  it('is the mean of what happens: every way a story can go, weighed by its chance', () => {
    // Outside check: plain enumeration that shares no code, in floating point.
    const told = (list: CostRung[], rate: number, refer: number, k = 0): number => {
      const r = list[k];
      if (!r) return refer;
      const own = (r.minutes * rate) / 60 + (r.parts ?? 0) + (r.travel ?? 0);
      return r.lasts * own + (1 - r.lasts) * (own + told(list, rate, refer, k + 1));
    };
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minutes: fc.integer({ min: 0, max: 500 }),
            lasts: fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000),
            parts: fc.nat(200_000),
            travel: fc.nat(5000),
          }),
          { maxLength: 6 },
        ),
        fc.nat(20_000),
        fc.nat(1_000_000),
        (list, rate, refer) => {
          const remedies = list.map((r, i) => ({ ...r, id: `r${i}` }));
          const { costs } = expectedCost({ remedies, ratePerHour: rate, refer: { price: refer } });
          costs.forEach((c, k) => {
            expect(Math.abs(c.expected - told(remedies, rate, refer, k))).toBeLessThanOrEqual(0.51);
            expect(Number.isInteger(c.expected)).toBe(true);
          });
        },
      ),
    );
  });
  it('nothing that is dearer makes it cheaper, nothing that lasts longer makes it dearer', () => {
    const base = { remedies: [rung('a', 10, 0.5, 100), rung('b', 20, 0.9)], ratePerHour: 6000 };
    const first = (price: number, lasts = 0.5, parts = 100) =>
      expectedCost({
        ...base,
        remedies: [rung('a', 10, lasts, parts), rung('b', 20, 0.9)],
        refer: { price },
      }).costs[0]?.expected ?? 0;
    expect(first(2000)).toBeGreaterThan(first(1000));
    expect(first(1000, 0.6)).toBeLessThan(first(1000, 0.5));
    expect(first(1000, 0.5, 101)).toBe(first(1000, 0.5, 100) + 1);
  });
  it('of none there is none; what cannot be is refused at its place', () => {
    const ask = (more: object) =>
      expectedCost({ remedies: [rung('a', 1, 0.5)], ratePerHour: 6000, refer: { price: 0 }, ...more });
    expect(ask({ remedies: [] })).toEqual({ costs: [], cheapest: null, soonest: null });
    for (const [more, path] of [
      [{ ratePerHour: 0.5 }, '/ratePerHour'],
      [{ refer: { price: -1 } }, '/refer/price'],
      [{ refer: { price: 0, minutes: -1 } }, '/refer/minutes'],
      [{ remedies: [rung('a', -1, 0.5)] }, '/remedies/0/minutes'],
      [{ remedies: [rung('a', 1, 1.1)] }, '/remedies/0/lasts'],
      [{ remedies: [rung('a', Number.NaN, 0.5)] }, '/remedies/0/minutes'],
      [{ remedies: [rung('a', 1, 0.5, 0.5)] }, '/remedies/0/parts'],
      [{ remedies: [rung('a', 1, 0.5), rung('a', 1, 0.5)] }, '/remedies/0/id'],
    ] as const) {
      let at = '';
      try {
        ask(more);
      } catch (error) {
        at = (error as { path: string }).path;
      }
      expect(at, JSON.stringify(more)).toBe(path);
    }
  });
});

describe('price of one way', () => {
  it('minutes at the rate, and parts; a half goes up', () => {
    expect(priceOf({ minutes: 20, parts: 1250 }, 6000)).toBe(3250);
    expect(priceOf({ minutes: 0, parts: 0 }, 6000)).toBe(0);
    // 7 min at 0.30 an hour are 3.5 minor units.
    expect(priceOf({ minutes: 7, parts: 0 }, 30)).toBe(4);
    expect(priceOf({ minutes: 6, parts: 0 }, 30)).toBe(3);
    for (const [line, rate] of [
      [{ minutes: -1, parts: 0 }, 1],
      [{ minutes: 1, parts: 0.5 }, 1],
      [{ minutes: 1, parts: 0 }, -1],
    ] as const)
      expect(() => priceOf(line, rate)).toThrow();
  });
});
