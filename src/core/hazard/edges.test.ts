import { describe, expect, it } from 'vitest';
import { CHEMISTRY_ROWS } from '../chemistry';
import { describeUnit, type Hazard, hazardOfKind } from '../unit';
import {
  arm,
  belongsTo,
  chargeHolds,
  chargeOf,
  clearGate,
  firstHazards,
  folded,
  type HazardState,
  holding,
  isPackItself,
  liveLines,
  metalIn,
  partFirst,
  passGate,
  plugFirst,
} from '.';

const AT = '2026-11-27T10:00:00.000Z';
const mains = hazardOfKind('mains', 'mains', ['lid', 'back']);
const caps = hazardOfKind('capacitor', 'caps', ['lid']);
const pack: Hazard = {
  ...hazardOfKind('cell pack', 'pack', ['shield', 'tray']),
  charge: { chemistry: 'li-ion cell', series: 2, maxPercent: 30 },
};
const ids = (list: Hazard[]) => list.map((h) => h.id);
const read = (reading: number) => ({
  acted: true,
  reading,
  unit: 'V',
  source: 'meter' as const,
  at: AT,
});

describe('a reading exactly on the limit of its gate', () => {
  const max = mains.clear.reading?.max as number;
  it.each([max, -max])('%d V clears it', (volts) => {
    expect(clearGate(mains, 'off', read(volts)).status).toBe('made safe');
  });
  it.each([max + 0.01, -max - 0.01])('%d V does not', (volts) => {
    expect(() => clearGate(mains, 'off', read(volts))).toThrow(/is over/);
  });
});

describe('a gate passed against advice', () => {
  const live: HazardState = { id: 'mains', status: 'live' };
  it('asks for eight letters, blanks around them not counted', () => {
    expect(passGate(live, 'sealed 8', AT).passed?.reason).toBe('sealed 8');
    expect(passGate(live, '  sealed 8  ', AT).passed?.reason).toBe('sealed 8');
    expect(() => passGate(live, 'sealed7', AT)).toThrow(/say why/);
    expect(() => passGate(live, '   sealed7   ', AT)).toThrow(/say why/);
  });
});

describe('a hazard under two covers', () => {
  const states = firstHazards([mains]);
  it('is bared by either of them', () => {
    expect(ids(holding([mains], states, { open: [], next: 'lid' }))).toEqual(['mains']);
    expect(ids(holding([mains], states, { open: [], next: 'back' }))).toEqual(['mains']);
    expect(ids(holding([mains], states, { open: [], through: ['back'] }))).toEqual(['mains']);
    expect(ids(holding([mains], states, { open: [], next: 'hatch' }))).toEqual([]);
    expect(liveLines([mains], states, ['back'])[0]?.bare).toBe(true);
    expect(liveLines([mains], states, ['hatch'])[0]?.bare).toBe(false);
  });
  it('holds a bare hand only where some cover is off', () => {
    expect(ids(holding([mains], states, { open: [], bare: true }))).toEqual([]);
    expect(ids(holding([mains], states, { open: ['hatch'], bare: true }))).toEqual(['mains']);
    const everywhere = hazardOfKind('mains', 'm2', []);
    expect(ids(holding([everywhere], firstHazards([everywhere]), { open: [], bare: true }))).toEqual(['m2']);
  });
  it('without a state is said to be not known, and holds nothing', () => {
    expect(liveLines([mains], [], [])[0]?.state).toEqual({ id: 'mains', status: 'unknown' });
    expect(holding([mains], [], { open: ['lid'] })).toEqual([]);
  });
});

describe('what arms', () => {
  it('any one name of several, without calling the first time an again', () => {
    const two = { ...mains, armedBy: ['power', 'W2'] };
    const armed = arm({ hazards: [two] }, firstHazards([two]), 'w2', AT);
    expect(armed).toEqual([{ id: 'mains', status: 'live' }]);
    const again = arm({ hazards: [two] }, [{ id: 'mains', status: 'made safe' }], 'power', AT);
    expect(again[0]?.armed).toEqual({ by: 'power', at: AT });
    // What was armed once keeps saying so, by what did it last.
    expect(arm({ hazards: [two] }, again, 'W2', AT)[0]?.armed).toEqual({ by: 'W2', at: AT });
  });
  it('power is no name of a part', () => {
    const named: Hazard = { ...pack, on: 'power', armedBy: [] };
    const safe: HazardState[] = [{ id: 'pack', status: 'made safe' }];
    expect(arm({ hazards: [named] }, safe, 'power', AT)).toEqual(safe);
    expect(arm({ hazards: [named] }, safe, 'Power', AT)[0]?.status).toBe('live');
  });
});

