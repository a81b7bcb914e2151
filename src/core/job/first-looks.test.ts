import { describe, expect, it } from 'vitest';
import { reportOf } from '../report';
import { suspicion, trace } from '../trace';
import { deriveChecks, powerOf } from '../unit';
import {
  firstLooksFound,
  firstLooksLeft,
  fixWords,
  handOverHeldBy,
  isDone,
  traceRequest,
  traceView,
  tryOpen,
} from '.';
import { bench, kiosk } from './bench.test.fixture';

const map = kiosk([
  { id: 'A1', name: 'main board', kind: 'board' },
  { id: 'W1', name: 'motor lead', kind: 'cable' },
  { id: 'M1', name: 'ticket motor', kind: 'motor' },
]);
const intake = (more: object = {}) => ({
  type: 'intake.recorded' as const,
  function: map.functions[0]?.id ?? '',
  symptom: 'prints nothing',
  pattern: 'always' as const,
  keep: [],
  ...more,
});

describe('what is asked before anything is measured', () => {
  it('trial start, warm or cold, setting, interlock, in this order; none once something was checked', () => {
    const b = bench(map);
    expect(firstLooksLeft(b.state())).toEqual([]);
    b.tell(intake());
    expect(firstLooksLeft(b.state()).map((l) => l.id)).toEqual([
      'trial start',
      'warmed up',
      'setting',
      'interlock',
    ]);
    b.tell({ type: 'look.answered', look: 'trial start', found: false });
    expect(firstLooksLeft(b.state())[0]?.id).toBe('warmed up');
    const check = `symptom:${map.functions[0]?.id}`;
    b.tell({ type: 'check.recorded', check, outcome: 'bad', source: 'eye' });
    expect(firstLooksLeft(b.state())).toEqual([]);
  });
  it('a setting put right is proven and handed over as what mended it; no part was changed', () => {
    const b = bench(map);
    b.tell(intake());
    b.tell({ type: 'look.answered', look: 'warmed up', found: true });
    expect(isDone(b.state())).toBe(false);
    b.tell({ type: 'look.answered', look: 'setting', found: true, note: 'tickets were set to off' });
    expect(firstLooksFound(b.state()).map((l) => l.id)).toEqual(['warmed up', 'setting']);
    expect(isDone(b.state())).toBe(true);
    expect(fixWords(b.state())).toBe('the setting put right');
    expect(handOverHeldBy(b.state(), 'works')).toEqual([
      'the failing check has not been repeated with a good result',
    ]);
    const check = `symptom:${map.functions[0]?.id}`;
    b.tell({ type: 'proof.recorded', check, outcome: 'ok', source: 'eye' });
    expect(handOverHeldBy(b.state(), 'works')).toEqual([]);
    const found = reportOf(b.state(), b.events()).find((s) => s.title === 'Found')?.lines;
    expect(found?.map((l) => l.result)).toContain('a setting was off: tickets were set to off');
  });
  it('settings found as they should be fall behind whatever else it may be', () => {
    const withSetting = kiosk([
      { id: 'S1', name: 'ticket mode', kind: 'setting' },
      { id: 'A1', name: 'main board', kind: 'board' },
    ]);
    const b = bench(withSetting);
    b.tell(intake({ function: withSetting.functions[0]?.id }));
    const p = () => new Map(suspicion(traceRequest(b.state())).belief.map((x) => [x.id, x.p]));
    const before = p();
    b.tell({ type: 'look.answered', look: 'interlock', found: false });
    expect(p()).toEqual(before);
    b.tell({ type: 'look.answered', look: 'setting', found: false });
    const ratio = (of: Map<string, number>) => (of.get('S1') ?? 0) / (of.get('A1') ?? 0);
    expect(ratio(p())).toBeCloseTo(ratio(before) / 10, 9);
    // Nor is it asked once more by itself; it can still be chosen.
    const view = traceView(b.state(), trace(traceRequest(b.state())));
    const ofS1 = view.checks.filter((c) => c.trace.exercises?.join() === 'S1').map((c) => c.id);
    expect(ofS1.length).toBeGreaterThan(0);
    expect(view.next.filter((n) => ofS1.includes(n.id))).toEqual([]);
    // One that was off and put right is proven by itself; it says nothing against the rest.
    b.tell({ type: 'look.answered', look: 'setting', found: true, note: 'tickets off' });
    expect(p()).toEqual(before);
  });
  it('is asked of a fault alone', () => {
    const b = bench(map);
    b.tell(intake({ aim: 'service' }));
    expect(firstLooksLeft(b.state())).toEqual([]);
  });
});

describe('planned at once', () => {
  const failing = (more: object) => {
    const b = bench(map);
    b.tell(intake(more));
    b.tell({ type: 'plan.chosen', element: 'A1', remedy: 'replace', why: 'the cause is known' });
    return tryOpen(b.state()).pFail;
  };
  it('a cause that is known counts as known: the remedy itself is what may fail', () => {
    const fixes = map.elements[0]?.remedies.find((r) => r.id === 'replace')?.fixes ?? 0;
    expect(failing({ causeKnown: true })).toBeCloseTo(1 - 0.95 * fixes, 9);
    expect(failing({})).toBeGreaterThan(failing({ causeKnown: true }));
  });
});

describe('powered or dead', () => {
  it('is said of every check', () => {
    const said = new Map(deriveChecks(map).map((c) => [c.id, powerOf(c)]));
    expect(said.get(`symptom:${map.functions[0]?.id}`)).toBe('powered');
    expect(said.get('continuity:W1')).toBe('dead');
    expect(said.get('reseat:W1')).toBe('dead');
  });
});
