import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { kaplanMeier, lasting, lognormal, normalBelow, normalQuantile, wilson } from '.';
import { betaBelow, betaQuantile } from './beta';

const near = (got: number, want: number, within = 1e-9) =>
  expect(Math.abs(got - want), `${got} beside ${want}`).toBeLessThanOrEqual(
    within * Math.max(1, Math.abs(want)),
  );
const share = fc.double({ min: 0.001, max: 0.999, noNaN: true });
const refused = (f: () => unknown) => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return { path: error.path, words: error.message };
    throw error;
  }
  return { path: '', words: 'taken' };
};

describe('laws, beside a statistics package', () => {
  it('the normal law and its quantiles', () => {
    // Tables of the normal law.
    near(normalBelow(1.959963984540054), 0.975, 1e-14);
    near(normalQuantile(0.975), 1.959963984540054, 1e-13);
    near(normalQuantile(0.9), 1.2815515655446004, 1e-13);
    fc.assert(
      fc.property(share, fc.double({ min: -7, max: 7, noNaN: true }), (p, x) => {
        near(normalQuantile(p), jstat.normal.inv(p, 0, 1), 1e-7);
        near(normalBelow(x), jstat.normal.cdf(x, 0, 1), 1e-9);
        near(normalBelow(normalQuantile(p)), p, 1e-13);
        near(normalBelow(x) + normalBelow(-x), 1, 1e-14);
      }),
    );
    expect(normalBelow(-9)).toBeGreaterThan(0);
  });
  // Tails of the normal law as handbook tables and general packages give them, from memory.
  it.each([
    [-5, 2.866515718791939e-7],
    [-6, 9.865876450376946e-10],
    [-8, 6.22096057427178e-16],
    [-10, 7.61985302416053e-24],
    [-20, 2.7536241186062337e-89],
  ])('the tail below %i', (x, want) => {
    expect(Math.abs(normalBelow(x) / want - 1)).toBeLessThan(1e-12);
    near(normalBelow(-x), 1, 1e-6);
  });
  it('the beta law and its quantiles', () => {
    // By hand: Beta(2, 2) is 3x² − 2x³ below x; Beta(1, b) is 1 − (1 − x)^b.
    near(betaBelow(0.3, 2, 2), 3 * 0.09 - 2 * 0.027, 1e-14);
    near(betaBelow(0.2, 1, 7), 1 - 0.8 ** 7, 1e-14);
    fc.assert(
      fc.property(
        share,
        fc.double({ min: 0.3, max: 200, noNaN: true }),
        fc.double({ min: 0.3, max: 200, noNaN: true }),
        (p, a, b) => {
          // The package ends its fraction early: it is right to seven digits. Closed forms are exact.
          near(betaBelow(p, a, b), jstat.beta.cdf(p, a, b), 1e-6);
          near(betaBelow(p, a, 1), p ** a, 1e-12);
          near(betaBelow(p, 1, b), 1 - (1 - p) ** b, 1e-12);
          near(betaBelow(p, a, b) + betaBelow(1 - p, b, a), 1, 1e-12);
          near(betaQuantile(p, a, 1), p ** (1 / a), 1e-10);
        },
      ),
    );
    expect([betaBelow(-1, 2, 2), betaBelow(0, 2, 2), betaBelow(1, 2, 2), betaBelow(2, 2, 2)]).toEqual([
      0, 0, 1, 1,
    ]);
  });
});

