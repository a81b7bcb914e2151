import fc from 'fast-check';
import Graph from 'graphology';
import { bfsFromNode } from 'graphology-traversal';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import {
  CHECK_HOWS,
  coversOver,
  type Description,
  deriveChecks,
  describeUnit,
  HAZARD_KINDS,
  HAZARDS,
  hazardOfKind,
  isRepeated,
  ungatedPacks,
  validateMap,
  worstFirst,
} from '.';

const unit = (more: Partial<Description> = {}): Description => ({
  name: 'Quay scooter',
  maker: 'Hapstock',
  model: 'QS',
  does: 'drives off',
  cover: 'deck, lid',
  coverMinutes: 4,
  hazards: [],
  rows: [
    { id: 'A1', name: 'controller', kind: 'board' },
    { id: 'M1', name: 'hub motor', kind: 'motor', outside: true },
    { id: 'E1', name: 'lamp', kind: 'lamp', under: 'deck' },
    { id: 'B1', name: 'drive pack', kind: 'battery', leads: ['main', 'balance'], cells: 10 },
  ],
  ...more,
});
const reason = (d: Description): string => {
  try {
    describeUnit(d);
  } catch (error) {
    if (error instanceof Refusal) return `${error.path} ${error.message}`;
    throw error;
  }
  return 'taken';
};

describe('covers of a described unit', () => {
  it('lie under each other in the order in which they were named', () => {
    expect(describeUnit(unit({ cover: 'deck, lid ,, inner plate' })).access).toEqual([
      { id: 'cover', name: 'deck', minutes: 4 },
      { id: 'lid', name: 'lid', minutes: 4, needs: ['cover'] },
      { id: 'inner plate', name: 'inner plate', minutes: 4, needs: ['lid'] },
    ]);
  });
  it('a row lies under the innermost, under the one it names, or under none', () => {
    const needs = Object.fromEntries(describeUnit(unit()).elements.map((e) => [e.id, e.needs]));
    expect(needs).toEqual({ A1: ['lid'], M1: undefined, E1: ['cover'], B1: ['lid'] });
  });
  it('a unit with nothing to open has no covers, and its points are within reach', () => {
    const map = describeUnit(
      unit({
        cover: ' ',
        rows: [{ id: 'A1', name: 'board', kind: 'board', tap: { id: 'TP1', how: 'look', inside: true } }],
      }),
    );
    expect(map.access).toEqual([]);
    expect(map.taps[0]?.needs).toBeUndefined();
    expect(map.elements[0]?.needs).toBeUndefined();
  });
});

describe('packs of a described unit', () => {
  it('know their leads, their cells and what they hang on', () => {
    const [pack] = describeUnit(unit({ hazards: ['cell pack'] })).hazards;
    expect(pack).toMatchObject({
      id: 'cell pack',
      on: 'B1',
      exposedBy: ['lid'],
      armedBy: ['B1'],
      clear: {
        act: 'Part balance, then main and tape over the contacts',
        inside: true,
        unplugs: 'main',
        signals: ['balance'],
      },
      charge: { maxPercent: 25, chemistry: 'li-ion cell', series: 10 },
    });
  });
  it('one whose leads are soldered names none, and has its limit all the same', () => {
    const [pack] = describeUnit(
      unit({
        hazards: ['cell pack'],
        rows: [
          { id: 'A1', name: 'a', kind: 'board' },
          { id: 'B1', name: 'cell', kind: 'battery', leads: [], chemistry: 'LFP cell' },
        ],
      }),
    ).hazards;
    expect(pack?.clear.unplugs).toBeUndefined();
    expect(pack?.charge).toEqual({ maxPercent: 25, chemistry: 'LFP cell', series: 1 });
  });
  it('without a gate keep the leads that were typed for them, and with one have them there', () => {
    const rows: Description['rows'] = [
      { id: 'A1', name: 'a', kind: 'board' },
      { id: 'B1', name: 'clock battery', kind: 'battery', leads: [' thin red one', '', 'black'] },
      { id: 'B2', name: 'spare', kind: 'battery', leads: [] },
    ];
    const leads = (hazards: Description['hazards']) =>
      describeUnit(unit({ hazards, rows })).elements.map((e) => e.leads ?? null);
    expect(leads(['mains'])).toEqual([null, ['thin red one', 'black'], null]);
    expect(leads(['cell pack'])).toEqual([null, null, null]);
  });
  it('two packs are two hazards, told by their marks', () => {
    const rows: Description['rows'] = [
      { id: 'A1', name: 'a', kind: 'board' },
      { id: 'B1', name: 'left pack', kind: 'battery', leads: ['left'] },
      { id: 'B2', name: 'right pack', kind: 'battery', leads: ['right'] },
    ];
    const { hazards } = describeUnit(unit({ hazards: ['mains', 'cell pack'], rows }));
    expect(hazards.map((h) => `${h.id}: ${h.name}, ${h.on ?? 'unit'}`)).toEqual([
      'mains: Mains, unit',
      'cell pack: Lithium pack B1, B1',
      'cell pack B2: Lithium pack B2, B2',
    ]);
  });
  it('a pack hazard without a battery row is the usual one', () => {
    const rows: Description['rows'] = [{ id: 'A1', name: 'a', kind: 'board' }];
    expect(describeUnit(unit({ hazards: ['cell pack'], rows })).hazards).toEqual([
      hazardOfKind('cell pack', 'cell pack', ['cover']),
    ]);
  });
  it.each([0, 1.5, 401])('%s cells in series are refused where they were typed', (cells) => {
    const rows: Description['rows'] = [
      { id: 'A1', name: 'a', kind: 'board' },
      { id: 'B1', name: 'pack', kind: 'battery', cells },
    ];
    expect(reason(unit({ rows }))).toMatch(/^\/rows\/1\/cells cells of B1 in series/);
  });
});

