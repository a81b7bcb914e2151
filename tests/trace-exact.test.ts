import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { optimum } from '../bench/optimum';
import { dice, randomUnit } from '../bench/ways';
import { type TraceRequest, trace } from '../src/core/trace';

const exactly = (r: TraceRequest) => trace({ ...r, options: { ...r.options, exact: true, top: 99 } });

interface Rung {
  minutes: number;
  fixes: number;
}
interface Plain {
  elements: { weight: number; ladder: Rung[] }[];
  checks: {
    exercises: number[];
    minutes: number;
    s: number;
    f: number;
    needs: boolean;
    power: 'on' | 'off' | null;
  }[];
}

/**
 * Least expected minutes by trying every act at every moment, moments told apart by the whole story that
 * led there: no table, no sharing, one fault.
 */
function every(m: Plain, w: number[], rung: number[], made: boolean[], open: boolean, power: string): number {
  const mass = w.reduce((a, b) => a + b, 0);
  if (mass < 1e-12) return 0;
  let best = Number.POSITIVE_INFINITY;
  m.elements.forEach((e, i) => {
    if ((w[i] as number) < 1e-12) return;
    for (let k = rung[i] as number; k < e.ladder.length; k++) {
      const r = e.ladder[k] as Rung;
      const fixes = k === e.ladder.length - 1 ? 1 : r.fixes;
      const after = w.map((x, j) => (j === i ? x * (1 - fixes) : x));
      const left = after.reduce((a, b) => a + b, 0) / mass;
      const then = every(
        m,
        after,
        rung.map((x, j) => (j === i ? k + 1 : x)),
        made,
        open,
        power,
      );
      best = Math.min(best, r.minutes + left * then);
    }
  });
  m.checks.forEach((c, i) => {
    if (made[i]) return;
    const bad = w.map((x, j) => x * (c.exercises.includes(j) ? 1 - (1 - c.f) * (1 - c.s) : c.f));
    const ok = w.map((x, j) => x - (bad[j] as number));
    const change = c.power && c.power !== power ? (c.power === 'on' ? 2 : 1) : 0;
    let minutes = c.minutes + (c.needs && !open ? 6 : 0) + change;
    for (const next of [bad, ok]) {
      const p = next.reduce((a, b) => a + b, 0) / mass;
      if (p > 1e-12)
        minutes +=
          p *
          every(
            m,
            next,
            rung,
            made.map((x, j) => x || j === i),
            open || c.needs,
            c.power ?? power,
          );
    }
    best = Math.min(best, minutes);
  });
  return best;
}

const plain = fc.record({
  elements: fc.array(
    fc.record({
      weight: fc.integer({ min: 1, max: 9 }),
      ladder: fc.array(
        fc.record({
          minutes: fc.integer({ min: 1, max: 30 }),
          fixes: fc.constantFrom(0.1, 0.3, 0.6, 0.95),
        }),
        { minLength: 1, maxLength: 3 },
      ),
    }),
    { minLength: 2, maxLength: 3 },
  ),
  checks: fc.array(
    fc.record({
      exercises: fc.uniqueArray(fc.integer({ min: 0, max: 1 }), { minLength: 1, maxLength: 2 }),
      minutes: fc.integer({ min: 1, max: 9 }),
      s: fc.constantFrom(1, 0.97, 0.6),
      f: fc.constantFrom(0, 0.02, 0.2),
      needs: fc.boolean(),
      power: fc.constantFrom('on' as const, 'off' as const, null),
    }),
    { maxLength: 2 },
  ),
});

