import { describe, expect, it } from 'vitest';
import { wayBack } from '../ledger';
import { reportOf } from '../report';
import { describeUnit, type UnitMap } from '../unit';
import {
  beforeAfter,
  fixesOf,
  handOverHeldBy,
  lessonOf,
  outsOf,
  plansOf,
  proofHeldBy,
  remedyOptions,
  runOf,
  traceView,
} from '.';
import { bench } from './bench.test.fixture';
import { coversNeeded } from './opening';

const replace = (id: string, name: string) => ({
  id,
  name,
  weight: 1,
  remedies: [{ id: 'replace', kind: 'replace' as const, name: `Replace ${id}`, minutes: 10, fixes: 0.9 }],
});

/** A stall scale: two boards and a cable under one lid, the cell board under a shield as well. */
const scale: UnitMap = {
  maker: 'Brackish Works',
  model: 'Stall 4',
  name: 'Stall scale',
  access: [
    { id: 'lid', name: 'lid', minutes: 6 },
    { id: 'shield', name: 'shield', minutes: 2, needs: ['lid'] },
  ],
  hazards: [],
  elements: [
    { ...replace('A1', 'main board'), kind: 'board', needs: ['lid'] },
    { ...replace('A2', 'cell board'), kind: 'board', needs: ['shield'] },
    {
      ...replace('W1', 'cell cable'),
      kind: 'cable',
      needs: ['lid'],
      remedies: [{ id: 'reseat', kind: 'reseat', name: 'Reseat W1', minutes: 3, fixes: 0.5 }],
    },
  ],
  feeds: [
    { from: 'A2', to: 'W1', carries: 'signal' },
    { from: 'W1', to: 'A1', carries: 'signal' },
  ],
  functions: [{ id: 'weighs', name: 'Weighs', output: 'A1' }],
  taps: [],
};

const taken = () => {
  const b = bench(scale);
  b.tell({
    type: 'intake.recorded',
    function: 'weighs',
    symptom: 'shows dashes',
    pattern: 'always',
    keep: [],
  });
  b.tell({ type: 'plan.chosen', element: 'A1', remedy: 'replace', why: 'burnt' });
  return b;
};
const also = (b: ReturnType<typeof bench>, element: string, remedy = 'replace') =>
  b.tell({ type: 'plan.chosen', element, remedy, why: 'burnt as well', also: true });
const open = (b: ReturnType<typeof bench>) => {
  b.line('lift lid > shelf');
  b.line('lift shield > shelf');
};
const weighs = (b: ReturnType<typeof bench>, outcome: 'ok' | 'bad' = 'ok') =>
  b.tell({ type: 'proof.recorded', check: 'symptom:weighs', outcome, source: 'eye' });

describe('the ladder follows the kind', () => {
  const cell = (name: string): UnitMap =>
    describeUnit({
      name: 'Guide headset',
      maker: '',
      model: '',
      does: 'Speaks',
      cover: 'shell',
      coverMinutes: 2,
      hazards: ['cell pack'],
      rows: [
        { id: 'A1', name: 'board', kind: 'board' },
        { id: 'B1', name, kind: 'battery', leads: ['red wire'], cells: 1 },
      ],
    });
  const rungs = (b: ReturnType<typeof bench>) => remedyOptions(b.state(), 'B1', 1).map((o) => o.remedy.kind);
  it('a cell that is glued or soldered in is not reseated', () => {
    expect(rungs(bench(cell('pack')))).toEqual(['reseat', 'replace']);
    expect(rungs(bench(cell('soldered cell')))).toEqual(['replace']);
    expect(rungs(bench(cell('glued pouch')))).toEqual(['replace']);
  });
  it('a swollen pack is replaced, whatever else its ladder has, until it is said not to be', () => {
    const b = bench(cell('pack'));
    const hazard = b.state().map.hazards[0]?.id ?? '';
    b.tell({ type: 'swelling.noted', hazard, swollen: true });
    expect(rungs(b)).toEqual(['replace']);
    b.tell({ type: 'swelling.noted', hazard, swollen: false });
    expect(rungs(b)).toEqual(['reseat', 'replace']);
  });
});

