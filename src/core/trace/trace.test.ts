import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { readingDensities, trace } from '.';
import { naive } from './naive.test.reference';
import { paying } from './repair';
import type { TraceRequest } from './types';

const near = (a: number, b: number) =>
  expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(a), Math.abs(b)));

const unit = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Where repairs change the power, the order of two that are worth the same to the last digit matters: none are. */
const spread = (min: number, max: number) => fc.noBias(unit(min, max));
const request = (
  pairs: boolean,
  lookahead: 1 | 2,
  powered: boolean,
  rungs = pairs ? 0 : 3,
): fc.Arbitrary<TraceRequest> =>
  fc.integer({ min: 2, max: 5 }).chain((n) => {
    const real = powered ? spread : unit;
    const ids = Array.from({ length: n }, (_, i) => `e${i}`);
    const access = fc.subarray(['lid', 'shield']);
    const element = (id: string) =>
      fc
        .record({
          weight: real(0.2, 5),
          q: fc.constantFrom(1, 0.5, 0.2),
          needs: access,
          ladder: fc.array(
            fc.record({ minutes: real(1, 20), fixes: real(0.1, 1), cost: fc.integer({ min: 0, max: 500 }) }),
            { maxLength: rungs },
          ),
          repairMinutes: real(1, 30),
          power: fc.constantFrom(...(powered ? (['on', 'off', undefined] as const) : [undefined])),
        })
        .map(({ ladder, power, ...e }) => ({
          id,
          ...e,
          ...(power ? { power } : {}),
          ...(ladder.length ? { remedies: ladder.map((r, k) => ({ id: `r${k}`, ...r })) } : {}),
        }));
    const check = (id: string) =>
      fc
        .record({
          exercises: fc.subarray(ids),
          minutes: unit(0.5, 6),
          needs: access,
          power: fc.constantFrom('on' as const, 'off' as const),
          provokes: fc.boolean(),
          several: fc.boolean(),
        })
        .map(({ provokes, several, exercises, ...c }) => ({
          id,
          ...c,
          ...(several
            ? {
                outcomes: [
                  { id: 'red', points: exercises },
                  { id: 'green', points: ids.slice(0, 1) },
                  { id: 'dark', points: [] },
                ],
              }
            : { exercises, ...(provokes && exercises[0] ? { provokes: { [exercises[0]]: 0.9 } } : {}) }),
        }));
    const names = ['c0', 'c1', 'c2'];
    return fc
      .record({
        elements: fc.tuple(...ids.map(element)),
        checks: fc.tuple(...names.map(check)),
        opened: access,
        answers: fc.array(
          fc.record({
            c: fc.integer({ min: 0, max: 2 }),
            bad: fc.boolean(),
            reading: fc.option(unit(0, 2), { nil: undefined }),
          }),
          { maxLength: 3 },
        ),
        mend: fc.option(fc.constantFrom(...ids), { nil: undefined }),
        tries: fc.uniqueArray(fc.record({ e: fc.nat(n - 1), k: fc.nat(2) }), {
          maxLength: 3,
          selector: ({ e, k }) => `${e} ${k}`,
        }),
        noFaultWeight: fc.constantFrom(0, 0.5),
      })
      .map(
        ({ answers, mend, tries, noFaultWeight, ...r }): TraceRequest => ({
          ...r,
          access: [
            { id: 'lid', minutes: 4 },
            { id: 'shield', minutes: 3, needs: ['lid'] },
          ],
          power: { now: 'on', onMinutes: 2, offMinutes: 1 },
          log: [
            ...answers.map(({ c, bad, reading }) => {
              const chosen = r.checks[c];
              if (chosen && 'outcomes' in chosen) return { check: chosen.id, outcome: bad ? 'red' : 'dark' };
              return reading === undefined
                ? { check: `c${c}`, outcome: bad ? 'bad' : 'ok' }
                : { check: `c${c}`, reading, expect: { nominal: 1, tolerance: 0.2, low: 0, high: 1.5 } };
            }),
            // Rungs of a ladder that were done, and the symptom stayed.
            ...tries.flatMap(({ e, k }) => {
              const remedy = r.elements[e]?.remedies?.[k];
              return remedy ? [{ tried: remedy.id, element: `e${e}` }] : [];
            }),
            ...(mend ? [{ repaired: mend }] : []),
          ],
          options: { maxFaults: pairs ? 2 : 1, noFaultWeight, lookahead, top: 99, ratePerMinute: 50 },
        }),
      );
  });

