import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chooseSpare, continuity } from '.';

const ends = (n: number) => ({
  a: Array.from({ length: n }, (_, i) => `A${i + 1}`),
  b: Array.from({ length: n }, (_, i) => `B${i + 1}`),
});
const straight = (n: number) => ends(n).a.map((x, i) => [x, ends(n).b[i]] as [string, string]);

describe('continuity', () => {
  it('a good cable is as it should be, whatever its wiring is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer(), (n, seed) => {
        const order = [...ends(n).b].sort(
          (x, y) => ((seed * 31 + x.length * 7 + x.charCodeAt(1)) % 13) - y.charCodeAt(1),
        );
        const wired = ends(n).a.map((x, i) => [x, order[i] as string] as [string, string]);
        const { verdict, map } = continuity({ ...ends(n), joined: wired, expected: wired });
        expect(verdict).toBe('as it should be');
        expect(map.map((m) => m.to)).toEqual(wired.map(([, y]) => [y]));
      }),
    );
  });
  it('what is broken, bridged and swapped is named, and nothing else', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 20 }),
        fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 5, maxLength: 5 }),
        (n, [broken = 0, p = 1, q = 2, u = 3, v = 4]) => {
          const wires = straight(n);
          const at = (i: number) => wires[i] as [string, string];
          const joined = wires.filter((_, i) => ![broken, p, q].includes(i));
          joined.push([at(p)[0], at(q)[1]], [at(q)[0], at(p)[1]]);
          joined.push([at(u)[0], at(v)[0]]);
          const { opens, shorts, crossed, verdict } = continuity({ ...ends(n), joined });
          expect(opens).toEqual([at(broken)]);
          expect(shorts).toEqual([[at(u)[0], at(v)[0]]]);
          expect(crossed).toEqual([[at(Math.min(p, q))[0], at(Math.max(p, q))[0]]]);
          expect(verdict).toBe('faulty');
        },
      ),
    );
  });
  it('a joint said twice, either way round, is one; a wire to two contacts is a short', () => {
    const r = continuity({
      ...ends(2),
      joined: [
        ['A1', 'B1'],
        ['A2', 'B2'],
        ['A1', 'B2'],
        ['B2', 'A1'],
      ],
    });
    expect(r.shorts).toEqual([['A1', 'B2']]);
    expect(r.map[0]).toEqual({ from: 'A1', to: ['B1', 'B2'] });
  });
  it.each([
    [{ a: ['1', '1'], b: [], joined: [] }, '/a/1'],
    [{ a: ['1'], b: ['2'], joined: [['1', '3']] as [string, string][] }, '/joined/0'],
    [{ a: ['1'], b: ['2'], joined: [['1', '1']] as [string, string][] }, '/joined/0'],
    [{ a: ['1'], b: ['2'], joined: [], expected: [['1', '9']] as [string, string][] }, '/expected/0'],
  ])('%j is refused at its place', (r, path) => {
    let refused: unknown;
    try {
      continuity(r);
    } catch (error) {
      refused = error;
    }
    expect(refused).toMatchObject({ path });
  });
});

describe('which spare', () => {
  const wanted = { contacts: 10, pitchMm: 1, lengthMm: 120, twist: 'same' as const };
  it('contacts, pitch and faces agree, and it reaches; the nearest in length comes first', () => {
    const found = chooseSpare(wanted, [
      { ...wanted, lengthMm: 400 },
      { ...wanted, lengthMm: 130 },
      { ...wanted, contacts: 12 },
      { ...wanted, lengthMm: 110 },
      { ...wanted, twist: 'opposite' },
      { ...wanted, pitchMm: 0.5 },
    ]);
    expect(found.filter((f) => f.fits).map((f) => f.spare)).toEqual([1, 0]);
    expect(found.find((f) => f.spare === 0)?.why.join()).toContain('280 mm longer');
    expect(found.find((f) => f.spare === 3)?.why).toEqual(['10 mm too short']);
    expect(found.find((f) => f.spare === 4)?.why.join()).toContain('upside down');
  });
  it('a figure that cannot be is refused', () => {
    expect(() => chooseSpare({ ...wanted, pitchMm: 0 }, [])).toThrow('pitch');
    expect(() => chooseSpare(wanted, [{ ...wanted, contacts: 2.5 }])).toThrow('whole number');
  });
});
