import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tighten } from '.';

const ring = (n: number, way = 1, turn = 0.3) =>
  Array.from({ length: n }, (_, i) => ({
    id: String(i + 1),
    x: 7 + 40 * Math.cos(turn + (way * 2 * Math.PI * i) / n),
    y: -3 + 40 * Math.sin(turn + (way * 2 * Math.PI * i) / n),
  }));
const order = (points: ReturnType<typeof ring>) => tighten({ points }).passes[0]?.sequence.join('-');

describe('tightening', () => {
  it.each([
    // Source: ASME PCC-1, legacy pattern.
    [4, '1-3-2-4'],
    [8, '1-5-3-7-2-6-4-8'],
    [12, '1-7-4-10-2-8-5-11-3-9-6-12'],
    [16, '1-9-5-13-3-11-7-15-2-10-6-14-4-12-8-16'],
  ])('a ring of %i goes crosswise', (n, want) => {
    expect(order(ring(n))).toBe(want);
    expect(order(ring(n, -1, 1.9))).toBe(want);
  });

  it('any layout: every screw once in every pass, shares never fall and end at the whole', () => {
    const point = fc.record({ x: fc.integer({ min: 0, max: 300 }), y: fc.integer({ min: 0, max: 200 }) });
    fc.assert(
      fc.property(
        fc.uniqueArray(point, { minLength: 1, maxLength: 14, selector: (p) => `${p.x} ${p.y}` }),
        fc.constantFrom('metal' as const, 'plastic' as const),
        (places, lid) => {
          const points = places.map((p, i) => ({ id: `s${i}`, ...p }));
          const { passes } = tighten({ points, lid, torque: 1.2 });
          for (const p of passes) expect([...p.sequence].sort()).toEqual(points.map((q) => q.id).sort());
          const shares = passes.map((p) => p.fraction);
          expect(shares).toEqual([...shares].sort((a, b) => a - b));
          expect(shares.at(-1)).toBe(1);
          expect(passes.at(-1)?.torque).toBe(1.2);
        },
      ),
    );
  });

  it('the order of the list does not matter, and once round goes round', () => {
    const point = fc.record({ x: fc.integer({ min: 0, max: 300 }), y: fc.integer({ min: 0, max: 200 }) });
    fc.assert(
      fc.property(
        fc.uniqueArray(point, { minLength: 1, maxLength: 12, selector: (p) => `${p.x} ${p.y}` }),
        fc.infiniteStream(fc.nat()),
        (places, keys) => {
          const points = places.map((p, i) => ({ id: `s${i + 1}`, ...p }));
          const shuffled = points
            .map((p) => ({ p, k: keys.next().value }))
            .sort((a, b) => a.k - b.k)
            .map(({ p }) => p);
          expect(tighten({ points: shuffled })).toEqual(tighten({ points }));
        },
      ),
    );
    for (const n of [5, 8, 12]) {
      const last = tighten({ points: [...ring(n)].reverse() }).passes.at(-1);
      expect(last?.name).toBe('once round');
      expect(last?.sequence).toEqual(ring(n).map((p) => p.id));
    }
  });

  it('the torque of a pass is its share of the whole; by hand there is none, nor where none was given', () => {
    const passes = (torque?: number, lid?: 'plastic') =>
      tighten({ points: ring(4), ...(torque ? { torque } : {}), ...(lid ? { lid } : {}) }).passes;
    expect(passes(2).map((p) => p.torque)).toEqual([undefined, 0.6, 1.4, 2, 2]);
    expect(passes(3, 'plastic').map((p) => p.torque)).toEqual([undefined, 1.5, 3]);
    expect(passes().every((p) => !('torque' in p))).toBe(true);
  });

  it('where they are no even ring by fours, each next one is the farthest from the two before it', () => {
    const points = fc.uniqueArray(
      fc.record({ x: fc.integer({ min: -200, max: 200 }), y: fc.integer({ min: -90, max: 90 }) }),
      { minLength: 2, maxLength: 9, selector: (p) => `${p.x} ${p.y}` },
    );
    const away = (a: { x: number; y: number }, b: { x: number; y: number }) =>
      Math.hypot(a.x - b.x, a.y - b.y);
    fc.assert(
      fc.property(points, (places) => {
        // Five in a row are no ring, whatever the rest is.
        const all = [...places, ...[0, 1, 2, 3, 4].map((k) => ({ x: 400 + 10 * k, y: 0 }))];
        const by = new Map(all.map((p, i) => [`s${i + 1}`, p]));
        const sequence = tighten({ points: all.map((p, i) => ({ id: `s${i + 1}`, ...p })) }).passes[0]
          ?.sequence as string[];
        const at = (k: number) => by.get(sequence[k] as string) as { x: number; y: number };
        for (let k = 1; k < sequence.length; k++) {
          const score = (p: { x: number; y: number }) =>
            away(p, at(k - 1)) + away(p, at(Math.max(0, k - 2))) / 2;
          const left = sequence.slice(k).map((id) => score(by.get(id) as { x: number; y: number }));
          expect(score(at(k))).toBeGreaterThanOrEqual(Math.max(...left) - 1e-9);
        }
      }),
    );
    // Neither is an even ring of six, or a square that is none.
    expect(order(ring(6))).toMatch(/^1-4-/);
    const kite = [
      [0, 0],
      [50, -10],
      [300, 0],
      [50, 10],
    ].map(([x = 0, y = 0], i) => ({ id: String(i + 1), x, y }));
    expect(order(kite)).toBe('1-3-2-4');
    const long = [
      [0, 0],
      [10, 0],
      [300, 0],
      [290, 5],
      [150, 80],
      [140, 80],
      [20, 70],
      [5, 60],
    ].map(([x = 0, y = 0], i) => ({ id: String(i + 1), x, y }));
    expect(order(long)).not.toBe('1-5-3-7-2-6-4-8');
  });

  it('a rectangle starts with its diagonal', () => {
    const points = [
      [0, 0],
      [100, 0],
      [200, 0],
      [200, 80],
      [100, 80],
      [0, 80],
    ].map(([x = 0, y = 0], i) => ({ id: String(i + 1), x, y }));
    expect(tighten({ points }).passes[0]?.sequence.slice(0, 2)).toEqual(['1', '4']);
  });

  it('refuses two screws in one place, a double id and no screw at all', () => {
    expect(() => tighten({ points: [] })).toThrow(/at least one/);
    for (const torque of [0, -1]) expect(() => tighten({ points: ring(3), torque })).toThrow(/over 0/);
    for (const at of [{ x: Number.NaN }, { y: Number.POSITIVE_INFINITY }])
      expect(() => tighten({ points: [{ id: 'a', x: 1, y: 1, ...at }] })).toThrow(/“a” has no place/);
    expect(() =>
      tighten({
        points: [
          { id: 'a', x: 0, y: 0 },
          { id: 'a', x: 1, y: 0 },
        ],
      }),
    ).toThrow(/twice/);
    expect(() =>
      tighten({
        points: [
          { id: 'a', x: 0, y: 0 },
          { id: 'b', x: 0, y: 0 },
        ],
      }),
    ).toThrow(/“b” is where “a” is/);
  });
});
