import fc from 'fast-check';
import Graph from 'graphology';
import { bfsFromNode } from 'graphology-traversal';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { trace } from '../trace';
import {
  cone,
  type Description,
  deriveChecks,
  describeUnit,
  formatReading,
  HAZARD_KINDS,
  hazardOfKind,
  judgeReading,
  parseReading,
  type UnitMap,
  validateMap,
} from '.';

const refusal = (f: () => unknown): Refusal | null => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  return null;
};

describe('cone', () => {
  it('is what a graph package reaches upstream', () => {
    // Outside check: graphology, breadth-first along inbound edges.
    const graphs = fc.integer({ min: 1, max: 12 }).chain((n) =>
      fc.record({
        n: fc.constant(n),
        feeds: fc.array(fc.record({ from: fc.nat(n - 1), to: fc.nat(n - 1) }), { maxLength: 24 }),
        output: fc.nat(n - 1),
      }),
    );
    fc.assert(
      fc.property(graphs, ({ n, feeds, output }) => {
        const g = new Graph({ type: 'directed', multi: true });
        for (let i = 0; i < n; i++) g.addNode(`e${i}`);
        for (const f of feeds) g.addEdge(`e${f.from}`, `e${f.to}`);
        const reached = new Set<string>();
        bfsFromNode(
          g,
          `e${output}`,
          (node) => {
            reached.add(node);
          },
          { mode: 'inbound' },
        );
        const map = {
          elements: Array.from({ length: n }, (_, i) => ({ id: `e${i}` })) as UnitMap['elements'],
          feeds: feeds.map((f) => ({ from: `e${f.from}`, to: `e${f.to}`, carries: 'signal' as const })),
        };
        expect(new Set(cone(map, `e${output}`))).toEqual(reached);
      }),
    );
  });
});

const bell: Description = {
  name: 'Tide bell',
  maker: '',
  model: '',
  does: 'rings at high water',
  cover: 'rear cover',
  coverMinutes: 3,
  hazards: ['mains', 'cell pack'],
  rows: [
    { id: 'N1', name: 'float sensor', kind: 'sensor', outside: true },
    { id: 'W1', name: 'cable', kind: 'cable' },
    {
      id: 'A1',
      name: 'board',
      kind: 'board',
      tap: { id: 'TP1', how: 'measure', nominal: 5, tolerance: 0.25, unit: 'V', inside: true },
    },
    { id: 'M1', name: 'striker', kind: 'motor' },
    { id: 'PS1', name: 'supply', kind: 'supply' },
  ],
};

describe('a unit described at the bench', () => {
  it('becomes a map that can be traced at once', () => {
    const map = describeUnit(bell);
    expect(cone(map, 'M1')).toEqual(['N1', 'W1', 'A1', 'M1', 'PS1']);
    expect(map.feeds.filter((f) => f.carries === 'power').map((f) => f.to)).toEqual(['N1', 'A1', 'M1']);
    expect(map.taps[0]).toMatchObject({
      after: 'A1',
      needs: ['cover'],
      expect: { nominal: 5, low: 0, high: 10.5 },
    });
    const checks = deriveChecks(map);
    expect(checks.map((c) => c.id)).toEqual([
      'symptom:works',
      'tap:TP1',
      'flex:W1',
      'reseat:W1',
      'continuity:W1',
    ]);
    const answer = trace({
      elements: map.elements.map(({ id, weight, remedies }) => ({ id, weight, remedies })),
      checks: checks.map((c) => c.trace),
      access: map.access,
    });
    expect(answer.belief.reduce((a, b) => a + b.p, 0)).toBeCloseTo(1, 12);
  });

  it.each<[string, Partial<Description>, string]>([
    ['no name', { name: ' ' }, '/name'],
    ['nothing it should do', { does: '' }, '/does'],
    ['a mark twice', { rows: [...bell.rows, { id: 'A1', name: 'x', kind: 'board' }] }, '/rows/5/id'],
    [
      'a reading without a value',
      {
        rows: [
          {
            id: 'A1',
            name: 'board',
            kind: 'board',
            tap: { id: 'TP1', how: 'measure', tolerance: 1, unit: 'V' },
          },
        ],
      },
      '/rows/0/tap/nominal',
    ],
    [
      'tolerance 0',
      {
        rows: [
          {
            id: 'A1',
            name: 'board',
            kind: 'board',
            tap: { id: 'TP1', how: 'measure', nominal: 1, tolerance: 0, unit: 'V' },
          },
        ],
      },
      '/rows/0/tap/tolerance',
    ],
    ['only a supply', { rows: [{ id: 'PS1', name: 'supply', kind: 'supply' }] }, '/rows'],
  ])('is refused at the field: %s', (_n, wrong, path) => {
    expect(refusal(() => describeUnit({ ...bell, ...wrong }))?.path).toBe(path);
  });

  it('has a span that every nominal lies inside', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1000, max: 1000, noNaN: true }),
        fc.double({ min: 0.001, max: 100, noNaN: true }),
        (nominal, tolerance) => {
          const map = describeUnit({
            ...bell,
            rows: [
              {
                id: 'A1',
                name: 'b',
                kind: 'board',
                tap: { id: 'T', how: 'measure', nominal, tolerance, unit: 'V' },
              },
            ],
          });
          const e = map.taps[0]?.expect;
          expect(e && e.low < e.high && e.low <= nominal && nominal <= e.high).toBe(true);
        },
      ),
    );
  });
});