describe('what the first lead brings', () => {
  const scooter = (lead: string, more: Partial<Description['rows'][number]> = {}): Description['rows'] => [
    { id: 'BAT', name: 'battery pack 36V', kind: 'battery' },
    {
      id: 'W1',
      name: lead,
      kind: 'cable',
      tap: { id: 'T', how: 'measure', nominal: 36, tolerance: 6, unit: 'V' },
    },
    { id: 'CTRL', name: 'motor controller', kind: 'board' },
    { id: 'W2', name: 'phase leads', kind: 'cable' },
    { id: 'HUB', name: 'hub motor', kind: 'motor', ...more },
  ];
  const behind = (rows: Description['rows']) => {
    const map = describeUnit(unit({ rows }));
    return deriveChecks(map).find((c) => c.tap?.id === 'T')?.trace.exercises;
  };
  it.each(['pack lead', 'battery cable', 'DC lead in', 'lead from BAT'])(
    'a %s that reads wrong may be the pack as well',
    (lead) => expect(behind(scooter(lead))).toEqual(['BAT', 'W1']),
  );
  it('a lead of signals at the start has nothing to do with what feeds the boards', () => {
    expect(behind(scooter('input lead'))).toEqual(['W1']);
    expect(behind(scooter('W5'))).toEqual(['W1']);
  });
  it('what reads the same as the pack comes from the pack', () => {
    const [pack, ...rest] = scooter('red and black');
    const read = { id: 'P', how: 'measure' as const, nominal: 36, tolerance: 6, unit: 'V' };
    expect(behind([{ ...(pack as Description['rows'][number]), tap: read }, ...rest])).toEqual(['BAT', 'W1']);
    const other = { ...read, nominal: 12, tolerance: 1 };
    expect(behind([{ ...(pack as Description['rows'][number]), tap: other }, ...rest])).toEqual(['W1']);
  });
  it('a setting brings no power, and a lead behind a board is fed by the board', () => {
    const rows = scooter('power lead').filter((r) => r.id !== 'BAT');
    expect(behind([...rows, { id: 'S', name: 'mode', kind: 'setting' }])).toEqual(['W1']);
    const { feeds } = describeUnit(unit({ rows: scooter('pack lead') }));
    expect(feeds.filter((f) => f.carries === 'power').map((f) => f.to)).toEqual(['W1', 'CTRL', 'HUB']);
  });
});

describe('what is wrong is said where it was typed', () => {
  it.each<[Partial<Description>, string]>([
    [{ name: ' ' }, '/name'],
    [{ does: '' }, '/does'],
    [{ rows: [] }, '/rows'],
    [{ rows: [{ id: '', name: 'a', kind: 'board' }] }, '/rows/0/id'],
    [{ rows: [{ id: 'A', name: '', kind: 'board' }] }, '/rows/0/name'],
    [
      {
        rows: [
          { id: 'A', name: 'a', kind: 'board' },
          { id: 'A', name: 'b', kind: 'board' },
        ],
      },
      '/rows/1/id',
    ],
    [{ rows: [{ id: 'A', name: 'a', kind: 'board', tap: { id: '', how: 'look' } }] }, '/rows/0/tap/id'],
    [
      { rows: [{ id: 'A', name: 'a', kind: 'board', tap: { id: 'T', how: 'measure' } }] },
      '/rows/0/tap/nominal',
    ],
    [
      { rows: [{ id: 'A', name: 'a', kind: 'board', tap: { id: 'T', how: 'measure', nominal: 1 } }] },
      '/rows/0/tap/tolerance',
    ],
    [
      {
        rows: [
          { id: 'A', name: 'a', kind: 'board', tap: { id: 'T', how: 'measure', nominal: 1, tolerance: 1 } },
        ],
      },
      '/rows/0/tap/unit',
    ],
    [{ rows: [{ id: 'B', name: 'b', kind: 'battery' }] }, '/rows'],
  ])('%#: %s', (more, path) => {
    expect(reason(unit(more)).split(' ')[0]).toBe(path);
  });
  it('every description that is taken is a valid map with checks to make', () => {
    fc.assert(
      fc.property(
        fc.subarray([...HAZARD_KINDS]),
        fc.constantFrom('', 'lid', 'lid, shield', 'a, b, c'),
        fc.boolean(),
        (hazards, cover, outside) => {
          const map = describeUnit(
            unit({ hazards, cover, rows: unit().rows.map((r) => ({ ...r, outside })) }),
          );
          validateMap(map);
          expect(deriveChecks(map).length).toBeGreaterThan(0);
          expect(map.hazards.map((h) => h.kind)).toEqual(hazards);
        },
      ),
    );
  });
});