describe('a share', () => {
  // Newcombe, Statistics in Medicine 17, 1998, table I, method 3 (score, without correction), from memory:
  // 81 of 263, 15 of 148, 0 of 20, 1 of 29.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%i of %i has the interval of the published example', (successes, trials, low, high) => {
    const a = wilson({ successes, trials });
    expect(a.share).toBe(successes / trials);
    near(a.low as number, low, 5e-5);
    near(a.high as number, high, 5e-5);
  });
  it('has the interval in which its own test does not refuse it: both ends solve the score equation', () => {
    fc.assert(
      fc.property(fc.nat(40), fc.nat(40), share, (x, more, c) => {
        const trials = x + more;
        const a = wilson({ successes: x, trials, confidence: c });
        if (trials === 0) {
          expect(a).toEqual({ share: null, low: null, high: null });
          return;
        }
        const z = normalQuantile((1 + c) / 2);
        for (const p of [a.low as number, a.high as number]) {
          if (p <= 0 || p >= 1) continue;
          near(Math.abs(x / trials - p) / Math.sqrt((p * (1 - p)) / trials), z, 1e-6);
        }
        expect(a.low as number).toBeLessThanOrEqual(a.share as number);
        expect(a.high as number).toBeGreaterThanOrEqual(a.share as number);
      }),
    );
  });
  it('refuses what cannot be', () => {
    expect(refused(() => wilson({ successes: 3, trials: 2 })).path).toBe('/successes');
    expect(refused(() => wilson({ successes: 1.5, trials: 2 })).path).toBe('/successes');
    expect(refused(() => wilson({ successes: 0, trials: -1 })).path).toBe('/trials');
    for (const confidence of [0, 1, -0.5])
      expect(refused(() => wilson({ successes: 0, trials: 1, confidence })).path).toBe('/confidence');
  });
});

describe('how long repairs last', () => {
  // Freireich and others, Blood 21, 1963: weeks in remission under 6-MP, + still so; the textbook example
  // of Cox and Oakes, Analysis of Survival Data, 1984 (from memory).
  const weeks = '6 6 6 6+ 7 9+ 10 10+ 11+ 13 16 17+ 19+ 20+ 22 23 25+ 32+ 32+ 34+ 35+';
  const followUps = weeks
    .split(' ')
    .map((w) => ({ days: Number.parseInt(w, 10), cameBack: !w.endsWith('+') }));
  it('follows the textbook example, with its standard errors', () => {
    const { steps } = kaplanMeier({ followUps });
    expect(steps.map((s) => [s.days, s.atRisk, s.cameBack])).toEqual([
      [6, 21, 3],
      [7, 17, 1],
      [10, 15, 1],
      [13, 12, 1],
      [16, 11, 1],
      [22, 7, 1],
      [23, 6, 1],
    ]);
    const published = [
      [0.857, 0.0764],
      [0.807, 0.0869],
      [0.753, 0.0963],
      [0.69, 0.1068],
      [0.627, 0.1141],
      [0.538, 0.1282],
      [0.448, 0.1346],
    ] as const;
    steps.forEach((s, i) => {
      near(s.lasting, published[i]?.[0] as number, 6e-4);
      near(s.standardError, published[i]?.[1] as number, 6e-5);
    });
    // Log minus log at the first step, by hand: 0.857 ^ exp(±1.96 · 0.0764 / (0.857 · |ln 0.857|)).
    near(steps[0]?.low as number, 0.6197, 1e-3);
    near(steps[0]?.high as number, 0.9516, 1e-3);
  });
  it('is the share that lasts where all were followed alike, and never rises', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ days: fc.nat(60), cameBack: fc.boolean() }), { maxLength: 40 }),
        (list) => {
          const all = list.map((x) => (x.cameBack ? x : { ...x, days: 99 }));
          const { steps } = kaplanMeier({ followUps: all });
          for (const s of steps)
            near(s.lasting, all.filter((x) => x.days > s.days).length / all.length, 1e-12);
          const any = kaplanMeier({ followUps: list }).steps;
          any.reduce((before, s) => {
            expect(s.lasting).toBeLessThan(before);
            if (s.lasting === 0) expect([s.low, s.high, s.standardError]).toEqual([null, null, 0]);
            else {
              expect(s.low as number).toBeLessThan(s.lasting);
              expect(s.high as number).toBeGreaterThan(s.lasting);
            }
            return s.lasting;
          }, 1);
          // In whatever order they are told.
          expect(kaplanMeier({ followUps: [...list].reverse() }).steps).toEqual(any);
        },
      ),
    );
  });
  it('counts whoever is lost sight of on the day of a comeback as still at risk', () => {
    const { steps } = kaplanMeier({
      followUps: [
        { days: 5, cameBack: false },
        { days: 5, cameBack: true },
      ],
    });
    expect(steps[0]).toMatchObject({ atRisk: 2, lasting: 0.5 });
    expect(kaplanMeier({ followUps: [] }).steps).toEqual([]);
    expect(refused(() => kaplanMeier({ followUps: [{ days: -1, cameBack: true }] })).path).toBe(
      '/followUps/0/days',
    );
  });
});