describe('trace against its own definition, written out the slow way', () => {
  for (const [pairs, lookahead, powered] of [
    [false, 1, false],
    [false, 1, true],
    [false, 2, false],
    [false, 2, true],
    [true, 1, false],
    [true, 2, true],
  ] as const) {
    it(`${pairs ? 'pairs' : 'single faults'}, lookahead ${lookahead}${powered ? ', repairs that change the power' : ''}`, () => {
      fc.assert(
        fc.property(request(pairs, lookahead, powered), (r) => {
          const got = trace(r);
          const want = naive(r);
          fc.pre(want.belief.every(Number.isFinite));
          got.belief.forEach((b, i) => {
            near(b.p, want.belief[i] as number);
          });
          near(got.repairNowMinutes, want.repairNowMinutes);
          for (const n of got.next) {
            near(n.expectedMinutes, (n.kind === 'check' ? want.checks : want.repairs).get(n.id) as number);
            if (n.kind === 'check') near(n.bits as number, want.bits.get(n.id) as number);
          }
          const order = got.next.map((n) => n.expectedMinutes);
          expect(order).toEqual([...order].sort((a, b) => a - b));
        }),
        // Shrinking walks the slow definition over and over: the first case that differs is enough.
        { numRuns: lookahead === 2 ? 60 : 150, endOnFailure: true },
      );
    });
  }
});

describe('what is believed', () => {
  it('of pairs, after remedies that did not last, is what the definition says', () => {
    let tried = 0;
    fc.assert(
      fc.property(request(true, 1, false, 3), (r) => {
        const want = naive({ ...r, checks: r.checks }).belief;
        fc.pre(want.every(Number.isFinite));
        const got = trace(r).belief;
        expect(got).toHaveLength(want.length);
        got.forEach((b, i) => {
          near(b.p, want[i] as number);
        });
        if (r.log?.some((l) => 'tried' in l)) tried++;
      }),
      { numRuns: 150, endOnFailure: true },
    );
    expect(tried).toBeGreaterThan(5);
  });
});

describe('ranked by every way on', () => {
  it('says of each act what the look ahead says of it, but for its minutes', () => {
    let exactly = 0;
    fc.assert(
      fc.property(request(false, 1, true), (r) => {
        const ahead = trace(r);
        fc.pre(ahead.belief.every((b) => Number.isFinite(b.p)));
        const got = trace({ ...r, options: { ...r.options, exact: true } });
        expect(got.belief).toEqual(ahead.belief);
        if (got.method !== 'exact') return;
        exactly++;
        expect(r.options?.noFaultWeight ?? 0).toBe(0);
        expect(new Set(got.next.map((n) => `${n.kind} ${n.id}`)).size).toBe(got.next.length);
        for (const n of got.next) {
          const same = ahead.next.find((a) => a.kind === n.kind && a.id === n.id);
          if (n.kind === 'repair') {
            const ladder = r.elements.find((e) => e.id === n.id)?.remedies;
            // Of a ladder some rung of it; without one none.
            expect(ladder?.map((x) => x.id) ?? [undefined]).toContain(n.remedy);
          }
          if (!same) continue;
          const { expectedMinutes: _a, remedy: _r, ...told } = n;
          const { expectedMinutes: _b, remedy: _s, ...want } = same;
          expect(told).toEqual(want);
        }
        expect(got.enough).toBe(got.next[0]?.kind !== 'check');
      }),
      { numRuns: 60, endOnFailure: true },
    );
    expect(exactly).toBeGreaterThan(3);
  });
  it('only where single faults are all there is', () => {
    const r: TraceRequest = {
      elements: [
        { id: 'a', weight: 1, repairMinutes: 5 },
        { id: 'b', weight: 1, repairMinutes: 5 },
      ],
      checks: [{ id: 'tap', exercises: ['a'], minutes: 1 }],
    };
    const method = (options: TraceRequest['options']) =>
      trace({ ...r, options: { ...options, exact: true } }).method;
    expect(method({})).toBe('exact');
    expect(method({ noFaultWeight: 0.1 })).toBe('lookahead 1');
    expect(method({ maxFaults: 2 })).toBe('lookahead 1');
    expect(method({ maxFaults: 2, lookahead: 2 })).toBe('lookahead 2');
  });
});

