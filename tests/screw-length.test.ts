import { describe, expect, it } from 'vitest';
import { bench } from '../src/core/job/bench.test.fixture';
import { lengthSeen, tooLong, unmeasuredTwin, wayBack } from '../src/core/ledger';
import { photoPrinter } from '../src/demo/units/photo-printer';

/** The demo printer without what can hurt: here only the tray is looked at. */
const printer = { ...photoPrinter, hazards: [], powerDown: [] };

function opened() {
  const b = bench(printer);
  b.line('6 x M3x12 PH1 top cover > cup 2');
  b.line('lift top cover > shelf');
  b.line('4 x M3x8 PH1 rear cover > cup 3');
  b.line('lift rear cover > shelf');
  return b;
}

describe('screw lengths', () => {
  it('a look-alike of another length asks for one on the rule before the first goes in', () => {
    const b = opened();
    const rear = b.screws('rear cover');
    b.tell({ type: 'item.returned', item: b.item('rear cover'), count: 1, state: 'fitted' });
    const back = () => b.tell({ type: 'item.returned', item: rear, count: 1, state: 'tight' });
    expect(back).toThrow('Lay one on the rule first');
    expect(() => b.tell({ type: 'length.checked', item: rear, measuredMm: 12 })).toThrow(
      'This one is 12 mm, and here goes 8 mm: it would reach 4 mm further in. It is M3×12 PH1, kept in cup 2, top cover',
    );
    b.tell({ type: 'length.checked', item: rear, measuredMm: 8.2 });
    back();
    expect(b.state().ledger.items.find((i) => i.id === rear)?.measured?.mm).toBe(8.2);
  });
  it('nothing is asked once the look-alike is home, or where none was off', () => {
    const b = bench(printer);
    b.line('4 x M3x8 PH1 rear cover > cup 3');
    expect(unmeasuredTwin(b.state().ledger.items, b.state().ledger.items[0] as never)).toBeNull();
  });
  it('a screw longer than its holes take is held, with how much too long it is', () => {
    const b = bench(printer);
    b.line('4 x M3x10 PH1 rear cover > cup 3');
    b.line('lift rear cover > shelf');
    const rear = b.screws('rear cover');
    b.tell({ type: 'item.returned', item: b.item('rear cover'), count: 1, state: 'fitted' });
    expect(() => b.tell({ type: 'item.returned', item: rear, count: 1, state: 'tight' })).toThrow(
      'M3×10 PH1 is 2 mm too long for its holes: they take 8 mm at most',
    );
  });
  it('holes of another thread, or without a limit, say nothing', () => {
    const screw = { kind: 'fastener' as const, name: 'screw', thread: 'M3', lengthMm: 12 };
    expect(tooLong(screw, [])).toBeNull();
    expect(tooLong(screw, [{ thread: 'M4', longestMm: 6 }])).toBeNull();
    expect(tooLong(screw, [{ longestMm: 6 }, {}])).toBeNull();
    expect(tooLong(screw, [{ longestMm: 6 }, { longestMm: 12 }])).toBeNull();
    expect(tooLong(screw, [{ longestMm: 6 }, { longestMm: 10 }])).toContain('2 mm too long');
  });
  it('a length that is none is refused where it was typed', () => {
    const b = opened();
    const { ledger } = b.state();
    const id = b.screws('rear cover');
    expect(() => lengthSeen(ledger, id, 0, 'now')).toThrow('over 0 mm');
    expect(() => lengthSeen(ledger, b.item('rear cover'), 8, 'now')).toThrow('has no length');
  });
});

describe('what is different on the way back', () => {
  it('a new one every time is owed as a write-off; a cure starts its timer when it is home', () => {
    const b = bench(printer);
    b.line('peel tape gasket > shelf');
    const tape = b.state().ledger.items[0]?.id as string;
    b.tell({ type: 'way-back.noted', item: tape, fresh: true, cureMinutes: 20, note: 'bead all round' });
    expect(wayBack(b.state().ledger)[0]?.note).toContain('new one: write the old one off');
    expect(wayBack(b.state().ledger)[0]?.note).toContain('bead all round, cures 20');
    expect(() => b.tell({ type: 'item.returned', item: tape, count: 1, state: 'fitted' })).toThrow(
      'tape gasket is new every time: say that new ones went in, or why the old ones did',
    );
    b.tell({ type: 'item.returned', item: tape, count: 1, state: 'fitted', once: 'a new bead' });
    expect(b.state().ledger.items[0]?.once).toBe('a new bead');
    expect(b.state().timers.map((t) => [t.what, t.minutes])).toEqual([['tape gasket cures', 20]]);
  });
  it('a note that says nothing, or a torque under 0, is refused', () => {
    const b = bench(printer);
    b.line('4 x M3x8 PH1 rear cover > cup 3');
    const item = b.screws('rear cover');
    expect(() => b.tell({ type: 'way-back.noted', item })).toThrow('say what is different');
    expect(() => b.tell({ type: 'way-back.noted', item, torqueNm: -1 })).toThrow('over 0 N·m');
  });
});
