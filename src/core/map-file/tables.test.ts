import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Header, Plug } from '../mixups';
import { Refusal } from '../refusal';
import { ELEMENT_KINDS, ladderFor, type UnitMap } from '../unit';
import {
  HARNESS_COLUMNS,
  harnessFrom,
  harnessTable,
  mapFromTables,
  TABLE_COLUMNS,
  TABLE_NAMES,
  tablesOf,
} from '.';

const word = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ]{0,10}[A-Za-z0-9]$/);
const marks = (letter: string, n: number) => Array.from({ length: n }, (_, i) => `${letter}${i + 1}`);
const places = fc.subarray(['lid', 'shield', 'tray']);
const optional = <K extends string, T>(key: K, value: fc.Arbitrary<T>) =>
  fc.option(value, { nil: undefined }).map((v) => (v === undefined ? {} : { [key]: v }) as { [P in K]?: T });
const list = (key: 'needs' | 'touch' | 'leads' | 'only', of: fc.Arbitrary<string[]>) =>
  of.map((l) => (l.length ? { [key]: l } : {}));
const figure = fc.integer({ min: -5000, max: 5000 }).map((n) => n / 100);
const minutes = fc.integer({ min: 1, max: 500 }).map((n) => n / 10);

/** Maps with everything the three tables hold. */
const maps: fc.Arbitrary<UnitMap> = fc
  .record({
    kinds: fc.array(fc.constantFrom(...ELEMENT_KINDS), { minLength: 2, maxLength: 8 }),
    names: fc.array(word, { minLength: 8, maxLength: 8 }),
    weights: fc.array(minutes, { minLength: 8, maxLength: 8 }),
    more: fc.array(
      fc.tuple(
        list('needs', places),
        list('touch', places),
        list('leads', fc.subarray(['main lead', 'thin red one'])),
        optional('spare', fc.constant(true)),
      ),
      { minLength: 8, maxLength: 8 },
    ),
    taps: fc.array(
      fc.record({
        at: fc.nat(7),
        measured: fc.boolean(),
        name: word,
        minutes,
        nominal: figure,
        tolerance: minutes,
        ac: fc.boolean(),
        note: fc.option(word, { nil: undefined }),
        power: fc.constantFrom(undefined, 'on' as const, 'off' as const),
        needs: places,
      }),
      { maxLength: 5 },
    ),
  })
  .map(({ kinds, names, weights, more, taps }) => {
    const ids = marks('X', kinds.length);
    return {
      name: 'unit',
      maker: 'Murrowby',
      model: 'T',
      elements: kinds.map((kind, i) => ({
        id: ids[i] as string,
        name: names[i] as string,
        kind,
        weight: weights[i] as number,
        ...Object.assign({}, ...(more[i] ?? [])),
        remedies: ladderFor(kind, ids[i] as string, names[i] as string),
      })),
      feeds: ids.slice(1).map((to, i) => ({
        from: ids[i] as string,
        to,
        carries: i % 2 ? ('power' as const) : ('signal' as const),
      })),
      taps: taps.map((t, i) => ({
        id: `TP${i + 1}`,
        name: t.name,
        after: ids[t.at % ids.length] as string,
        how: t.measured ? ('measure' as const) : ('look' as const),
        minutes: t.minutes,
        ...(t.measured
          ? {
              expect: {
                nominal: t.nominal,
                tolerance: t.tolerance,
                low: t.nominal - 2 * t.tolerance,
                high: t.nominal + 2 * t.tolerance,
                unit: 'V',
              },
            }
          : {}),
        ...(t.ac ? { ac: true } : {}),
        ...(t.needs.length ? { needs: t.needs } : {}),
        ...(t.power ? { power: t.power } : {}),
        ...(t.note ? { note: t.note } : {}),
      })),
      access: ['lid', 'shield', 'tray'].map((id) => ({ id, name: id, minutes: 2 })),
      functions: [{ id: 'works', name: 'works', output: ids.at(-1) as string }],
      hazards: [],
    };
  });