describe('a map that does not hold together is refused with its path', () => {
  const good = describeUnit(bell);
  it.each<[string, (m: UnitMap) => UnitMap, string]>([
    [
      'feed from nowhere',
      (m) => ({ ...m, feeds: [{ from: 'X', to: 'A1', carries: 'signal' }] }),
      '/feeds/0/from',
    ],
    [
      'element feeding itself',
      (m) => ({ ...m, feeds: [{ from: 'A1', to: 'A1', carries: 'signal' }] }),
      '/feeds/0/to',
    ],
    [
      'tap after nothing',
      (m) => ({ ...m, taps: [{ id: 'T', name: '', after: 'Q', how: 'look', minutes: 1 }] }),
      '/taps/0/after',
    ],
    [
      'measured without expectation',
      (m) => ({ ...m, taps: [{ id: 'T', name: '', after: 'A1', how: 'measure', minutes: 1 }] }),
      '/taps/0/expect',
    ],
    [
      'cover that needs itself',
      (m) => ({ ...m, access: [{ id: 'cover', name: 'c', minutes: 1, needs: ['cover'] }] }),
      '/access',
    ],
    [
      'function of nothing',
      (m) => ({ ...m, functions: [{ id: 'f', name: 'f', output: 'Q' }] }),
      '/functions/0/output',
    ],
  ])('%s', (_n, spoil, path) => {
    expect(refusal(() => validateMap(good))).toBeNull();
    expect(refusal(() => validateMap(spoil(good)))?.path).toBe(path);
  });
});

describe('readings', () => {
  it.each([
    ['775m', 0.775],
    ['0.775 V', 0.775],
    ['0,775V', 0.775],
    ['4k7', 4700],
    ['31 mV', 0.031],
    ['-12.1', -12.1],
    ['−3 V', -3],
    ['1M2', 1.2e6],
    ['470R', 470],
    ['2R2', 2.2],
    ['220u', 2.2e-4],
    ['220 µF', 2.2e-4],
    ['1e-3', 1e-3],
    ['.5', 0.5],
    ['45 °C', 45],
    ['10 kHz', 1e4],
  ])('%s', (text, value) => {
    expect(parseReading(text)).toBeCloseTo(value, 12);
  });
  it.each(['', 'a lot', '12 parsecs', '1..2', 'V', '--3', '4k7k'])('refuses “%s”', (text) => {
    expect(refusal(() => parseReading(text))).not.toBeNull();
  });
  it('judges by the tolerance, its edge inside', () => {
    expect(judgeReading(0.875, { nominal: 0.775, tolerance: 0.1 }).inRange).toBe(true);
    expect(judgeReading(0.031, { nominal: 0.775, tolerance: 0.1 })).toMatchObject({
      inRange: false,
      side: 'under',
    });
    expect(judgeReading(0.031, { nominal: 0.775, tolerance: 0.1 }).outBy).toBeCloseTo(0.644, 12);
    expect(formatReading(0.03124, 'V')).toBe('0.03124\u00a0V');
  });
});

it('every kind of hazard has a gate with an act and a caution that defers', () => {
  for (const kind of HAZARD_KINDS) {
    const h = hazardOfKind(kind, kind, ['lid']);
    expect(h.clear.act).not.toBe('');
    expect(h.clear.caution).toMatch(/[Ll]ocal codes/);
    expect(`${h.clear.act} ${h.clear.caution}`).not.toMatch(/\bis safe\b/);
  }
});
