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
    ).toThrow(/where/);
  });
});
