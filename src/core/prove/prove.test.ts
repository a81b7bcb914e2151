import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestTest } from '.';

describe('where to test', () => {
  it('follows an example worked by hand', () => {
    // Shield 2 (undo 1), lid 4 (undo 3), test 1, chance of failing 0.25:
    // open 1; after the shield 1 + 0.25·3 = 1.75; after the lid 1 + 0.25·10 = 3.5; skipped 2.5.
    const answer = bestTest({
      closing: [
        { id: 'shield', minutes: 2, undoMinutes: 1 },
        { id: 'lid', minutes: 4, undoMinutes: 3 },
      ],
      testMinutes: 1,
      pFail: 0.25,
    });
    expect(answer).toEqual({
      places: [
        { after: null, expectedMinutes: 1 },
        { after: 'shield', expectedMinutes: 1.75 },
        { after: 'lid', expectedMinutes: 3.5 },
      ],
      best: null,
      skipMinutes: 2.5,
    });
  });

  it('passes over states that cannot be tested, and pays for holding open', () => {
    const answer = bestTest({
      closing: [
        { id: 'a', minutes: 1, testableAfter: false },
        { id: 'b', minutes: 1, holdOpenMinutes: 5 },
      ],
      testMinutes: 2,
      pFail: 0.5,
    });
    expect(answer.places).toEqual([
      { after: null, expectedMinutes: 2 },
      { after: 'b', expectedMinutes: 9 },
    ]);
  });

  it('never gets cheaper the later it is, where nothing has to be held open', () => {
    const move = fc.record({ minutes: fc.double({ min: 0, max: 30, noNaN: true }) });
    fc.assert(
      fc.property(
        fc.array(move, { maxLength: 10 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (moves, pFail) => {
          const { places, best } = bestTest({
            closing: moves.map((m, i) => ({ id: `m${i}`, ...m })),
            testMinutes: 1,
            pFail,
          });
          const costs = places.map((p) => p.expectedMinutes);
          expect(costs).toEqual([...costs].sort((a, b) => a - b));
          expect(best).toBeNull();
        },
      ),
    );
  });

  it('refuses what is no minute and no chance', () => {
    expect(() => bestTest({ closing: [], testMinutes: 1, pFail: 1.5 })).toThrow(/0 to 1/);
    expect(() => bestTest({ closing: [{ id: 'a', minutes: -1 }], testMinutes: 1, pFail: 0 })).toThrow(/a/);
  });
});