describe('covers over a cover', () => {
  const access = [
    { id: 'lid' },
    { id: 'shield', needs: ['lid'] },
    { id: 'tray', needs: ['shield', 'door'] },
    { id: 'door' },
  ];
  it('come before it, each once', () => {
    expect(coversOver(access, ['tray'])).toEqual(['lid', 'shield', 'door', 'tray']);
    expect(coversOver(access, ['shield', 'tray', 'lid'])).toEqual(['lid', 'shield', 'door', 'tray']);
    expect(coversOver(access, undefined)).toEqual([]);
    expect(coversOver(access, ['unknown'])).toEqual(['unknown']);
  });
  it('are those that a graph package reaches, in an order that can be gone', () => {
    // Outside reference: graphology, breadth first over the same edges.
    const graphs = fc.array(fc.array(fc.nat(11), { maxLength: 3 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(graphs, fc.nat(11), (edges, from) => {
        // Edges only point to earlier covers: a map has no circle.
        const covers = edges.map((needs, i) => ({
          id: String(i),
          needs: [...new Set(needs.filter((n) => n < i).map(String))],
        }));
        const start = String(from % covers.length);
        const graph = new Graph();
        for (const c of covers) graph.addNode(c.id);
        for (const c of covers) for (const n of c.needs) graph.addEdge(c.id, n);
        const reached: string[] = [];
        bfsFromNode(graph, start, (node) => {
          reached.push(node);
        });
        const order = coversOver(covers, [start]);
        expect([...order].sort()).toEqual(reached.sort());
        for (const c of covers)
          if (order.includes(c.id))
            for (const n of c.needs) expect(order.indexOf(n)).toBeLessThan(order.indexOf(c.id));
      }),
    );
  });
  it('a circle comes to an end', () => {
    expect(
      coversOver(
        [
          { id: 'a', needs: ['b'] },
          { id: 'b', needs: ['a'] },
        ],
        ['a'],
      ),
    ).toEqual(['b', 'a']);
  });
});

describe('registries of the map', () => {
  it('hazards are known by their kind, each whole, those that can hurt most first', () => {
    expect(HAZARD_KINDS[0]).toBe('mains');
    expect(new Set(HAZARD_KINDS).size).toBe(9);
    for (const kind of HAZARD_KINDS) {
      const d = HAZARDS[kind];
      expect(d.kind).toBe(kind);
      expect(d.clear.caution).toContain('Local codes');
      expect(d.clear.act.length).toBeGreaterThan(5);
      expect(d.sign).toMatch(/^M/);
      expect(d.isPack).toBe(d.startsLive);
      expect(d.charge !== null).toBe(d.isPack);
      expect(hazardOfKind(kind, 'h', ['lid']).exposedBy).toEqual(d.wholeUnit ? undefined : ['lid']);
    }
    const mixed = [...HAZARD_KINDS].reverse().map((kind) => ({ kind }));
    expect(mixed.sort(worstFirst).map((x) => x.kind)).toEqual(HAZARD_KINDS);
  });
  it('every check has a heading, and what changes the unit is not made again', () => {
    const hows = CHECK_HOWS.map(([how]) => how);
    expect(hows).toEqual([
      'symptom',
      'look',
      'listen',
      'measure',
      'setting',
      'flex',
      'reseat',
      'continuity',
      'exchange',
      'substitute',
      'own',
    ]);
    const again = hows.filter((how) => isRepeated({ how } as never));
    expect(hows.filter((h) => !again.includes(h))).toEqual(['reseat', 'exchange', 'substitute']);
  });
});

describe('a battery that nobody named as something that can hurt', () => {
  const rows = [
    { kind: 'board', chemistry: 'li-ion cell' },
    { kind: 'battery', chemistry: 'LFP cell' },
    { kind: 'battery', chemistry: 'NiMH cell' },
    { kind: 'battery', chemistry: 'lead-acid 12 V' },
    { kind: 'battery' },
  ];
  it('is one of lithium, until a pack is named', () => {
    expect(ungatedPacks(rows, [])).toEqual([rows[1]]);
    expect(ungatedPacks(rows, ['mains'])).toEqual([rows[1]]);
    expect(
      ungatedPacks(
        rows,
        HAZARD_KINDS.filter((k) => HAZARDS[k].isPack),
      ),
    ).toEqual([]);
  });
});
