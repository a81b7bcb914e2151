import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { type SimulatedAct, type SimulateRequest, simulate, stream } from '.';

const chain: Omit<SimulateRequest, 'seed' | 'acts' | 'hidden'> = {
  elements: [
    { id: 'a', weight: 1, repairMinutes: 10, needs: ['lid'], power: 'off' },
    {
      id: 'b',
      weight: 1,
      q: 0.5,
      remedies: [
        { id: 'reseat', minutes: 2, fixes: 0.4 },
        { id: 'replace', minutes: 9, fixes: 0.9 },
      ],
    },
    { id: 'c', weight: 1, repairMinutes: 5, q: 0.2 },
  ],
  checks: [
    { id: 'tap', exercises: ['a', 'b'], minutes: 3, power: 'on' },
    { id: 'shield', exercises: ['c'], minutes: 1, needs: ['shield'], sensitivity: 0.8, falseAlarm: 0.1 },
    {
      id: 'code',
      minutes: 2,
      outcomes: [
        { id: 'E1', points: ['a', 'b'] },
        { id: 'E2', points: ['c'] },
        { id: 'none', points: [] },
      ],
    },
    {
      id: 'rail',
      exercises: ['a'],
      minutes: 4,
      expect: { nominal: 12, tolerance: 0.6, low: 0, high: 15 },
    },
  ],
  access: [
    { id: 'lid', minutes: 5 },
    { id: 'shield', minutes: 2, needs: ['lid'] },
  ],
  power: { now: 'off', onMinutes: 2, offMinutes: 1 },
};
type Faults = SimulateRequest['hidden']['faults'];
const always = (...ids: string[]): Faults => ids.map((id) => ({ id, pattern: 'always' }));
const ask = (seed: number, faults: Faults, ...acts: SimulatedAct[]) =>
  simulate({ ...chain, hidden: { faults }, seed, acts });

/** Share of seeds for which something comes out, over enough of them to tell a tenth from an eighth. */
const SEEDS = 4000;
const share = (of: (seed: number) => boolean) =>
  Array.from({ length: SEEDS }, (_, seed) => of(seed)).filter(Boolean).length / SEEDS;
/** Four standard deviations of a share, √(p(1 − p)/n): missed once in 16,000. */
const about = (p: number) => 4 * Math.sqrt((p * (1 - p)) / SEEDS);
const bad = (faults: Faults, check: string, answer = 'bad') =>
  share((seed) => {
    const [first] = ask(seed, faults, { check }).answers;
    return first !== undefined && 'outcome' in first && first.outcome === answer;
  });

