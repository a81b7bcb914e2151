import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { type MixupsAnswer, type MixupsRequest, picturesWanted } from '.';

const request = (spots: { x: number; y: number; board: string }[]): MixupsRequest => ({
  headers: spots.map((at, i) => ({
    id: `J${i}`,
    family: 'wafer',
    pitch: 2.5,
    rows: 1,
    positions: 1,
    key: null,
    open: false,
    at,
    lines: [{ name: 'S', kind: 'signal' as const }],
  })),
  plugs: spots.map((exit, i) => ({
    id: `W${i}`,
    home: `J${i}`,
    family: 'wafer',
    pitch: 2.5,
    rows: 1,
    positions: 1,
    key: null,
    exit,
    freeLength: 50,
    lines: ['S'],
  })),
});
const harmful = (n: number): MixupsAnswer => ({
  risks: Array.from({ length: n }, (_, i) => ({
    plug: `W${i}`,
    header: 'J0',
    how: 'wrong header' as const,
    effect: 'x',
    severity: 2 as const,
    why: 'x',
  })),
  labels: [],
  orientationMarks: [],
  told: [],
  fewest: true,
});
const FRAME = { width: 120, height: 90 };
const spot = fc.record({
  x: fc.integer({ min: 0, max: 400 }),
  y: fc.integer({ min: 0, max: 300 }),
  board: fc.constantFrom('A1', 'A2'),
});

describe('pictures to take', () => {
  it('show every doubt once, and each fits into one frame', () => {
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 24 }), (spots) => {
        const r = request(spots);
        const { pictures } = picturesWanted(r, harmful(spots.length), FRAME);
        expect(pictures.flatMap((p) => p.plugs).sort()).toEqual(r.plugs.map((p) => p.id).sort());
        for (const p of pictures) {
          const them = p.headers.map((h) => r.headers.find((x) => x.id === h)?.at as (typeof spots)[number]);
          expect(new Set(them.map((t) => t.board))).toEqual(new Set([p.board]));
          const span = (k: 'x' | 'y') =>
            Math.max(...them.map((t) => t[k])) - Math.min(...them.map((t) => t[k]));
          expect(span('x')).toBeLessThanOrEqual(FRAME.width);
          expect(span('y')).toBeLessThanOrEqual(FRAME.height);
        }
      }),
    );
  });
  // Outside reference: set cover as a mixed-integer programme, solved by HiGHS.
  it('are as few as a solver package finds', async () => {
    const highs = await loadHighs();
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 9 }), (spots) => {
        const windows = spots.flatMap((l) => spots.map((t) => ({ x: l.x, y: t.y, board: l.board })));
        const shows = (w: (typeof windows)[number], s: (typeof spots)[number]) =>
          w.board === s.board &&
          s.x >= w.x &&
          s.x <= w.x + FRAME.width &&
          s.y >= w.y &&
          s.y <= w.y + FRAME.height;
        const rows = spots.map(
          (s, i) => ` c${i}: ${windows.flatMap((w, k) => (shows(w, s) ? [`w${k}`] : [])).join(' + ')} >= 1`,
        );
        const lp = `Minimize\n obj: ${windows.map((_, k) => `w${k}`).join(' + ')}\nSubject To\n${rows.join('\n')}\nBinary\n ${windows.map((_, k) => `w${k}`).join(' ')}\nEnd\n`;
        const { pictures, fewest } = picturesWanted(request(spots), harmful(spots.length), FRAME);
        expect(fewest).toBe(true);
        expect(pictures.length).toBe(Math.round(highs.solve(lp).ObjectiveValue));
      }),
      { numRuns: 40, endOnFailure: true },
    );
  });
  it('none where nothing can do harm', () => {
    expect(picturesWanted(request([{ x: 0, y: 0, board: 'A1' }]), { ...harmful(0) }).pictures).toEqual([]);
  });
});
