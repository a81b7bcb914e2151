import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leaders, NEAR, ranked, type Weighed } from './near-ties';

const step = (more: Partial<Weighed>): Weighed => ({
  expectedMinutes: 20,
  openMinutes: 0,
  live: false,
  powered: false,
  minutes: 2,
  ...more,
});
const any = fc.record({
  expectedMinutes: fc.double({ min: 0.1, max: 100, noNaN: true }),
  openMinutes: fc.constantFrom(0, 3),
  live: fc.boolean(),
  powered: fc.boolean(),
  minutes: fc.integer({ min: 1, max: 20 }),
});

describe('steps that are as good as each other', () => {
  it('a look from outside stands above an opening that saves a fraction of a minute, and both are a tie', () => {
    const out = ranked([step({ openMinutes: 6 }), step({ expectedMinutes: 20.9 })]);
    expect(out.map((s) => [s.openMinutes, s.place, s.tied])).toEqual([
      [0, 1, true],
      [6, 1, true],
    ]);
  });
  it('beyond five in a hundred the figure decides, from both sides', () => {
    const near = ranked([step({ openMinutes: 6 }), step({ expectedMinutes: 20 * (1 + NEAR) })]);
    expect(near[0]?.openMinutes).toBe(0);
    const far = ranked([step({ openMinutes: 6 }), step({ expectedMinutes: 20 * (1 + NEAR) + 0.01 })]);
    expect(far.map((s) => [s.openMinutes, s.place, s.tied])).toEqual([
      [6, 1, false],
      [0, 2, false],
    ]);
  });
  it('of two openings the smaller one comes first, before dead or powered', () => {
    const out = ranked([step({ openMinutes: 5 }), step({ openMinutes: 1, powered: true })]);
    expect(out.map((s) => s.openMinutes)).toEqual([1, 5]);
  });
  it('within a tie: shut, then nothing live, then dead, then quick', () => {
    const out = ranked([
      step({ openMinutes: 3, minutes: 1 }),
      step({ live: true, minutes: 1 }),
      step({ powered: true, minutes: 1 }),
      step({ minutes: 5 }),
      step({ minutes: 4 }),
    ]);
    expect(out.map((s) => [s.openMinutes, s.live, s.powered, s.minutes])).toEqual([
      [0, false, false, 4],
      [0, false, false, 5],
      [0, false, true, 1],
      [0, true, false, 1],
      [3, false, false, 1],
    ]);
  });
  it('of checks with the same opening, one that tells a small share of the most telling one comes after it', () => {
    const little = step({ openMinutes: 6, minutes: 6.5, bits: 0.1 });
    const much = step({ openMinutes: 6, minutes: 9, bits: 0.8 });
    expect(ranked([little, much]).map((s) => s.bits)).toEqual([0.8, 0.1]);
    expect(ranked([{ ...little, bits: 0.2 }, much]).map((s) => s.bits)).toEqual([0.2, 0.8]);
    // From outside it may tell little: it costs no opening.
    expect(ranked([much, { ...little, openMinutes: 0 }]).map((s) => s.bits)).toEqual([0.1, 0.8]);
  });
  it('a look that tells next to nothing is no reason to wait with the repair, from both sides', () => {
    const repair = step({ openMinutes: 6 });
    expect(ranked([repair, step({ expectedMinutes: 20.5, bits: 0.019 })])[0]?.openMinutes).toBe(6);
    expect(ranked([repair, step({ expectedMinutes: 20.5, bits: 0.02 })])[0]?.openMinutes).toBe(0);
  });
  it('keeps every step; places never fall; nothing in a tie is further than that from its best', () => {
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), (steps) => {
        const out = ranked(steps);
        expect(out.map((s) => s.expectedMinutes).sort()).toEqual(steps.map((s) => s.expectedMinutes).sort());
        for (const [i, s] of out.entries()) {
          expect(s.place).toBeGreaterThanOrEqual(out[i - 1]?.place ?? 1);
          const tie = out.filter((x) => x.place === s.place).map((x) => x.expectedMinutes);
          expect(s.expectedMinutes).toBeLessThanOrEqual(Math.min(...tie) * (1 + NEAR));
          expect(s.tied).toBe(tie.length > 1);
        }
      }),
    );
  });
});

describe('who leads among suspects', () => {
  it('is one that stands alone, or all that are as suspect', () => {
    expect(leaders([{ p: 0.5 }, { p: 0.4 }])).toHaveLength(1);
    expect(leaders([{ p: 0.31 }, { p: 0.3 }, { p: 0.2 }])).toHaveLength(2);
    expect(leaders([])).toEqual([]);
  });
});
