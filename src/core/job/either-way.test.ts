import { describe, expect, it } from 'vitest';
import type { DescribedRow } from '../unit';
import { beforeAfter, traceView } from '.';
import { bench, kiosk } from './bench.test.fixture';

const volts = (id: string, nominal: number, tolerance: number): Pick<DescribedRow, 'tap'> => ({
  tap: { id, how: 'measure', nominal, tolerance, unit: 'V', inside: true },
});
const rows: DescribedRow[] = [
  { id: 'B1', name: 'deck pack', kind: 'battery', leads: ['main lead'], ...volts('pack lead', 36, 6) },
  { id: 'W1', name: 'port lead', kind: 'cable' },
  { id: 'A1', name: 'controller', kind: 'board', ...volts('5 V', 5, 0.3) },
  { id: 'W2', name: 'hall leads', kind: 'cable', ...volts('hall supply', 5, 0.3) },
  { id: 'S1', name: 'throttle', kind: 'sensor', ...volts('signal', 0.9, 0.2) },
  { id: 'S2', name: 'brake switch', kind: 'sensor' },
  { id: 'M1', name: 'wheel motor', kind: 'motor', outside: true },
];

/** A unit that is open, as it stands after these answers at its points. */
function read(...answers: [tap: string, reading: number][]) {
  const b = bench(kiosk(rows, { cover: 'deck plate', hazards: ['cell pack'] }));
  b.takenIn();
  b.line('lift deck plate');
  for (const [tap, reading] of answers)
    b.tell({ type: 'check.recorded', check: `tap:${tap}`, reading, source: 'meter' });
  return traceView(b.state());
}

describe('what is shown again after the remedy', () => {
  it('says which covers are on over a point, so that nobody has to open what is mended for a reading', () => {
    const b = bench(kiosk(rows, { cover: 'deck plate', hazards: [] }));
    b.takenIn();
    b.line('lift deck plate');
    b.tell({ type: 'check.recorded', check: 'tap:hall supply', reading: 2.1, source: 'meter' });
    b.tell({ type: 'plan.chosen', element: 'W2', remedy: 'reseat', why: 'looked at' });
    b.tell({ type: 'remedy.done' });
    const under = () => beforeAfter(b.state()).map((p) => p.under);
    expect(under()).toEqual([[], []]);
    b.tell({ type: 'item.returned', item: b.item('deck plate'), count: 1, state: 'fitted' });
    b.tell({ type: 'cover.closed', cover: b.state().ledger.covers[0]?.id ?? '', kind: 'final' });
    expect(under()).toEqual([[], ['deck plate']]);
  });
});

describe('where mending and one more check come to the same', () => {
  it('what lies away from all that is live is advised, and it is said that either way is as good', () => {
    const view = read(['5 V', 4.95], ['hall supply', 2.1]);
    const [first, ...others] = view.next;
    expect(first).toMatchObject({ kind: 'repair', element: 'W2', tied: true, live: false });
    const check = others.find((n) => n.kind === 'check');
    expect(check).toMatchObject({ place: 1, live: true });
    expect(view.answer.enough).toBe(false);
    expect(view.enough).toBe(true);
    expect(view.reason).toMatch(/^As good either way: about \d+\smin to mended with “Reseat W2/);
    expect(view.reason).toContain(`with “${check?.title}” before it, which is done beside what is live`);
  });
  it('a check is advised while no element is rather the one than all others', () => {
    const view = read();
    expect(view.suspects[0]?.p).toBeLessThan(0.5);
    expect(view.enough).toBe(false);
    expect(view.reason).toMatch(/^Checking still pays/);
  });
});