describe('suspicion', () => {
  it('follows a Bayes example worked by hand', () => {
    // Weights 3, 1, 1. A tap after the first two comes out bad: L = 1 − 0.98·0.03 = 0.9706 inside, 0.02 outside.
    // p(a) = 0.6·0.9706 / (0.6·0.9706 + 0.2·0.9706 + 0.2·0.02) = 0.58236 / 0.78048 = 0.746156…
    const answer = trace({
      elements: [
        { id: 'a', weight: 3, repairMinutes: 10 },
        { id: 'b', weight: 1, repairMinutes: 10 },
        { id: 'c', weight: 1, repairMinutes: 10 },
      ],
      checks: [{ id: 'tap', exercises: ['a', 'b'], minutes: 1 }],
      log: [{ check: 'tap', outcome: 'bad' }],
    });
    expect(answer.belief[0]?.p).toBeCloseTo(0.58236 / 0.78048, 12);
    expect(answer.belief[2]?.p).toBeCloseTo(0.004 / 0.78048, 12);
  });

  it('reads a value as the normal table says: 0.3989 at the middle, 95 % within the tolerance', () => {
    // Source: standard normal distribution, φ(0) = 0.39894, P(|z| < 1.96) = 0.9500, any table.
    const expected = { nominal: 0.775, tolerance: 0.1, low: 0, high: 1 };
    expect(readingDensities(0.775, expected).good * (0.1 / 1.96)).toBeCloseTo(0.39894, 5);
    let inside = 0;
    const step = 1e-4;
    for (let x = 0.675 + step / 2; x < 0.875; x += step) inside += readingDensities(x, expected).good * step;
    expect(inside).toBeCloseTo(0.95, 4);
    expect(readingDensities(1.5, expected).bad).toBeCloseTo(1 / 1.5, 12);
  });

  it('keeps a tried remedy as doubt and a replaced element as none', () => {
    const elements = [
      {
        id: 'a',
        weight: 1,
        remedies: [
          { id: 'reseat', minutes: 3, fixes: 0.4 },
          { id: 'replace', minutes: 12, fixes: 0.97 },
        ],
      },
      { id: 'b', weight: 1, repairMinutes: 10 },
    ];
    const tried = trace({ elements, checks: [], log: [{ tried: 'reseat', element: 'a' }] });
    expect(tried.belief[0]?.p).toBeCloseTo(0.6 / 1.6, 12);
    expect(tried.next.find((n) => n.id === 'a')?.remedy).toBe('replace');
    const replaced = trace({ elements, checks: [], log: [{ repaired: 'a' }] });
    expect(replaced.belief.map((b) => b.p)).toEqual([0, 1]);
  });

  it('says when a log cannot be believed, and falls back to the prior when it is impossible', () => {
    const elements = [
      { id: 'a', weight: 1, repairMinutes: 1 },
      { id: 'b', weight: 1, repairMinutes: 1 },
    ];
    const checks = [
      { id: 'all', exercises: ['a', 'b'], minutes: 1 },
      { id: 'sharp', exercises: ['a', 'b'], minutes: 1, sensitivity: 1, falseAlarm: 0 },
    ];
    const surprising = Array.from({ length: 2 }, () => ({ check: 'all', outcome: 'ok' }));
    expect(trace({ elements, checks, log: surprising.slice(1) }).contradiction).toBe(false);
    expect(trace({ elements, checks, log: surprising }).contradiction).toBe(true);
    const never = trace({ elements, checks, log: [{ check: 'sharp', outcome: 'ok' }] });
    expect(never.contradiction).toBe(true);
    expect(never.belief.map((b) => b.p)).toEqual([0.5, 0.5]);
  });
});

