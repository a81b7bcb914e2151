import { describe, expect, it } from 'vitest';
import { type Description, deriveChecks } from '../unit';
import { offFor, offTheUnit } from '.';
import { bench, kiosk } from './bench.test.fixture';

const rows: Description['rows'] = [
  { id: 'A1', name: 'input board', kind: 'board', tap: { id: 'TP1', how: 'look' } },
  { id: 'W1', name: 'grey ribbon', kind: 'cable' },
  { id: 'A3', name: 'control board', kind: 'board', tap: { id: 'TP2', how: 'look' } },
  { id: 'M1', name: 'fan', kind: 'motor' },
];
const off = (b: ReturnType<typeof bench>) => offTheUnit(b.state()).map((e) => e.id);
const forCheck = (b: ReturnType<typeof bench>, about: string) => {
  const check = deriveChecks(b.state().map).find((c) => c.tap?.id === about || c.id.includes(about));
  if (!check) throw new Error(`no check ${about}`);
  return offFor(b.state(), check).map((e) => e.id);
};

describe('what is off the unit', () => {
  it.each([
    'unplug W1',
    'unplug grey ribbon',
    'unplug the grey ribbon lead',
    'lift W1 grey ribbon',
    'unplug W1 from A3',
  ])('is known by what people call it: %s', (line) => {
    const b = bench(kiosk(rows));
    expect(off(b)).toEqual([]);
    b.line(line);
    expect(off(b)).toEqual(['W1']);
  });
  it('is known by the leads that are named on it', () => {
    const cell = { id: 'BT', name: 'standby battery', kind: 'battery' as const, leads: ['red spade'] };
    const b = bench(kiosk([...rows, cell]));
    b.line('unplug red spade');
    expect(off(b)).toEqual(['BT']);
  });
  it('is no screw of it, no bracket beside it, and nothing that was only moved aside', () => {
    const b = bench(kiosk(rows));
    for (const line of ['4 x M3x8 control board > cup 1', 'lift fan bracket', 'lift control board aside'])
      b.line(line);
    expect(off(b)).toEqual([]);
  });
  it('is back once it is plugged or fitted again', () => {
    const b = bench(kiosk(rows));
    b.line('unplug W1');
    b.tell({ type: 'item.returned', item: b.item('W1'), count: 1, state: 'plugged' });
    expect(off(b)).toEqual([]);
  });
});

describe('what a check under power needs in the unit', () => {
  it('is what it puts to the test and nothing beyond it', () => {
    const b = bench(kiosk(rows));
    b.line('unplug W1');
    b.line('lift control board');
    expect(off(b)).toEqual(['W1', 'A3']);
    expect(forCheck(b, 'TP1')).toEqual([]);
    expect(forCheck(b, 'TP2')).toEqual(['W1', 'A3']);
  });
  it('is nothing for a check that is made dead', () => {
    const b = bench(kiosk(rows));
    b.line('unplug W1');
    const dead = deriveChecks(b.state().map).filter((c) => c.trace.power === 'off');
    expect(dead.length).toBeGreaterThan(0);
    for (const c of dead) expect(offFor(b.state(), c)).toEqual([]);
  });
});
