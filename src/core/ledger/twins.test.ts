import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { firstTwins, type Item, twins } from '.';

const screw = fc.record({
  thread: fc.constantFrom('M2', 'M2.5', 'M3', '#4-40', undefined),
  lengthMm: fc.constantFrom(4, 6, 8, undefined),
  drive: fc.constantFrom('PH1', 'T10'),
  off: fc.boolean(),
  kind: fc.constantFrom('fastener', 'fastener', 'fastener', 'plug'),
});
const itemsOf = (list: { thread?: string; lengthMm?: number; drive: string; off: boolean; kind: string }[]) =>
  list.map(
    ({ off, ...s }, i) =>
      ({
        ...s,
        id: `i${i}`,
        at: '',
        name: 'x',
        count: 1,
        place: { kind: 'cup' },
        by: off ? { off: 1 } : { tight: 1 },
        writtenOff: [],
        inside: [],
      }) as unknown as Item,
  );

describe('what a screw can be taken for', () => {
  // Outside reference: every pair, one against the other.
  it('is the first of the pairs it stands in', () => {
    fc.assert(
      fc.property(fc.array(screw, { maxLength: 14 }), (list) => {
        const items = itemsOf(list as Parameters<typeof itemsOf>[0]);
        const pairs = twins(items);
        const first = firstTwins(items);
        for (const i of items) {
          const others = pairs.flatMap(({ a, b }) => (a === i.id ? [b] : b === i.id ? [a] : []));
          const earliest = items.find((o) => others.includes(o.id));
          expect(first.get(i.id)?.id).toBe(earliest?.id);
        }
      }),
      { numRuns: 400 },
    );
  });
});