const reason = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};

describe('a map as its three tables', () => {
  it('goes out and comes back the same, whatever it holds', () => {
    fc.assert(
      fc.property(maps, (map) => {
        const tables = tablesOf(map);
        for (const name of TABLE_NAMES)
          for (const row of tables[name])
            expect(Object.keys(row).slice(0, TABLE_COLUMNS[name].length)).toEqual(TABLE_COLUMNS[name]);
        expect(mapFromTables(tables, map)).toEqual(map);
      }),
      { numRuns: 200 },
    );
  });
  it('a column that nobody knows goes out again, under any heading', () => {
    fc.assert(
      fc.property(maps, fc.stringMatching(/^[a-z]{12}$/), word, (map, heading, text) => {
        const tables = tablesOf(map);
        const rows = tables.elements.map((r, i) => (i === 0 ? { ...r, [heading]: text } : r));
        const back = mapFromTables({ elements: rows }, map);
        expect(tablesOf(back).elements[0]?.[heading]).toBe(text);
        expect(tablesOf(mapFromTables(tablesOf(back), back))).toEqual(tablesOf(back));
      }),
      { numRuns: 60 },
    );
  });
  it('headings are read whatever their case, and what is empty takes what is usual', () => {
    const map = mapFromTables(
      {
        elements: [
          { ID: 'A1', Kind: 'board' },
          { ID: 'W1', Kind: 'CABLE', Needs: 'hatch | lid' },
        ],
        feeds: [{ From: 'A1', TO: 'W1' }],
        taps: [{ Id: 'TP1', After: 'W1', Nominal: '3,3', Tolerance: '200m', Unit: 'V' }],
      },
      { name: 'Bell' },
    );
    expect(map.elements.map((e) => `${e.id} ${e.name} ${e.kind} ${e.weight}`)).toEqual([
      'A1 board board 1.5',
      'W1 cable cable 3',
    ]);
    expect(map.access.map((a) => a.id)).toEqual(['hatch', 'lid']);
    expect(map.taps[0]).toMatchObject({
      how: 'measure',
      name: 'after W1',
      minutes: 1,
      expect: { nominal: 3.3, tolerance: 0.2, low: 0, high: 7, unit: 'V' },
    });
    expect(map.functions).toEqual([{ id: 'W1', name: 'cable works', output: 'W1' }]);
  });
  it.each<[string, object, string]>([
    ['no mark', { elements: [{ kind: 'board' }] }, 'elements.csv, row 2: id is empty'],
    [
      'an unknown kind',
      { elements: [{ id: 'A', kind: 'gizmo' }] },
      'elements.csv, row 2: kind “gizmo” is none of',
    ],
    [
      'a weight that is none',
      { elements: [{ id: 'A', kind: 'board', weight: 'much' }] },
      'weight “much” is not a number',
    ],
    [
      'a feed from nowhere',
      { elements: [{ id: 'A', kind: 'board' }], feeds: [{ from: 'Z', to: 'A' }] },
      'feeds.csv, row 2: ',
    ],
    [
      'a reading without unit',
      {
        elements: [{ id: 'A', kind: 'board' }],
        taps: [{ id: 'T', after: 'A', nominal: '1', tolerance: '1' }],
      },
      'taps.csv, row 2: unit is empty',
    ],
    [
      'a reading that is none',
      {
        elements: [{ id: 'A', kind: 'board' }],
        taps: [{ id: 'T', after: 'A', nominal: 'five', tolerance: '1', unit: 'V' }],
      },
      'taps.csv, row 2: nominal',
    ],
    [
      'a mark twice',
      {
        elements: [
          { id: 'A', kind: 'board' },
          { id: 'A', kind: 'board' },
        ],
      },
      'elements.csv, row 3: ',
    ],
  ])('%s is told with its table and row', (_n, tables, words) => {
    expect(reason(() => mapFromTables(tables, { name: 'Bell' }))).toContain(words);
  });
});

