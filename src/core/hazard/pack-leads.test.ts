import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { describeUnit, type Hazard, hazardOfKind, type UnitMap } from '../unit';
import {
  arm,
  belongsTo,
  firstHazards,
  firstLeadOf,
  folded,
  holding,
  isPackItself,
  type LeadsNow,
  leadsOf,
  leadsUnknown,
  metalIn,
  partFirst,
  plugFirst,
  workOf,
} from '.';

const AT = '2026-11-26T10:00:00.000Z';
const scooter = (leads: string[]): UnitMap =>
  describeUnit({
    name: 'scooter',
    maker: '',
    model: '',
    does: 'drives',
    cover: 'lid',
    coverMinutes: 2,
    hazards: ['cell pack', 'mains'],
    rows: [
      { id: 'A1', name: 'controller', kind: 'board' },
      { id: 'B1', name: 'drive pack', kind: 'battery', leads },
    ],
  });
const packOf = (map: UnitMap) => map.hazards.find((h) => h.kind === 'cell pack') as Hazard;

describe('names are compared without case, signs and spaces', () => {
  it.each([
    ['W6', 'w6'],
    ['main-lead', 'Main  lead'],
    ['B1/1', 'b1 1'],
    ['Ω lead', 'ω lead'],
  ])('%s and %s', (a, b) => {
    expect(folded(a)).toBe(folded(b));
  });
  it('folding twice is folding once', () => {
    fc.assert(
      fc.property(fc.string(), (s) => {
        expect(folded(folded(s))).toBe(folded(s));
      }),
    );
  });
});

describe('leads of a pack', () => {
  it('are those it was described with, the power lead first', () => {
    const map = scooter(['main', 'balance', 'data']);
    expect(leadsOf(map, packOf(map))).toEqual({ power: 'main', signals: ['balance', 'data'] });
    expect(leadsUnknown(map)).toEqual([]);
  });
  it('are not known where nobody named them, and that is said', () => {
    const map = scooter([]);
    expect(leadsOf(map, packOf(map))).toEqual({ power: undefined, signals: [] });
    expect(leadsUnknown(map)).toEqual(['Lithium pack']);
    expect(leadsUnknown({ hazards: [hazardOfKind('mains', 'm', [])] })).toEqual([]);
  });
  it.each<[string[], string, boolean]>([
    [['main', 'balance'], 'main', true],
    [['main', 'balance'], 'Balance', true],
    [['main', 'balance'], 'drive pack', true],
    [['main', 'balance'], 'B1', true],
    [['main', 'balance'], 'B1 plug', true],
    [['main', 'balance'], 'unplug main at the board', true],
    [['main', 'balance'], 'battery lead', false],
    [['main', 'balance'], 'fan', false],
    [['main', 'balance'], 'B12', false],
    [[], 'battery lead', true],
    [[], 'pack plug', true],
    [[], 'BMS', true],
    [[], 'cellar lamp', false],
    [[], 'backpack light', false],
    [[], 'motor', false],
    [[], '', false],
  ])('leads %j: “%s” is the pack’s: %s', (leads, name, own) => {
    const map = scooter(leads);
    expect(belongsTo(map, packOf(map), name)).toBe(own);
  });
});

describe('a name is that of the pack itself', () => {
  it.each<[string, boolean]>([
    ['drive pack', true],
    ['B1', true],
    ['B1 drive pack', true],
    ['the old drive pack', true],
    ['battery', true],
    ['lithium battery B1', true],
    ['cell', true],
    ['B1 bracket', false],
    ['battery bracket', false],
    ['battery tray', false],
    ['pack lead', false],
    ['cell holder', false],
    ['backup battery', false],
    ['coin cell', false],
    ['load cell', false],
    ['', false],
  ])('“%s”: %s', (name, own) => {
    const map = scooter(['main', 'balance']);
    expect(isPackItself(map, packOf(map), name)).toBe(own);
  });
  it('nothing is mains, and of two packs none is just the battery', () => {
    const map = scooter([]);
    const mains = map.hazards.find((h) => h.kind === 'mains') as Hazard;
    expect(isPackItself(map, mains, 'mains')).toBe(false);
    const pack = packOf(map);
    const two = { ...map, hazards: [...map.hazards, { ...pack, id: 'second', name: 'Rear pack', on: 'B2' }] };
    expect(isPackItself(two, pack, 'battery')).toBe(false);
    expect(isPackItself(two, pack, 'B1')).toBe(true);
  });
});

describe('what makes it live again', () => {
  const states = (map: UnitMap) =>
    firstHazards(map.hazards).map((s) => ({ ...s, status: 'made safe' as const }));
  const live = (map: UnitMap, by: string) =>
    arm(map, states(map), by, AT)
      .filter((s) => s.status === 'live')
      .map((s) => s.id);
  it.each<[string, string[]]>([
    ['power', ['mains']],
    ['main', ['cell pack']],
    ['balance lead', ['cell pack']],
    ['lead', []],
    ['balance', ['cell pack']],
    ['B1', ['cell pack']],
    ['drive pack', ['cell pack']],
    ['A1', []],
  ])('%s: %j', (by, ids) => {
    expect(live(scooter(['main', 'balance']), by)).toEqual(ids);
  });
  it('the plug that the gate of any hazard parted, and the element it is on', () => {
    const map: UnitMap = {
      ...scooter([]),
      hazards: [
        { ...hazardOfKind('dc', 'dc', []), on: 'A1', clear: { act: 'part it', unplugs: 'W9', caution: '' } },
      ],
    };
    expect(live(map, 'w9')).toEqual(['dc']);
    expect(live(map, 'A1')).toEqual(['dc']);
    expect(live(map, 'W8')).toEqual([]);
  });
});