describe('how full a pack may be', () => {
  it('holds above its limit, not on it', () => {
    expect(chargeHolds([pack], { pack: { percent: 30 } })).toEqual([]);
    expect(chargeHolds([pack], { pack: { percent: 30.6 } })[0]?.why).toBe(
      'it is 31\u00a0% full, over 30\u00a0%',
    );
  });
  it('one pack that is out lets no other go', () => {
    expect(chargeHolds([pack], {}, ['other']).map((h) => h.hazard.id)).toEqual(['pack']);
    expect(chargeHolds([pack], {}, ['other', 'PACK'])).toEqual([]);
    expect(chargeHolds([pack], {}).map((h) => h.hazard.id)).toEqual(['pack']);
  });
  it('is not told of a hazard without a limit', () => {
    expect(() => chargeOf(caps, 7)).toThrow(`nothing says how full ${caps.name} may be`);
  });
  it('follows the row in force', () => {
    const row = CHEMISTRY_ROWS.find((r) => r.chemistry === 'li-ion cell');
    if (!row) throw new Error('there is a row of li-ion');
    expect(chargeOf(pack, 7.4, row)).toEqual(chargeOf(pack, 7.4));
    const higher = { ...row, points: row.points.map(([volts, percent]) => [volts + 0.1, percent]) };
    expect(chargeOf(pack, 7.4, higher as typeof row).percent).toBeLessThan(chargeOf(pack, 7.4).percent);
  });
  it('a tool of metal is named by its word, any other is none', () => {
    expect(metalIn('pry cell with STEEL spudger')).toBe('steel');
    expect(metalIn('pry cell with a card')).toBeUndefined();
    expect(metalIn('nonmetallic wedge')).toBeUndefined();
  });
});

describe('names of a pack', () => {
  const map = describeUnit({
    name: 'sounder',
    maker: '',
    model: '',
    does: 'sounds',
    cover: 'lid',
    coverMinutes: 2,
    hazards: ['cell pack'],
    rows: [
      { id: 'A1', name: 'controller', kind: 'board' },
      { id: 'B1', name: 'drive pack', kind: 'battery', leads: ['main'] },
    ],
  });
  const own = map.hazards.find((h) => h.kind === 'cell pack') as Hazard;
  it('lose blanks at both ends', () => {
    expect(folded('  B1 - lead! ')).toBe('b1 lead');
  });
  it('of another element are not its own', () => {
    expect(belongsTo(map, own, 'controller')).toBe(false);
    expect(belongsTo(map, own, 'drive pack')).toBe(true);
    expect(isPackItself(map, own, 'controller')).toBe(false);
    expect(isPackItself(map, own, 'drive pack')).toBe(true);
    expect(isPackItself(map, own, 'dead cells')).toBe(false);
    expect(isPackItself(map, own, 'cells')).toBe(true);
  });
  it('are known where the map tells no elements', () => {
    expect(belongsTo({ plugs: [] }, own, 'B1')).toBe(true);
    expect(isPackItself({ hazards: [own] }, own, 'B1')).toBe(true);
    expect(belongsTo({ plugs: [] }, own, ' - ')).toBe(false);
    expect(isPackItself({ hazards: [own] }, own, ' - ')).toBe(false);
  });
  const now = { rule: 'battery first' as const, states: [], off: [], open: ['tray'] };
  it('a pack with two covers is reached through either; one whose state is not told counts as live', () => {
    const under = { ...map, hazards: [{ ...own, exposedBy: ['shield', 'tray'] }] };
    expect(partFirst(under, now, 'fan')?.plug).toBe('main');
    expect(partFirst(under, { ...now, open: ['lid'] }, 'fan')).toBeNull();
  });
  it('a hazard that is no pack, or has no lead, asks for no lead', () => {
    const none = { ...map, hazards: [{ ...own, clear: { act: 'x', caution: '' } }] };
    expect(partFirst(none, now, 'fan')).toBeNull();
    const other = { ...map, hazards: [{ ...mains, clear: { ...mains.clear, unplugs: 'W1' } }] };
    expect(partFirst(other, { ...now, open: ['lid'] }, 'fan')).toBeNull();
    expect(plugFirst(other, { ...now, off: ['W1', 'fan'] }, 'W1')).toBeNull();
    expect(plugFirst(map, { ...now, off: ['fan'] }, 'main')).toBeNull();
  });
});
