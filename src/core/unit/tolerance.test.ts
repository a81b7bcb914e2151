import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { usualTolerance } from './tolerance';

describe('how far a reading may be off where nobody says', () => {
  it('a tenth of what it should be, whatever its sign', () => {
    expect(usualTolerance(12)).toBe(1.2);
    expect(usualTolerance(-15)).toBe(1.5);
    expect(usualTolerance(0.775)).toBe(0.0775);
  });
  it('of a pack as far as empty and full, and a tenth where it is no reading of the pack', () => {
    expect(usualTolerance(36, [30, 42])).toBe(6);
    expect(usualTolerance(42, [30, 42])).toBe(12);
    expect(usualTolerance(5, [30, 42])).toBe(0.5);
  });
  it('of nothing there is none', () => {
    expect(() => usualTolerance(0)).toThrow(Refusal);
    expect(() => usualTolerance(3, [3, 3])).toThrow('say how far it may be off');
  });
  it('is over 0, and no end of a span is out of its reach by more than it is rounded', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 1e4, noNaN: true }),
        fc.double({ min: 0.001, max: 1e4, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (low, more, at) => {
          const span = [low, low + more] as const;
          const reach = usualTolerance(low + at * more, span);
          expect(reach).toBeGreaterThan(0);
          for (const end of span)
            expect(Math.abs(end - (low + at * more))).toBeLessThanOrEqual(reach * 1.006);
        },
      ),
    );
  });
});