describe('how long something takes', () => {
  it('is the lognormal law of the package, from five durations on', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 300, noNaN: true }), { minLength: 5, maxLength: 30 }),
        share,
        (minutes, p) => {
          const a = lognormal({ minutes, quantiles: [p], default: 7 });
          const logs = minutes.map(Math.log);
          const mu = jstat.mean(logs);
          const sigma = jstat.stdev(logs, true);
          expect(a.method).toBe('lognormal');
          expect(a.n).toBe(minutes.length);
          near(a.sigma, sigma, 1e-9);
          near(a.median, Math.exp(mu), 1e-9);
          if (sigma > 1e-6) near(a.quantiles[0]?.minutes as number, jstat.lognormal.inv(p, mu, sigma), 1e-6);
        },
      ),
    );
  });
  it('is the default, half more in one of ten cases, below five', () => {
    const a = lognormal({ minutes: [3, 4, 5, 6], quantiles: [0.1, 0.5, 0.9], default: 20 });
    expect(a).toMatchObject({ n: 4, method: 'default' });
    near(a.median, 20, 1e-12);
    a.quantiles.forEach(({ minutes }, i) => {
      near(minutes, [20 / 1.5, 20, 30][i] as number, 1e-12);
    });
    expect(refused(() => lognormal({ minutes: [3, 4, 5, 6], quantiles: [] })).path).toBe('/default');
    expect(lognormal({ minutes: [2, 2, 2, 2, 2], quantiles: [0.9] })).toMatchObject({
      sigma: 0,
      method: 'lognormal',
    });
  });
  it.each([
    [{ minutes: [0], quantiles: [], default: 1 }, '/minutes/0'],
    [{ minutes: [], quantiles: [1], default: 1 }, '/quantiles/0'],
    [{ minutes: [], quantiles: [], default: 0 }, '/default'],
  ])('refuses %j', (request, path) => {
    expect(refused(() => lognormal(request)).path).toBe(path);
  });
});

describe('the chance that a remedy lasts', () => {
  it('is the mean of its beta law, between equal tails of the package', () => {
    fc.assert(
      fc.property(
        fc.nat(60),
        fc.nat(60),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.integer({ min: 1, max: 20 }),
        share,
        (l, b, mean, count, c) => {
          const a = lasting({ lasted: l, cameBack: b, prior: { mean, count }, confidence: c });
          const [x, y] = [l + mean * count, b + (1 - mean) * count];
          near(a.chance, x / (x + y), 1e-12);
          // Where next to nothing speaks against it, an end lies among the last numbers below one, which are
          // too coarse to hit the tail: the numbers on either side of it then have the tail between them.
          for (const [end, below] of [
            [a.low, (1 - c) / 2],
            [a.high, (1 + c) / 2],
          ] as const) {
            const step = end * Number.EPSILON;
            expect(jstat.beta.cdf(Math.max(0, end - step), x, y)).toBeLessThanOrEqual(below + 1e-6);
            expect(jstat.beta.cdf(Math.min(1, end + step), x, y)).toBeGreaterThanOrEqual(below - 1e-6);
          }
        },
      ),
    );
  });
  it('is as likely as not where nothing is known, and sure where nothing speaks against it', () => {
    const none = lasting({ lasted: 0, cameBack: 0 });
    // Beta(1, 1) is even: its tails are those of the interval itself.
    near(none.chance, 0.5);
    near(none.low, 0.025);
    near(none.high, 0.975);
    expect(lasting({ lasted: 4, cameBack: 0, prior: { mean: 1, count: 3 } })).toEqual({
      chance: 1,
      low: 1,
      high: 1,
    });
    expect(refused(() => lasting({ lasted: 0, cameBack: 0, prior: { mean: 0.5, count: 0 } })).path).toBe(
      '/prior/count',
    );
    expect(refused(() => lasting({ lasted: -1, cameBack: 0 })).path).toBe('/lasted');
    expect(refused(() => lasting({ lasted: 0, cameBack: -1 })).path).toBe('/cameBack');
    expect(refused(() => lasting({ lasted: 0, cameBack: 0, prior: { mean: 2, count: 1 } })).path).toBe(
      '/prior/mean',
    );
  });
});