describe('several remedies in one opening', () => {
  it('are planned together: the opening is paid once, the way in leads to all', () => {
    const b = taken();
    expect(remedyOptions(b.state(), 'A2', 1)[0]?.minutes).toBe(10 + 2 + 6);
    expect(remedyOptions(b.state(), 'A2', 1, true)[0]?.minutes).toBe(10 + 2);
    expect(coversNeeded(b.state())).toEqual(['lid']);
    also(b, 'A2');
    also(b, 'W1', 'reseat');
    expect(coversNeeded(b.state()).sort()).toEqual(['lid', 'shield']);
    expect(runOf(b.state()).find((s) => s.stop === 'plan')?.note).toBe('A1, A2, W1');
    expect(() => also(b, 'A2')).toThrow('A2 is planned already');
    expect(() =>
      bench(scale).tell({ type: 'plan.chosen', element: 'A1', remedy: 'replace', why: 'x', also: true }),
    ).toThrow('take the unit in first');
  });

  it('each have their fit, swap and line in the report, and the proof waits for the last', () => {
    const b = taken();
    also(b, 'A2');
    also(b, 'W1', 'reseat');
    open(b);
    b.tell({ type: 'part.removed', name: 'old main board' });
    b.tell({ type: 'part.fitted', name: 'new main board', serial: '0417' });
    expect(b.state().stop).toBe('swap');
    expect(b.state().plan?.element).toBe('A2');
    expect(() => weighs(b)).toThrow('nothing has been mended yet');
    expect(handOverHeldBy(b.state(), 'works')).toContain('“Replace A2” is planned and not done');
    b.tell({ type: 'part.removed', name: 'old cell board' });
    expect(proofHeldBy(b.state())).toBe('A2 is still out');
    b.tell({ type: 'part.fitted', name: 'new cell board' });
    b.tell({ type: 'remedy.done', note: 'pressed home' });
    expect(fixesOf(b.state()).map((f) => f.element)).toEqual(['A1', 'A2', 'W1']);
    weighs(b);
    const done = reportOf(b.state(), b.events()).find((s) => s.title === 'Done')?.lines;
    expect(done?.map((l) => [l.text, l.result])).toEqual(
      expect.arrayContaining([
        ['new main board', 'A1, serial 0417'],
        ['new cell board', 'A2'],
        ['Reseat W1', 'W1'],
        ['Seen', 'pressed home'],
      ]),
    );
    const plan = reportOf(b.state(), b.events()).find((s) => s.title === 'Planned')?.lines;
    expect(plan?.map((l) => l.text)).toEqual(['Replace A1', 'Replace A2', 'Reseat W1']);
  });

  it('parts lifted on the way in are each their own Out, in whatever order', () => {
    const b = taken();
    also(b, 'A2');
    open(b);
    const lift = (name: string) => {
      const item = { kind: 'part' as const, name, count: 1, place: { kind: 'shelf' as const } };
      b.tell({ type: 'move.recorded', verb: 'lift', text: `lift ${name}`, item, out: true });
    };
    lift('cell board');
    expect(b.state().out).toBeNull();
    lift('A1');
    expect(outsOf(b.state()).map((o) => o.element)).toEqual(['A1', 'A2']);
    expect(() => b.tell({ type: 'plan.dropped', element: 'A2' })).toThrow('the old A2 is out');
    b.tell({ type: 'part.fitted', name: 'new main board' });
    expect(b.state().out?.element).toBe('A2');
    b.tell({ type: 'part.fitted', name: 'new cell board' });
    expect(outsOf(b.state())).toEqual([]);
    // Neither old board is asked back.
    expect(
      b
        .state()
        .ledger.items.filter((i) => i.old)
        .map((i) => i.writtenOff[0]?.replacement),
    ).toEqual(['new cell board', 'new main board']);
  });

  it('a further one is added after the first is done, and let go again', () => {
    const b = taken();
    open(b);
    b.tell({ type: 'part.removed', name: 'old main board' });
    b.tell({ type: 'part.fitted', name: 'new main board' });
    also(b, 'A2');
    expect(plansOf(b.state()).map((p) => p.element)).toEqual(['A2']);
    expect(b.state().fix).toBeNull();
    b.tell({ type: 'plan.dropped', element: 'A2' });
    expect(b.state().fix?.element).toBe('A1');
    expect(b.state().plan?.element).toBe('A1');
    expect(() => b.tell({ type: 'plan.dropped', element: 'A1' })).toThrow('nothing is planned for A1');
    weighs(b);
  });

  it('when the symptom stays, all of them were tried; when it is gone, none is learned as the fault', () => {
    const b = taken();
    also(b, 'W1', 'reseat');
    open(b);
    b.tell({ type: 'part.removed', name: 'old main board' });
    b.tell({ type: 'part.fitted', name: 'new main board' });
    b.tell({ type: 'remedy.done' });
    expect(lessonOf({ ...b.state(), handedOver: null })).toBeNull();
    weighs(b, 'bad');
    b.tell({ type: 'remedy.tried' });
    expect(b.state().failed.map((f) => f.element)).toEqual(['A1', 'W1']);
    expect(b.state().trace.flatMap((t) => t.tried?.element ?? [])).toEqual(['A1', 'W1']);
    expect(fixesOf(b.state())).toEqual([]);
    const found = reportOf(b.state(), b.events()).find((s) => s.title === 'Found')?.lines;
    expect(found?.filter((l) => l.result === 'the symptom stayed').map((l) => l.text)).toEqual([
      'Replace A1',
      'Reseat W1',
    ]);
  });
});