describe('the exact way on', () => {
  it('costs what trying every act at every moment finds, on small units of any kind', () => {
    fc.assert(
      fc.property(plain, (m) => {
        const answer = exactly({
          elements: m.elements.map((e, i) => ({
            id: `e${i}`,
            weight: e.weight,
            remedies: e.ladder.map((r, k) => ({ id: `r${k}`, ...r })),
          })),
          checks: m.checks.map((c, i) => ({
            id: `c${i}`,
            exercises: c.exercises.map((e) => `e${e}`),
            minutes: c.minutes,
            sensitivity: c.s,
            falseAlarm: c.f,
            ...(c.needs ? { needs: ['lid'] } : {}),
            ...(c.power ? { power: c.power } : {}),
          })),
          access: [{ id: 'lid', minutes: 6 }],
          power: { now: 'off', onMinutes: 2, offMinutes: 1 },
        });
        const all = m.elements.reduce((s, e) => s + e.weight, 0);
        const least = every(
          m,
          m.elements.map((e) => e.weight / all),
          m.elements.map(() => 0),
          m.checks.map(() => false),
          false,
          'off',
        );
        expect(answer.method).toBe('exact');
        expect(answer.next[0]?.expectedMinutes).toBeCloseTo(least, 8);
        expect(answer.repairNowMinutes).toBeGreaterThanOrEqual(least - 1e-9);
        expect(answer.enough).toBe(answer.next[0]?.kind === 'repair');
      }),
      { numRuns: 200 },
    );
  });

  it('costs what another full programme finds with perfect checks, and never more than two checks ahead', () => {
    const roll = dice(11);
    for (const shape of ['chain', 'tree', 'two channels'])
      for (let k = 0; k < 12; k++) {
        const unit = randomUnit(shape, 6, 1, roll);
        const answer = exactly(unit);
        const blank = { ...unit, log: [] };
        expect(exactly(blank).next[0]?.expectedMinutes).toBeCloseTo(optimum(blank), 8);
        const ahead = trace({ ...unit, options: { lookahead: 2, top: 99 } });
        expect(answer.next[0]?.expectedMinutes).toBeLessThanOrEqual(
          (ahead.next[0]?.expectedMinutes ?? 0) + 1e-9,
        );
      }
  });

  // Outside reference: the Huffman code of equal weights, David A. Huffman, A Method for the Construction
  // of Minimum-Redundancy Codes, Proc. IRE 40(9), 1952: 8 equal leaves lie 3 deep, 6 lie 16/6 deep.
  it('halves a chain as a Huffman code does: the optimum is one repair and the mean depth', () => {
    for (const [n, depth] of [
      [8, 3],
      [6, 16 / 6],
      [5, 12 / 5],
    ] as const) {
      const ids = Array.from({ length: n }, (_, i) => `e${i}`);
      const answer = exactly({
        elements: ids.map((id) => ({ id, weight: 1, repairMinutes: 500 })),
        checks: ids.slice(0, -1).map((id, i) => ({
          id: `t${id}`,
          exercises: ids.slice(0, i + 1),
          minutes: 1,
          sensitivity: 1,
          falseAlarm: 0,
        })),
      });
      expect(answer.next[0]?.expectedMinutes).toBeCloseTo(500 + depth, 8);
    }
  });

  it('a check that may hide the fault is made twice, and says so where there is too much to look at', () => {
    const chain = (n: number, q: number) => ({
      elements: Array.from({ length: n }, (_, i) => ({ id: `e${i}`, weight: 1, repairMinutes: 90, q })),
      checks: Array.from({ length: n - 1 }, (_, i) => ({
        id: `t${i}`,
        exercises: Array.from({ length: i + 1 }, (__, k) => `e${k}`),
        minutes: 1,
      })),
    });
    const log = [{ check: 't0', outcome: 'ok' }];
    expect(exactly({ ...chain(3, 0.5), log }).next.map((a) => a.id)).toContain('t0');
    expect(exactly({ ...chain(3, 1), log }).next.map((a) => a.id)).not.toContain('t0');
    const twice = [...log, ...log];
    expect(exactly({ ...chain(3, 0.5), log: twice }).next.map((a) => a.id)).not.toContain('t0');
    expect(exactly({ ...chain(14, 0.5), options: { lookahead: 2 } }).method).toBe('lookahead 2');
    expect(trace(chain(3, 1)).method).toBeUndefined();
  });
});
