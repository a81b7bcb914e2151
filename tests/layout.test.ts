import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { UnitMap } from '../src/core/unit';
import { DEMO_UNITS } from '../src/demo/jobs';
import { hearingLoop } from '../src/demo/units/hearing-loop';
import { inLines, overMarks } from '../src/features/trace/chain-words';
import { layoutChain } from '../src/features/trace/layout';

const LETTER = 9;

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

describe('words above the marks of the chain', () => {
  const marks = fc
    .array(
      fc.record({
        step: fc.integer({ min: 50, max: 140 }),
        text: fc.string({ minLength: 1, maxLength: 30 }),
      }),
      {
        minLength: 1,
        maxLength: 14,
      },
    )
    .map((list) => {
      let x = 0;
      return list.map(({ step, text }) => {
        x += step;
        return { x, text };
      });
    });

  it('touch nobody in their row and stay inside the drawing, whatever they are called', () => {
    fc.assert(
      fc.property(marks, (list) => {
        const to = (list.at(-1)?.x ?? 0) + 40;
        const placed = overMarks(list, LETTER, 0, to);
        const width = (text: string) => [...text].reduce((n, c) => n + (c >= '⺀' ? 2 : 1), 0) * LETTER;
        for (const row of [0, 1]) {
          const here = placed.filter((p) => p.row === row);
          for (const [i, p] of here.entries()) {
            const before = here[i - 1];
            if (before)
              expect(p.x - width(p.text) / 2).toBeGreaterThanOrEqual(before.x + width(before.text) / 2);
            expect(p.x - width(p.text) / 2).toBeGreaterThanOrEqual(0);
            expect(p.x + width(p.text) / 2).toBeLessThanOrEqual(to + LETTER);
          }
        }
        expect(placed).toHaveLength(list.length);
      }),
    );
  });

  it('are whole and over their mark where there is room, in two rows where one is too short, cut where both are', () => {
    const far = overMarks(
      [
        { x: 100, text: 'TP1' },
        { x: 300, text: 'bus' },
      ],
      LETTER,
      0,
      400,
    );
    expect(far).toEqual([
      { x: 100, text: 'TP1', row: 0 },
      { x: 300, text: 'bus', row: 0 },
    ]);
    const near = overMarks(
      [
        { x: 100, text: 'fan turns' },
        { x: 150, text: 'mains out' },
      ],
      LETTER,
      0,
      400,
    );
    expect(near).toEqual([
      { x: 100, text: 'fan turns', row: 0 },
      { x: 150, text: 'mains out', row: 1 },
    ]);
    const long = 'string volts at the roof';
    const dense = overMarks(
      [60, 110, 160, 210].map((x) => ({ x, text: long })),
      LETTER,
      0,
      240,
    );
    expect(dense[0]?.text).toBe(long);
    expect(dense[3]?.text).toMatch(/…$/);
  });

  it('that begin or end the drawing are moved inside it', () => {
    const [first] = overMarks([{ x: 8, text: 'string volts' }], LETTER, 0, 400);
    expect(first).toEqual({ x: 54, text: 'string volts', row: 0 });
    const [last] = overMarks([{ x: 392, text: 'mains out' }], LETTER, 0, 400);
    expect(last).toEqual({ x: 400 - 40.5, text: 'mains out', row: 0 });
  });
});

describe('names under the elements', () => {
  it('are broken between words, and end in a dot row where even that is too long', () => {
    expect(inLines('bus capacitors', 20, 2)).toEqual(['bus capacitors']);
    expect(inLines('input board with surge arrestors', 18, 2)).toEqual([
      'input board with',
      'surge arrestors',
    ]);
    expect(inLines('input board with three surge arrestors', 16, 2)).toEqual([
      'input board with',
      'three surge arr…',
    ]);
    expect(inLines('Stromversorgungseinheit', 10, 2)).toEqual(['Stromvers…']);
    expect(inLines('電源基板の中', 8, 2)).toEqual(['電源基…']);
  });

  it('never take more lines or room than there is', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1 }), fc.integer({ min: 4, max: 30 }), (name, room) => {
        const lines = inLines(name, room, 2);
        expect(lines.length).toBeLessThanOrEqual(2);
        for (const l of lines) expect([...l].length).toBeLessThanOrEqual(room);
      }),
    );
  });
});
