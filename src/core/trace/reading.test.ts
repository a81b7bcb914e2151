import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { suspicion } from '.';

describe('a reading', () => {
  it('weighs as a statistics package says: normal around the nominal, even over the span', () => {
    // Outside check: jStat, densities of the normal and the uniform distribution.
    const figure = fc.double({ min: 0.05, max: 0.95, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 11, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        figure,
        figure,
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (reading, tolerance, sensitivity, falseAlarm, weight) => {
          const low = Math.min(0, reading);
          const high = Math.max(10, reading);
          const good = jstat.normal.pdf(reading, 5, tolerance / 1.96);
          const bad = jstat.uniform.pdf(reading, low, high);
          const likelihood = (pBad: number) => pBad * bad + (1 - pBad) * good;
          const inside = weight * likelihood(1 - (1 - falseAlarm) * (1 - sensitivity));
          const outside = likelihood(falseAlarm);
          const { belief } = suspicion({
            elements: [
              { id: 'a', weight, repairMinutes: 1 },
              { id: 'b', weight: 1, repairMinutes: 1 },
            ],
            checks: [{ id: 't', exercises: ['a'], minutes: 1, sensitivity, falseAlarm }],
            access: [],
            log: [{ check: 't', reading, expect: { nominal: 5, tolerance, low: 0, high: 10 } }],
          });
          expect(belief.find((x) => x.id === 'a')?.p).toBeCloseTo(inside / (inside + outside), 9);
        },
      ),
    );
  });
});