describe('assembly, with nothing taken off first', () => {
  it('is a job too: put together in its order, proven, closed and handed over', () => {
    const b = bench(scale);
    b.tell({ type: 'intake.recorded', function: 'weighs', symptom: 'in parts', pattern: 'always', keep: [] });
    const put = (name: string, kind: 'part' | 'plug' = 'part') =>
      b.tell({ type: 'item.to-fit', text: name, item: { kind, name, count: 1, place: { kind: 'shelf' } } });
    expect(() => weighs(b)).toThrow('nothing has been mended yet');
    put('main board');
    put('cell lead', 'plug');
    put('lid');
    expect(proofHeldBy(b.state())).toBe('cell lead is still out');
    for (let guard = 0; guard < 20; guard++) {
      const s = wayBack(b.state().ledger)[0];
      if (!s) break;
      const item = s.item?.id ?? '';
      if (s.kind === 'close') b.tell({ type: 'cover.closed', cover: s.cover?.id ?? '', kind: 'final' });
      else if (s.kind === 'prove') b.tell({ type: 'item.proven', item, how: 'looked at' });
      else b.tell({ type: 'item.returned', item, count: s.left, state: s.to ?? 'fitted' });
    }
    expect(handOverHeldBy(b.state(), 'works')).toEqual([
      'the failing check has not been repeated with a good result',
    ]);
    weighs(b);
    expect(handOverHeldBy(b.state(), 'works')).toEqual([]);
    expect(lessonOf({ ...b.state(), handedOver: null })).toBeNull();
    b.tell({ type: 'job.handed-over', to: 'stall', result: 'works' });
    const back = reportOf(b.state(), b.events()).find((s) => s.title === 'Came off and went back')?.lines;
    expect(back?.map((l) => l.text)).toEqual(['1 × main board', '1 × cell lead', '1 × lid']);
  });
});

describe('an aim without a fault', () => {
  it('is a way to take in: planned at once, shown to work, and taught nothing', () => {
    const b = bench(scale);
    const take = (symptom: string, fn = 'weighs') =>
      b.tell({
        type: 'intake.recorded',
        aim: 'upgrade',
        function: fn,
        symptom,
        pattern: 'always',
        keep: [],
      });
    expect(() => take(' ')).toThrow('say what is to be done');
    expect(() => take('new cell board', 'none')).toThrow('say which function it is to have afterwards');
    take('new cell board');
    expect(b.state().stop).toBe('plan');
    // Nothing is suspected more than before: no check failed.
    const belief = traceView(b.state()).answer.belief;
    expect(new Set(belief.map((e) => e.p.toFixed(6))).size).toBe(1);
    b.tell({ type: 'plan.chosen', element: 'A1', remedy: 'replace', why: 'asked for' });
    b.line('lift lid > shelf');
    b.tell({ type: 'part.removed', name: 'old main board' });
    b.tell({ type: 'part.fitted', name: 'main board mark 2' });
    expect(beforeAfter(b.state()).map((p) => p.before.outcome)).toEqual(['not tried']);
    weighs(b);
    const report = reportOf(b.state(), b.events());
    const under = (title: string) => report.find((s) => s.title === title)?.lines ?? [];
    expect(under('Taken in').map((l) => l.text)).toContain('For an upgrade: “new cell board”');
    expect(under('Proven, before and after')[0]?.result).toMatch(/^before not tried; after /);
    expect(lessonOf(b.state())).toBeNull();
  });
});
