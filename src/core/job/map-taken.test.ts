import { describe, expect, it } from 'vitest';
import { deriveChecks, describeUnit, type UnitMap } from '../unit';
import { gatesAhead, mapChanges, missedBy, powerDownLeft } from '.';
import { bench } from './bench.test.fixture';

const described = describeUnit({
  name: 'Weir gauge',
  maker: '',
  model: '',
  does: 'Shows the level',
  cover: 'lid',
  coverMinutes: 2,
  hazards: ['mains'],
  rows: [
    { id: 'A1', name: 'gauge board', kind: 'board', tap: { id: 'TP1', how: 'look' } },
    { id: 'M1', name: 'needle motor', kind: 'motor' },
  ],
});

const LID = described.access[0]?.id ?? '';

const begun = () => {
  const b = bench(described);
  b.planned('A1');
  b.tell({ type: 'power.set', power: 'off' });
  b.tell({
    type: 'gate.cleared',
    hazard: described.hazards[0]?.id ?? '',
    acted: true,
    reading: 0,
    unit: 'V',
    source: 'meter',
  });
  b.line('lift lid > shelf');
  b.line('lift inner cover > shelf');
  return b;
};

const grown: UnitMap = {
  ...described,
  access: [...described.access, { id: 'shield', name: 'shield', minutes: 1, needs: [LID] }],
  parties: [{ id: 'weir', who: 'weir keeper', must: 'told' }],
  powerDown: [{ id: 'menu', text: 'Menu, off' }],
  elements: described.elements.map((e) => (e.id === 'M1' ? { ...e, name: 'needle drive' } : e)),
};

describe('the map of a running job', () => {
  it('is looked at before it is taken over: what is more, gone and otherwise', () => {
    expect(mapChanges(described, described)).toEqual([]);
    expect(mapChanges(described, grown)).toEqual([
      { part: 'cover', added: ['shield'], gone: [], changed: [] },
      { part: 'element', added: [], gone: [], changed: ['needle drive'] },
      { part: 'party to be told', added: ['weir keeper'], gone: [], changed: [] },
      { part: 'step of powering down', added: ['Menu, off'], gone: [], changed: [] },
    ]);
    expect(mapChanges(grown, described).map((c) => [c.part, c.gone.length])).toContainEqual(['cover', 1]);
  });
  it('reaches the job in hand, and nothing recorded is lost', () => {
    const b = begun();
    const before = b.state();
    b.tell({ type: 'map.taken', map: grown, version: 2 });
    const now = b.state();
    expect(now.ledger).toEqual(before.ledger);
    expect(now.plan).toEqual(before.plan);
    // The gate that is up stays up; a cover that was met at the bench is still one.
    expect(gatesAhead(now)).toEqual([]);
    expect(now.map.access.map((a) => a.name)).toEqual(['lid', 'shield', 'inner cover']);
    expect(powerDownLeft(now).map((s) => s.text)).toEqual(['Menu, off']);
    expect(now.map.parties?.map((p) => p.who)).toEqual(['weir keeper']);
  });
  it('keeps whom Take in noted, and a hazard seen at the door', () => {
    const b = bench(described);
    b.takenIn({ addHazards: ['capacitor'], addParties: [{ who: 'cash owner', must: 'allow' }] });
    b.tell({ type: 'map.taken', map: grown, version: 2 });
    expect(b.state().map.parties?.map((p) => [p.who, p.must])).toEqual([
      ['weir keeper', 'told'],
      ['cash owner', 'allow'],
    ]);
    expect(b.state().map.hazards.map((h) => h.kind)).toContain('capacitor');
    expect(b.state().hazards).toHaveLength(b.state().map.hazards.length);
  });
  it('is not taken over where it does not have what the job speaks of', () => {
    const b = begun();
    const other: UnitMap = { ...grown, elements: grown.elements.filter((e) => e.id !== 'A1'), feeds: [] };
    expect(missedBy(b.state(), other)).toEqual(['A1, which is planned for']);
    const told = bench(described);
    told.tell({
      type: 'intake.recorded',
      function: described.functions[0]?.id ?? '',
      symptom: 'stuck',
      pattern: 'always',
      keep: [],
    });
    const [check] = deriveChecks(described).filter((c) => c.id.startsWith('tap:'));
    expect(check?.id).toBe('tap:TP1');
    if (check) told.tell({ type: 'check.recorded', check: check.id, outcome: 'ok', source: 'eye' });
    expect(missedBy(told.state(), { ...grown, taps: [] })).toEqual([
      `the check “${check?.id}”, which is recorded`,
    ]);
    expect(() => b.tell({ type: 'map.taken', map: other, version: 2 })).toThrow();
    expect(b.state().map.elements.map((e) => e.id)).toContain('A1');
  });
});

describe('a move of the known way in', () => {
  it('is left out, once', () => {
    const b = bench({
      ...described,
      moves: [{ id: 'm1', text: 'lift lid', tool: null, sideUp: null, minutes: 1, opens: LID }],
    });
    b.tell({ type: 'move.skipped', move: 'm1' });
    expect(b.state().followed).toEqual(['m1']);
    expect(() => b.tell({ type: 'move.skipped', move: 'm1' })).toThrow('done already');
    expect(() => b.tell({ type: 'move.skipped', move: 'm9' })).toThrow('no move of this unit');
  });
});