describe('the rule of the first lead', () => {
  const now = (map: UnitMap, more: Partial<LeadsNow> = {}): LeadsNow => ({
    rule: firstLeadOf(map),
    states: firstHazards(map.hazards),
    off: [],
    open: ['cover'],
    ...more,
  });
  const two = scooter(['main', 'balance']);
  const one = scooter(['main']);
  it('follows the pack: several leads ask for the signal lead first', () => {
    expect(firstLeadOf(two)).toBe('signal before power');
    expect(firstLeadOf(one)).toBe('battery first');
    expect(firstLeadOf({ ...one, firstLead: 'signal before power' })).toBe('signal before power');
    expect(firstLeadOf({ ...one, hazards: [] })).toBeNull();
  });
  it('on the way in', () => {
    expect(partFirst(two, now(two), 'main')?.plug).toBe('balance');
    expect(partFirst(two, now(two), 'balance')).toBeNull();
    expect(partFirst(two, now(two, { off: ['Balance'] }), 'main')).toBeNull();
    expect(partFirst(one, now(one), 'fan')?.plug).toBe('main');
    expect(partFirst(one, now(one, { open: [] }), 'fan')).toBeNull();
    expect(partFirst(one, now(one, { off: ['main'] }), 'fan')).toBeNull();
    expect(partFirst(one, now(one, { rule: null }), 'fan')).toBeNull();
    const safe = firstHazards(one.hazards).map((s) => ({ ...s, status: 'made safe' as const }));
    expect(partFirst(one, now(one, { states: safe }), 'fan')).toBeNull();
  });
  it('the other way round on the way back', () => {
    expect(plugFirst(two, now(two, { off: ['balance', 'main'] }), 'balance')?.plug).toBe('main');
    expect(plugFirst(two, now(two, { off: ['balance', 'main'] }), 'main')).toBeNull();
    expect(plugFirst(two, now(two, { off: ['balance'] }), 'balance')).toBeNull();
    expect(plugFirst(one, now(one, { off: ['main', 'fan'] }), 'main')?.plug).toBe('fan');
    expect(plugFirst(one, now(one, { off: ['fan', 'main'] }), 'main')).toBeNull();
    expect(plugFirst(one, now(one, { off: ['main', 'fan'] }), 'fan')).toBeNull();
    expect(plugFirst(one, now(one, { off: ['main', 'fan'], rule: null }), 'main')).toBeNull();
  });
  it('never asks for two plugs each before the other, on either way', () => {
    fc.assert(
      fc.property(
        fc.subarray(['main', 'balance', 'data'], { minLength: 1 }),
        fc.shuffledSubarray(['main', 'balance', 'data', 'fan', 'W3']),
        fc.constantFrom('battery first', 'signal before power', null),
        (leads, off, rule) => {
          const map = scooter(leads);
          const plugs = ['main', 'balance', 'data', 'fan', 'W3'];
          const on = plugs.filter((p) => !off.includes(p));
          const state = now(map, { rule, off });
          // Some plug that is on may always be parted, some that is off may always go in.
          if (on.some((p) => leads.includes(p) || p === 'fan' || p === 'W3'))
            expect(on.some((p) => partFirst(map, state, p) === null)).toBe(true);
          if (off.length) expect(off.some((p) => plugFirst(map, state, p) === null)).toBe(true);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('hazards that hold', () => {
  const hazards = [
    { ...hazardOfKind('mains', 'mains', ['lid']) },
    { ...hazardOfKind('cell pack', 'pack', ['shield']) },
    { ...hazardOfKind('static', 'static', []) },
  ];
  const ids = (reach: Parameters<typeof holding>[2]) =>
    holding(hazards, firstHazards(hazards), reach).map((h) => h.id);
  it.each<[string, Parameters<typeof holding>[2], string[]]>([
    ['nothing open, nothing asked', { open: [] }, []],
    ['the cover that bares it', { open: [], next: 'lid' }, ['mains', 'static']],
    ['another cover', { open: [], next: 'hatch' }, ['static']],
    [
      'what is cleared inside does not hold its cover',
      { open: ['lid'], next: 'shield' },
      ['mains', 'static'],
    ],
    ['and holds once that is off', { open: ['lid', 'shield'] }, ['mains', 'pack', 'static']],
    [
      'reached through covers that were not recorded',
      { open: [], through: ['lid', 'shield'] },
      ['mains', 'pack', 'static'],
    ],
    ['a unit without covers on its map', { open: [], bare: true }, ['static']],
  ])('%s', (_n, reach, held) => {
    expect(ids(reach)).toEqual(held);
  });
});

describe('words of the line', () => {
  it.each([
    ['lever up the pack', 'pry'],
    ['lever to 2', undefined],
    ['lever is open', undefined],
    ['unplug J7 24p lever', undefined],
    ['cut the glue', 'pry'],
    ['cut tie T1', undefined],
    ['cut 50 mm panel', 'pry'],
    ['cut red wire', undefined],
    ['scrape adhesive', 'pry'],
    ['hot air on the edge', 'heat'],
    ['heat sink', undefined],
    ['unsolder red', undefined],
  ])('%s: %s', (text, work) => {
    expect(workOf('', text)).toBe(work);
  });
  it.each([
    ['pry with steel spudger', 'steel'],
    ['pry with a Knife', 'knife'],
    ['pry with a card', undefined],
    ['metallic paint', undefined],
    ['tweezers under the cell', 'tweezers'],
  ])('%s: %s', (text, metal) => {
    expect(metalIn(text)).toBe(metal);
  });
});