describe('headers and plugs as tables', () => {
  const header = (id: string, n: number, more: Partial<Header> = {}): Header => ({
    id,
    family: 'wafer',
    pitch: 2.5,
    rows: 1,
    positions: n,
    key: null,
    open: false,
    at: { x: 1, y: 2, board: 'A1' },
    lines: Array.from({ length: n }, (_, i) => ({ name: `S${i}`, kind: 'signal' as const })),
    ...more,
  });
  const plug = (h: Header, more: Partial<Plug> = {}): Plug => ({
    id: `W${h.id}`,
    home: h.id,
    family: h.family,
    pitch: h.pitch,
    rows: h.rows,
    positions: h.positions,
    key: h.key,
    exit: { x: 9, y: 8, board: 'A2' },
    freeLength: 120,
    lines: h.lines.map((l) => (l.kind === 'nc' ? null : l.name)),
    ...more,
  });
  const base: UnitMap = {
    name: 'unit',
    maker: '',
    model: '',
    elements: ['A1', 'A2'].map((id) => ({
      id,
      name: id,
      kind: 'board' as const,
      weight: 1,
      remedies: ladderFor('board', id, id),
    })),
    feeds: [],
    taps: [],
    access: [],
    functions: [{ id: 'works', name: 'works', output: 'A1' }],
    hazards: [],
  };
  const full: UnitMap = {
    ...base,
    headers: [
      header('J1', 2, { key: 'A', colour: 'red', landmark: 'upper left', easyToMiss: true, leave: 'screw' }),
      header('J2', 3, { open: true, pitch: 2.54, rows: 1 }),
    ],
    plugs: [
      plug(header('J1', 2, { key: 'A' }), {
        wires: ['RD', 'BK'],
        colour: 'red',
        bundle: 'pack',
        route: ['guide', 'hole'],
        latch: 'press',
        cycles: { rated: 20, done: 3 },
      }),
      plug(header('J2', 3, { pitch: 2.54 }), {
        bare: { end: 'screw terminal', wants: 'ferrule', polarity: true },
      }),
    ],
  };
  it('go out and come back the same, exit and bare ends among it', () => {
    const headers = harnessFrom(base, harnessTable(full, 'headers'));
    expect(headers.headers).toEqual(full.headers);
    const plugs = harnessFrom(headers, harnessTable(full, 'plugs'));
    expect(plugs.plugs).toEqual(full.plugs);
    for (const table of ['headers', 'plugs'] as const)
      expect(Object.keys(harnessTable(full, table)[0] ?? {})).toEqual(HARNESS_COLUMNS[table]);
  });
  it('a plug without an exit of its own leaves at its home', () => {
    const rows = [{ id: 'W9', home: 'J1' }];
    const { plugs } = harnessFrom(full, rows);
    expect(plugs?.[0]).toMatchObject({ exit: { x: 1, y: 2, board: 'A1' }, key: 'A', freeLength: 100 });
  });
  it.each<[string, Record<string, string>[], string]>([
    ['neither headings', [{ mark: 'x' }], 'are neither of plugs (home) nor of headers (lines)'],
    ['no rows', [], 'the file holds no row'],
    ['a home that is none', [{ id: 'W', home: 'J7' }], 'plugs, row 2: J7, its home, is no header'],
    [
      'positions that differ',
      [{ id: 'J', lines: 'A; B', positions: '3' }],
      'headers, row 2: 3 positions and 2 lines',
    ],
    [
      'a bare end that is none',
      [{ id: 'W', home: 'J1', bareEnd: 'knot' }],
      'plugs, row 2: bareEnd “knot” is none of',
    ],
    [
      'a length that is none',
      [{ id: 'W', home: 'J1', freeLength: 'long' }],
      'plugs, row 2: freeLength “long”',
    ],
  ])('%s are told', (_n, rows, words) => {
    expect(reason(() => harnessFrom(full, rows))).toContain(words);
  });
});