describe('what to do next', () => {
  it('halves a chain of equal elements in at most ⌈log2 n⌉ perfect checks', () => {
    // Source: half-split method, e.g. MIL-HDBK-472 era troubleshooting texts; from memory.
    for (const n of [2, 5, 8, 13, 16]) {
      const elements = Array.from({ length: n }, (_, i) => ({ id: `e${i}`, weight: 1, repairMinutes: 1000 }));
      const checks = elements.map((_, i) => ({
        id: `t${i}`,
        exercises: elements.slice(0, i + 1).map((e) => e.id),
        minutes: 1,
        sensitivity: 1,
        falseAlarm: 0,
      }));
      for (let fault = 0; fault < n; fault++) {
        const log: { check: string; outcome: string }[] = [];
        for (;;) {
          const { enough, next } = trace({ elements, checks, log });
          if (enough) break;
          const id = next[0]?.id ?? '';
          log.push({ check: id, outcome: Number(id.slice(1)) >= fault ? 'bad' : 'ok' });
        }
        expect(log.length).toBeLessThanOrEqual(Math.ceil(Math.log2(n)));
        expect(trace({ elements, checks, log }).next[0]).toMatchObject({ kind: 'repair', id: `e${fault}` });
      }
    }
  });

  it('never needs fewer checks on average than the Huffman code, nor than the entropy, and stays within one check of it', () => {
    // Source: Zimmerman 1959 (least average number of tests = Huffman code length of the prior); Shannon.
    const huffman = (w: number[]) => {
      const heap = [...w];
      let length = 0;
      while (heap.length > 1) {
        heap.sort((a, b) => a - b);
        const joined = (heap.shift() as number) + (heap.shift() as number);
        length += joined;
        heap.push(joined);
      }
      return length;
    };
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 3, maxLength: 5 }), (weights) => {
        const n = weights.length;
        const sum = weights.reduce((a, b) => a + b, 0);
        const elements = weights.map((weight, i) => ({ id: `e${i}`, weight, repairMinutes: 1000 }));
        const checks = Array.from({ length: 2 ** n - 2 }, (_, k) => ({
          id: `c${k + 1}`,
          minutes: 1,
          sensitivity: 1,
          falseAlarm: 0,
          exercises: elements.filter((_, i) => (k + 1) & (1 << i)).map((e) => e.id),
        }));
        let average = 0;
        weights.forEach((w, fault) => {
          const log: { check: string; outcome: string }[] = [];
          for (;;) {
            const { enough, next } = trace({ elements, checks, log });
            if (enough) break;
            const id = next[0]?.id ?? '';
            log.push({ check: id, outcome: Number(id.slice(1)) & (1 << fault) ? 'bad' : 'ok' });
          }
          average += (w / sum) * log.length;
        });
        const code = huffman(weights.map((w) => w / sum));
        const entropy = -weights.reduce((h, w) => h + (w / sum) * Math.log2(w / sum), 0);
        expect(code).toBeGreaterThanOrEqual(entropy - 1e-9);
        expect(average).toBeGreaterThanOrEqual(code - 1e-9);
        expect(average).toBeLessThanOrEqual(code + 1);
      }),
      { numRuns: 25 },
    );
  });

  it('orders repairs so that no other order is quicker, single fault and independent costs', () => {
    // Source: Heckerman, Breese, Rommelse, Decision-theoretic troubleshooting, CACM 38(3), 1995.
    const orders = <T>(list: T[]): T[][] =>
      list.length <= 1
        ? [list]
        : list.flatMap((x, i) => orders([...list.slice(0, i), ...list.slice(i + 1)]).map((o) => [x, ...o]));
    fc.assert(
      fc.property(
        fc.array(fc.record({ weight: unit(0.1, 9), repairMinutes: unit(1, 60) }), {
          minLength: 2,
          maxLength: 6,
        }),
        (list) => {
          const elements = list.map((e, i) => ({ id: `e${i}`, ...e }));
          const sum = list.reduce((a, e) => a + e.weight, 0);
          const least = Math.min(
            ...orders(elements).map((o) => {
              let left = 1;
              return o.reduce((m, e) => {
                const here = e.repairMinutes * left;
                left -= e.weight / sum;
                return m + here;
              }, 0);
            }),
          );
          near(trace({ elements, checks: [] }).repairNowMinutes, least);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('orders ladders so that no other interleaving is quicker', () => {
    // Source: Sidney, Operations Research 23(2), 1975: exact for chains. Checked against all interleavings.
    const interleave = (a: number[], b: number[]): number[][] =>
      a.length === 0 || b.length === 0
        ? [[...a, ...b]]
        : [
            ...interleave(a.slice(1), b).map((r) => [a[0] as number, ...r]),
            ...interleave(a, b.slice(1)).map((r) => [b[0] as number, ...r]),
          ];
    const rung = fc.record({ minutes: unit(1, 20), fixes: unit(0.1, 1) });
    fc.assert(
      fc.property(
        fc.array(rung, { minLength: 1, maxLength: 4 }),
        fc.array(rung, { minLength: 1, maxLength: 4 }),
        unit(0.1, 0.9),
        (x, y, p) => {
          // Rungs that do not pay are left out before anything is ordered.
          const ladders = [x, y].map((l) =>
            paying(l.map((r, k) => ({ id: `r${k}`, ...r }))).map(({ minutes, fixes }) => ({
              minutes,
              fixes,
            })),
          );
          const walk = (order: number[]) => {
            const at = [0, 0];
            const left = [p, 1 - p];
            return order.reduce((m, k) => {
              const r = ladders[k]?.[at[k] as number] as { minutes: number; fixes: number };
              const here = r.minutes * ((left[0] as number) + (left[1] as number));
              left[k] = (left[k] as number) * (1 - r.fixes);
              at[k] = (at[k] as number) + 1;
              return m + here;
            }, 0);
          };
          const least = Math.min(
            ...interleave(
              (ladders[0] ?? []).map(() => 0),
              (ladders[1] ?? []).map(() => 1),
            ).map(walk),
          );
          const elements = ladders.map((l, k) => ({
            id: `e${k}`,
            weight: k === 0 ? p : 1 - p,
            remedies: l.map((r, i) => ({ id: `r${i}`, ...r })),
          }));
          near(trace({ elements, checks: [] }).repairNowMinutes, least);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('repeats a check only where something comes and goes', () => {
    const elements = [
      { id: 'a', weight: 1, repairMinutes: 60, q: 1 },
      { id: 'b', weight: 1, repairMinutes: 60 },
    ];
    const base: TraceRequest = {
      elements,
      checks: [{ id: 't', exercises: ['a'], minutes: 1 }],
      log: [{ check: 't', outcome: 'ok' }],
      options: { repeats: 'intermittent only' },
    };
    expect(trace(base).next.some((n) => n.id === 't')).toBe(false);
    const loose = {
      ...base,
      elements: [{ ...elements[0], q: 0.3 }, elements[1]] as TraceRequest['elements'],
    };
    expect(trace(loose).next.some((n) => n.id === 't')).toBe(true);
  });
});

describe('wrong input is refused by name', () => {
  const good: TraceRequest = {
    elements: [{ id: 'a', weight: 1, repairMinutes: 5 }],
    checks: [{ id: 't', exercises: ['a'], minutes: 1 }],
    access: [{ id: 'lid', minutes: 1 }],
  };
  const cases: [string, TraceRequest, string, RegExp][] = [
    [
      'unknown element',
      { ...good, checks: [{ id: 't', exercises: ['zz'], minutes: 1 }] },
      '/checks/0/exercises/0',
      /zz/,
    ],
    ['double element', { ...good, elements: [...good.elements, ...good.elements] }, '/elements/1/id', /a/],
    [
      'weight 0',
      { ...good, elements: [{ id: 'a', weight: 0, repairMinutes: 5 }] },
      '/elements/0/weight',
      /a/,
    ],
    ['minutes 0', { ...good, checks: [{ id: 't', exercises: ['a'], minutes: 0 }] }, '/checks/0/minutes', /t/],
    [
      'sensitivity over 1',
      { ...good, checks: [{ id: 't', exercises: ['a'], minutes: 1, sensitivity: 1.2 }] },
      '/checks/0/sensitivity',
      /t/,
    ],
    [
      'access loop',
      {
        ...good,
        access: [
          { id: 'x', minutes: 1, needs: ['y'] },
          { id: 'y', minutes: 1, needs: ['x'] },
        ],
      },
      '/access/0/needs',
      /x/,
    ],
    ['unknown access', { ...good, opened: ['roof'] }, '/opened/0', /roof/],
    ['unknown check in the log', { ...good, log: [{ check: 'zz', outcome: 'ok' }] }, '/log/0/check', /zz/],
    ['answer that is none', { ...good, log: [{ check: 't', outcome: 'maybe' }] }, '/log/0/outcome', /maybe/],
    [
      'low over high',
      { ...good, log: [{ check: 't', reading: 1, expect: { nominal: 1, tolerance: 1, low: 2, high: 1 } }] },
      '/log/0/expect/low',
      /t/,
    ],
    [
      'tolerance 0',
      { ...good, log: [{ check: 't', reading: 1, expect: { nominal: 1, tolerance: 0, low: 0, high: 2 } }] },
      '/log/0/expect/tolerance',
      /t/,
    ],
    ['remedy not on the ladder', { ...good, log: [{ tried: 'pray', element: 'a' }] }, '/log/0/tried', /pray/],
  ];
  it.each(cases)('%s', (_name, request, path, words) => {
    try {
      trace(request);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(Refusal);
      expect((error as Refusal).path).toBe(path);
      expect((error as Refusal).message).toMatch(words);
    }
  });
});
