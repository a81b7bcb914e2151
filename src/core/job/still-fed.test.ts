import { describe, expect, it } from 'vitest';
import type { Description } from '../unit';
import { stillFed, summarise } from '.';
import { bench, kiosk } from './bench.test.fixture';

const rows: Description['rows'] = [
  { id: 'A1', name: 'tone board', kind: 'board' },
  { id: 'W2', name: 'ribbon', kind: 'cable' },
  { id: 'M1', name: 'horn', kind: 'motor' },
  { id: 'BT', name: 'standby battery', kind: 'battery', leads: ['red spade', 'black spade'] },
];
const fed = (b: ReturnType<typeof bench>) => stillFed(b.state()).map((f) => [f.battery.id, ...f.feeds]);
const STILL = [['BT', 'A1', 'M1']];

describe('a battery that no gate is about', () => {
  it('goes on feeding what it feeds, mains gate or not, and says by which leads', () => {
    for (const hazards of [[], ['mains']] as const) {
      const b = bench(kiosk(rows, { hazards: [...hazards] }));
      expect(fed(b)).toEqual(STILL);
      expect(stillFed(b.state())[0]?.leads).toEqual(['red spade', 'black spade']);
    }
  });
  it('is told at its gate instead where it has one', () => {
    expect(fed(bench(kiosk(rows, { hazards: ['cell pack'] })))).toEqual([]);
  });
  it('feeds nothing once one of its leads is parted, by whatever name, and again when it is back', () => {
    for (const lead of ['red spade', 'black spade', 'BT', 'standby battery lead', 'battery plug']) {
      const b = bench(kiosk(rows));
      b.line(`unplug ${lead}`);
      expect([lead, fed(b)]).toEqual([lead, []]);
      b.tell({ type: 'item.returned', item: b.item(nameOf(b)), count: 1, state: 'plugged' });
      expect([lead, fed(b)]).toEqual([lead, STILL]);
    }
  });
  it('is not parted by another plug, nor by its bracket', () => {
    const b = bench(kiosk(rows));
    for (const line of [
      'unplug W2',
      '2 x M3x8 PH1 standby battery > cup 1',
      'lift battery bracket',
      'unplug fan',
    ])
      b.line(line);
    expect(fed(b)).toEqual(STILL);
  });
  it('is gone when it is out, and one of two is told from the other', () => {
    const two = kiosk([...rows, { id: 'B2', name: 'clock cell', kind: 'battery' }]);
    const b = bench(two);
    b.line('lift standby battery');
    expect(fed(b)).toEqual([['B2', 'A1', 'M1']]);
    b.line('unplug battery plug');
    expect(fed(b)).toEqual([['B2', 'A1', 'M1']]);
    b.line('unplug clock cell lead');
    expect(fed(b)).toEqual([]);
  });
  it('is told on the bench while its unit is open, beside what was left hot', () => {
    const b = bench(kiosk(rows));
    expect(summarise(b.state()).fed).toBeUndefined();
    b.line('lift rear cover');
    expect(summarise(b.state())).toMatchObject({ fed: ['standby battery'], live: [] });
    b.line('solder red spade');
    expect(summarise(b.state()).live).toEqual([expect.stringContaining('iron')]);
    b.line('unplug red spade');
    expect(summarise(b.state()).fed).toBeUndefined();
  });
});

const nameOf = (b: ReturnType<typeof bench>): string => {
  const [item] = b.state().ledger.items;
  if (item?.kind !== 'plug') throw new Error('no plug is off');
  return item.name;
};
