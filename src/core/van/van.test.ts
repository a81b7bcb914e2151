import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { type VanItem, van } from '.';
import { exactly } from './exactly';
import { within } from './within';

let highs: Awaited<ReturnType<typeof loadHighs>>;
beforeAll(async () => {
  highs = await loadHighs();
});

const size = fc.integer({ min: 0, max: 1200 }).map((n) => n / 100);
const itemsOf = (most: number) =>
  fc
    .array(fc.record({ size, gain: fc.integer({ min: 0, max: 90 }) }), { maxLength: most })
    .map((list): VanItem[] => list.map((x, i) => ({ id: `i${i}`, ...x })));
/** The best by trying every choice. */
function best(items: VanItem[], space: number): number {
  let most = 0;
  for (let set = 0; set < 1 << items.length; set++) {
    const inside = items.filter((_, i) => set & (1 << i));
    if (inside.reduce((s, i) => s + i.size, 0) <= space + 1e-9)
      most = Math.max(
        most,
        inside.reduce((s, i) => s + i.gain, 0),
      );
  }
  return most;
}
const refused = (f: () => unknown) => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return { path: error.path, words: error.message };
    throw error;
  }
  return { path: '', words: 'taken' };
};

describe('what goes into the van', () => {
  it('is worth what trying every choice finds, whichever way it is looked for, and fits', () => {
    fc.assert(
      fc.property(itemsOf(11), size, (items, space) => {
        const a = van({ space, items });
        const inside = items.filter((i) => a.take.includes(i.id));
        expect(inside.reduce((s, i) => s + i.size, 0)).toBeLessThanOrEqual(space + 1e-9);
        expect(a.gain).toBeCloseTo(best(items, space), 9);
        expect(a.optimal).toBe(true);
        const worth = items.filter((i) => i.gain > 0 && i.size <= space);
        const sum = (list: VanItem[]) => list.reduce((s, i) => s + i.gain, 0);
        expect(sum(within(worth, space + 1e-9).chosen)).toBeCloseTo(a.gain, 9);
        expect(sum(exactly(worth, space + 1e-9)?.chosen ?? [])).toBeCloseTo(a.gain, 9);
        // The same answer for the same question, in the order of the list.
        expect(van({ space, items })).toEqual(a);
        expect(a.take).toEqual(items.filter((i) => a.take.includes(i.id)).map((i) => i.id));
      }),
      { numRuns: 150 },
    );
  });

  it('is what a mixed-integer solver comes to, up to 60 items', () => {
    fc.assert(
      fc.property(itemsOf(60), fc.integer({ min: 1, max: 6000 }), (items, space100) => {
        const list = items.filter((i) => i.gain > 0);
        if (list.length === 0) return;
        const space = space100 / 100;
        const lp = `Maximize\n obj: ${list.map((i) => `${i.gain} ${i.id}`).join(' + ')}\nSubject To\n c: ${list.map((i) => `${Math.round(i.size * 100)} ${i.id}`).join(' + ')} <= ${space100}\nBinary\n ${list.map((i) => i.id).join(' ')}\nEnd`;
        const theirs = highs.solve(lp, { mip_rel_gap: 0 });
        expect(van({ space, items }).gain).toBeCloseTo(theirs.ObjectiveValue, 6);
      }),
      { numRuns: 40 },
    );
  });

  it('is surely the best with 200 items of two decimals and a space of 10,000', () => {
    const items = Array.from({ length: 200 }, (_, i) => ({
      id: `i${i}`,
      size: ((i * 7919) % 19_973) / 100 + 0.01,
      gain: 1 + ((i * 104_729) % 997) / 7,
    }));
    const a = van({ space: 10_000, items });
    expect(a.optimal).toBe(true);
    // No bound of a part of an item lies far above it: the space is wide.
    const inOrder = [...items].sort((x, y) => y.gain / y.size - x.gain / x.size);
    let room = 10_000;
    let bound = 0;
    for (const i of inOrder) {
      const part = Math.min(1, room / i.size);
      bound += part * i.gain;
      room -= part * i.size;
    }
    expect(a.gain).toBeLessThanOrEqual(bound + 1e-6);
    expect(a.gain).toBeGreaterThan(bound - 150);
  });

  it('holds what must go in, counts it, and says the chance that nothing else is needed', () => {
    const items: VanItem[] = [
      { id: 'meter', size: 2, gain: 0, mustHave: true, pNeeded: 1 },
      { id: 'fan', size: 2, gain: 12, pNeeded: 0.3 },
      { id: 'fuse', size: 0.5, gain: 8, pNeeded: 0.2 },
      { id: 'board', size: 3, gain: 14, pNeeded: 0.25 },
    ];
    const a = van({ space: 5, items });
    expect(a).toEqual({ take: ['meter', 'fan', 'fuse'], gain: 20, chance: 0.75, optimal: true });
    // Exactly full is full: 0.1 + 0.2 fits into 0.3.
    expect(
      van({
        space: 0.3,
        items: [
          { id: 'a', size: 0.1, gain: 1 },
          { id: 'b', size: 0.2, gain: 1 },
        ],
      }).take,
    ).toEqual(['a', 'b']);
    expect(van({ space: 1, items: [] })).toEqual({ take: [], gain: 0, optimal: true });
    const none = van({ space: 1, items: [{ id: 'a', size: 1, gain: 0 }] });
    expect(none.take).toEqual([]);
    expect('chance' in none).toBe(false);
  });

  it('branches and bounds where sizes have more decimals', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            size: fc.double({ min: 0.001, max: 3, noNaN: true }),
            gain: fc.integer({ min: 1, max: 30 }),
          }),
          {
            maxLength: 11,
          },
        ),
        (list) => {
          const items = list.map((x, i) => ({ id: `i${i}`, ...x }));
          expect(van({ space: 4, items }).gain).toBeCloseTo(best(items, 4), 9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it.each([
    [{ space: -1, items: [] }, '/space', 'not under 0'],
    [{ space: 1, items: [{ id: 'a', size: -1, gain: 1 }] }, '/items/0/size', 'size of “a”'],
    [{ space: 1, items: [{ id: 'a', size: 1, gain: -1 }] }, '/items/0/gain', 'gain of “a”'],
    [{ space: 1, items: [{ id: 'a', size: 1, gain: 1, pNeeded: 2 }] }, '/items/0/pNeeded', '0 to 1'],
    [
      {
        space: 1,
        items: [
          { id: 'a', size: 0, gain: 1 },
          { id: 'a', size: 0, gain: 1 },
        ],
      },
      '/items/1/id',
      'twice',
    ],
    [
      {
        space: 1,
        items: [
          { id: 'a', size: 0.7, gain: 0, mustHave: true },
          { id: 'b', size: 0.7, gain: 0, mustHave: true },
        ],
      },
      '/space',
      'a, b',
    ],
  ])('refuses %j', (request, path, words) => {
    const r = refused(() => van(request));
    expect(r.path).toBe(path);
    expect(r.words).toContain(words);
  });
});
