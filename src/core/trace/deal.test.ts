import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answerFactors, type Belief, condition, marginals, pairIndex, total, weighed } from './belief';
import { deal, merge, mergedMinutes, rankBlocks } from './deal';
import { buildModel } from './model';
import { besideOf, pairMinutes, square } from './pairs';
import { benchOf, orderBlocks, remainingLadders, repairMinutes, walk, walkHeads } from './repair';
import type { TraceRequest } from './types';

const weight = fc.double({ min: 0.1, max: 9, noNaN: true });
const requests = (maxFaults: 1 | 2): fc.Arbitrary<TraceRequest> =>
  fc.integer({ min: 1, max: 12 }).chain((n) =>
    fc
      .record({
        elements: fc.tuple(
          ...Array.from({ length: n }, () =>
            fc.record({
              weight,
              repairMinutes: fc.integer({ min: 1, max: 40 }),
              q: fc.constantFrom(1, 0.5, 0.2),
            }),
          ),
        ),
        exercises: fc.subarray(Array.from({ length: n }, (_, i) => i)),
      })
      .map(({ elements, exercises }) => ({
        elements: elements.map((e, i) => ({ id: `e${i}`, ...e })),
        checks: [{ id: 't', exercises: exercises.map((i) => `e${i}`), minutes: 1 }],
        options: { maxFaults },
      })),
  );
const close = (a: number, b: number) =>
  expect(Math.abs(a - b)).toBeLessThan(1e-9 * Math.max(1, Math.abs(a), Math.abs(b)));

describe('short cuts of the ranking', () => {
  it('merging classes gives the order of a full sort, and its minutes', () => {
    fc.assert(
      fc.property(requests(1), (r) => {
        const model = buildModel(r);
        const { belief } = condition(model);
        const bench = benchOf(model, remainingLadders(model), model.opened);
        const table = model.tables[0];
        if (!table) throw new Error('no table');
        const ranked = rankBlocks(bench, belief, orderBlocks(bench, marginals(belief)));
        const dealt = deal(ranked, table);
        expect([...dealt.ranks].sort((a, b) => a - b)).toEqual(
          ranked.block.length ? [...ranked.block.keys()] : [],
        );
        [0, 1].forEach((answer) => {
          const after = weighed(belief, table, answerFactors(table, answer));
          const full = orderBlocks(bench, marginals(after));
          const chance = table.one[answer] as Float64Array;
          close(walk(bench, after, merge(dealt, chance)), walk(bench, after, full));
          close(mergedMinutes(dealt, chance, total(after) - after.none), walk(bench, after, full));
        });
      }),
    );
  });

  it('pairs need not be written down to be reckoned', () => {
    fc.assert(
      fc.property(requests(2), (r) => {
        const model = buildModel(r);
        const { belief } = condition(model);
        const bench = benchOf(model, remainingLadders(model), model.opened);
        const table = model.tables[0];
        if (!table) throw new Error('no table');
        const pairs = square(belief);
        pairMinutes(bench, belief, pairs, table, besideOf(pairs, table)).forEach((minutes, answer) => {
          close(minutes, repairMinutes(bench, weighed(belief, table, answerFactors(table, answer))));
        });
      }),
    );
  });

  it('moving one repair to the front costs what walking it so costs', () => {
    fc.assert(
      fc.property(fc.constantFrom<1 | 2>(1, 2).chain(requests), (r) => {
        const model = buildModel(r);
        const { belief } = condition(model);
        const bench = benchOf(model, remainingLadders(model), model.opened);
        const order = orderBlocks(bench, marginals(belief));
        const quick = walkHeads(bench, belief, order);
        r.elements.forEach((_, e) => {
          close(quick(e), walk(bench, belief, order, { first: e }));
        });
      }),
    );
  });

  it('pairs have a place each, and only one', () => {
    for (const n of [2, 3, 7]) {
      const places = Array.from({ length: n }, (_, a) =>
        Array.from({ length: n }, (_x, b) => (a < b ? pairIndex(n, a, b) : -1)),
      )
        .flat()
        .filter((k) => k >= 0);
      expect([...places].sort((a, b) => a - b)).toEqual([...Array((n * (n - 1)) / 2).keys()]);
      expect(pairIndex(n, 1, 0)).toBe(pairIndex(n, 0, 1));
    }
    const b: Belief = { none: 0, one: Float64Array.of(0.2, 0.3, 0.1), two: Float64Array.of(0.1, 0.2, 0.1) };
    expect([...marginals(b)].map((x) => Number(x.toFixed(12)))).toEqual([0.5, 0.5, 0.4]);
  });
});
