import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { UnitMap } from '../src/core/unit';
import { DEMO_UNITS } from '../src/demo/jobs';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { layoutChain } from '../src/features/trace/layout';

const overlaps = (layout: ReturnType<typeof layoutChain>) =>
  layout.boxes.flatMap((a, i) =>
    layout.boxes
      .slice(i + 1)
      .filter((b) => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h)
      .map((b) => `${a.id} ${b.id}`),
  );

describe('layout of the chain', () => {
  it('stands shared elements tall and lays channels as lanes', () => {
    const layout = layoutChain(hearingLoop);
    const box = (id: string) => layout.boxes.find((b) => b.id === id);
    expect(box('A2')?.h).toBe(layout.height);
    expect(box('W7')?.x).toBe(box('W8')?.x);
    expect(box('W7')?.y).toBeLessThan(box('W8')?.y ?? 0);
    expect(layout.beside.map((e) => e.id)).toEqual(['A4']);
    expect(['J1', 'A1', 'W4', 'A2', 'W7', 'A3', 'L1'].map((id) => box(id)?.x ?? -1)).toEqual(
      [...['J1', 'A1', 'W4', 'A2', 'W7', 'A3', 'L1'].map((id) => box(id)?.x ?? -1)].sort((a, b) => a - b),
    );
  });

  it.each(DEMO_UNITS.map(({ map }) => [map.name, map] as const))(
    '%s: every element has a place, and none lies on another',
    (_n, map) => {
      const layout = layoutChain(map);
      expect([...layout.boxes, ...layout.beside].map((e) => e.id).sort()).toEqual(
        map.elements.map((e) => e.id).sort(),
      );
      expect(overlaps(layout)).toEqual([]);
      for (const { from, to } of layout.links) expect(from.x).toBeLessThan(to.x);
    },
  );

  it('holds for any map, loops included', () => {
    const maps = fc.integer({ min: 1, max: 10 }).chain((n) =>
      fc.array(fc.record({ from: fc.nat(n - 1), to: fc.nat(n - 1) }), { maxLength: 16 }).map((feeds) => ({
        elements: Array.from({ length: n }, (_, i) => ({
          id: `e${i}`,
          name: 'x',
          kind: i % 2 ? 'cable' : 'board',
        })),
        feeds: feeds
          .filter((f) => f.from !== f.to)
          .map((f) => ({ from: `e${f.from}`, to: `e${f.to}`, carries: 'signal' })),
      })),
    );
    fc.assert(
      fc.property(maps, (m) => {
        const layout = layoutChain(m as unknown as UnitMap);
        expect(layout.boxes.length + layout.beside.length).toBe(m.elements.length);
        expect(overlaps(layout)).toEqual([]);
        for (const b of layout.boxes)
          expect([b.x, b.y, b.w, b.h].every((v) => Number.isFinite(v) && v >= 0)).toBe(true);
      }),
      { numRuns: 100 },
    );
  });
});