describe('a simulated unit', () => {
  it('answers as often as the likelihood of trace says', () => {
    const near = (got: number, want: number) => expect(Math.abs(got - want)).toBeLessThan(about(want));
    // 1 − (1 − f)(1 − s·q) by hand.
    near(bad(always('a'), 'tap'), 1 - 0.98 * 0.03);
    near(bad(always('b'), 'tap'), 1 - 0.98 * (1 - 0.97 * 0.5));
    near(bad(always('c'), 'tap'), 0.02);
    near(bad(always('c'), 'shield'), 1 - 0.9 * (1 - 0.8 * 0.2));
    // Two at once: 1 − (1 − f)(1 − s)(1 − s/2).
    near(bad(always('a', 'b'), 'tap'), 1 - 0.98 * 0.03 * (1 - 0.97 * 0.5));
    near(bad(always('c'), 'code', 'E2'), 1 / 1.06);
    near(bad(always('b'), 'code', 'none'), 0.03 / 1.06);
    near(bad(always('a', 'c'), 'code', 'E2'), 1 / 2.03);
  });

  it('takes the q of the pattern where an element carries none', () => {
    const faults: Faults = [{ id: 'a', pattern: 'rarely' }];
    expect(Math.abs(bad(faults, 'tap') - (1 - 0.98 * (1 - 0.97 * 0.2)))).toBeLessThan(0.035);
  });

  it('reads good and bad values as their laws say, by the quantiles of a statistics package', () => {
    const values = (faults: Faults) =>
      Array.from({ length: SEEDS }, (_, seed) => {
        const [a] = ask(seed, faults, { check: 'rail' }).answers;
        return a && 'reading' in a ? a.reading : Number.NaN;
      }).sort((x, y) => x - y);
    const good = values(always('c'));
    // Good for 98 in 100: the rest is spread over 0 to 15 V.
    const sigma = 0.6 / 1.96;
    const below = (list: number[], x: number) => list.filter((v) => v < x).length / list.length;
    for (const p of [0.1, 0.5, 0.9]) {
      const x = jstat.normal.inv(p, 12, sigma);
      const want = 0.98 * p + 0.02 * (x / 15);
      expect(Math.abs(below(good, x) - want)).toBeLessThan(about(want));
    }
    const faulty = values(always('a'));
    const sick = 1 - 0.98 * 0.03;
    for (const x of [3, 7.5, 10]) {
      const want = sick * (x / 15);
      expect(Math.abs(below(faulty, x) - want)).toBeLessThan(about(want));
    }
  });

  it('mends with the chance of a remedy, the last of a ladder and a replacement for certain', () => {
    const mends = (...acts: SimulatedAct[]) =>
      share((seed) => {
        const last = ask(seed, always('b'), ...acts).answers.at(-1);
        return last !== undefined && 'mended' in last && last.mended;
      });
    expect(Math.abs(mends({ tried: 'reseat', element: 'b' }) - 0.4)).toBeLessThan(about(0.4));
    expect(mends({ tried: 'replace', element: 'b' })).toBe(1);
    expect(mends({ repaired: 'b' })).toBe(1);
    expect(mends({ repaired: 'a' })).toBe(0);
    expect(ask(1, always('a', 'c'), { repaired: 'a' }, { repaired: 'c' }).answers).toEqual([
      { mended: false },
      { mended: true },
    ]);
  });

  it('says the same to the same seed, and the n-th answer does not change with what else is done', () => {
    const checks = ['tap', 'shield', 'code', 'rail'];
    const act = fc.oneof(
      fc.constantFrom(...checks).map((check): SimulatedAct => ({ check })),
      fc.constantFrom('a', 'b').map((repaired): SimulatedAct => ({ repaired })),
      fc.constant<SimulatedAct>({ tried: 'reseat', element: 'b' }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), fc.array(act, { maxLength: 12 }), (seed, acts) => {
        const once = ask(seed, always('c'), ...acts);
        expect(ask(seed, always('c'), ...acts)).toEqual(once);
        // Every act alone, as often as it was done, in its own order.
        const key = (a: SimulatedAct) => JSON.stringify(a);
        for (const kind of new Set(acts.map(key))) {
          const alone = acts.filter((a) => key(a) === kind);
          expect(ask(seed, always('c'), ...alone).answers).toEqual(
            once.answers.filter((_, i) => key(acts[i] as SimulatedAct) === kind),
          );
        }
      }),
    );
  });

  it('charges opening once, the power at every change, and the acts themselves', () => {
    const { minutes, totalMinutes } = ask(
      3,
      always('c'),
      { check: 'tap' },
      { check: 'shield' },
      { check: 'shield' },
      { repaired: 'a' },
      { check: 'tap' },
      { tried: 'reseat', element: 'b' },
      { repaired: 'b' },
    );
    expect(minutes).toEqual([3 + 2, 1 + 5 + 2, 1, 10 + 1, 3 + 2, 2, 9]);
    expect(totalMinutes).toBe(41);
    expect(
      simulate({
        ...chain,
        opened: ['lid'],
        hidden: { faults: always('c') },
        seed: 1,
        acts: [{ check: 'shield' }],
      }).totalMinutes,
    ).toBe(3);
  });

  it.each([
    ['a text as seed', { seed: 'seven' as never }, '/seed', 'the seed is a whole number, not “seven”'],
    ['half a seed', { seed: 1.5 }, '/seed', 'whole number'],
    ['no fault', { hidden: { faults: [] } }, '/hidden/faults', 'one or 2 faults are hidden, not 0'],
    ['three faults', { hidden: { faults: always('a', 'b', 'c') } }, '/hidden/faults', 'not 3'],
    [
      'a fault that is no element',
      { hidden: { faults: always('x') } },
      '/hidden/faults/0/id',
      '“x” is not known',
    ],
    ['a fault twice', { hidden: { faults: always('a', 'a') } }, '/hidden/faults/1/id', 'hidden twice'],
    ['an unknown check', { acts: [{ check: 'x' }] }, '/acts/0/check', 'check “x” is not known'],
    ['an unknown element', { acts: [{ repaired: 'x' }] }, '/acts/0/repaired', 'element “x” is not known'],
    ['an unknown remedy', { acts: [{ tried: 'x', element: 'b' }] }, '/acts/0/tried', 'no remedy “x”'],
    ['a remedy of nobody', { acts: [{ tried: 'x', element: 'x' }] }, '/acts/0/element', 'not known'],
    [
      'an act after the end',
      { acts: [{ repaired: 'c' }, { check: 'tap' }] },
      '/acts/1/check',
      'the unit is mended',
    ],
    [
      'an element without remedy',
      { elements: [{ id: 'c', weight: 1 }], checks: [] },
      '/elements/0',
      'neither repairMinutes nor remedies',
    ],
  ])('refuses %s in words', (_, over, path, words) => {
    const request = { ...chain, hidden: { faults: always('c') }, seed: 1, acts: [], ...over };
    const caught = (() => {
      try {
        return simulate(request as SimulateRequest);
      } catch (error) {
        return error;
      }
    })();
    expect(caught).toBeInstanceOf(Refusal);
    expect((caught as Refusal).path).toBe(path);
    expect((caught as Refusal).message).toContain(words);
  });

  it('draws from streams that do not run into each other', () => {
    expect(stream(1, 'check', 'ab', 1)()).not.toBe(stream(1, 'check', 'a', 'b1')());
    expect(stream(1, 'check', 'a', 1)()).toBe(stream(1, 'check', 'a', 1)());
    // Neighbouring seeds and counts are as good as strangers: their correlation is within four deviations of none.
    const pairs = Array.from(
      { length: SEEDS },
      (_, s) => [stream(s, 'c', 1)(), stream(s, 'c', 2)()] as const,
    );
    const seeds = pairs.slice(1).map(([x], i) => [x, pairs[i]?.[0] as number] as const);
    for (const list of [pairs, seeds])
      expect(
        Math.abs(
          jstat.corrcoeff(
            list.map(([x]) => x),
            list.map(([, y]) => y),
          ),
        ),
      ).toBeLessThan(4 / Math.sqrt(SEEDS));
  });
});
