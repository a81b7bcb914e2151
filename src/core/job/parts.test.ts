import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { photoPrinter } from '../../demo/units/photo-printer';
import { ticketKiosk } from '../../demo/units/ticket-kiosk';
import { Refusal } from '../refusal';
import { deriveChecks, describeUnit, type MapCheck } from '../unit';
import {
  answerWords,
  type BenchEvent,
  effective,
  fold,
  isPlannedPart,
  type JobEvent,
  judge,
  openPoints,
  packsIn,
  plugsOff,
  runOf,
  verdictOf,
} from '.';
import { bench } from './bench.test.fixture';
import { powerOff, powerOn, withPower } from './power';
import { stampsOf, stampWords } from './stamps';
import { startOf } from './state';
import { LONGEST_MINUTES } from './timing';

const reason = (act: () => unknown): string => {
  try {
    act();
  } catch (error) {
    if (error instanceof Refusal) return `${error.path} ${error.message}`;
    throw error;
  }
  return 'taken';
};
const map = describeUnit({
  name: 'bell',
  maker: '',
  model: '',
  does: 'rings',
  cover: 'lid',
  coverMinutes: 2,
  hazards: ['mains', 'capacitor'],
  rows: [
    {
      id: 'A1',
      name: 'board',
      kind: 'board',
      tap: { id: 'TP1', how: 'measure', nominal: 5, tolerance: 0.5, unit: 'V' },
    },
    { id: 'M1', name: 'striker', kind: 'motor', tap: { id: 'D1', how: 'look' } },
    { id: 'B1', name: 'pack', kind: 'battery' },
  ],
});

describe('a job as it begins', () => {
  const state = startOf({ id: 'j', tag: 'J-1', openedAt: '2026-11-26T10:00:00Z', map, whole: map });
  it('has every part at its start, and a state of every hazard', () => {
    expect(state).toMatchObject({
      stop: 'take in',
      parked: null,
      intake: null,
      trace: [],
      plan: null,
      power: 'unknown',
      poweredDown: { done: [] },
      charges: {},
      swollen: [],
      out: null,
      fix: null,
      failed: [],
      proofs: [],
      soak: null,
      handedOver: null,
      passedPoints: [],
      notes: [],
      timers: [],
    });
    expect(state.hazards.map((h) => `${h.id} ${h.status}`)).toEqual(['mains unknown', 'capacitor unknown']);
    expect(runOf(state).map((s) => s.status)[0]).toBe('in hand');
  });
  it('two jobs share nothing', () => {
    const other = startOf({ id: 'k', tag: 'J-2', openedAt: '', map, whole: map });
    for (const key of ['trace', 'proofs', 'notes', 'charges', 'swap'] as const)
      expect(other[key]).not.toBe(state[key]);
  });
});

describe('one rule for the power', () => {
  const state = startOf({ id: 'j', tag: 'J-1', openedAt: '', map, whole: map });
  const safe = {
    ...state,
    hazards: state.hazards.map((h) => ({ ...h, status: 'made safe' as const })),
    charges: { x: { percent: 1, source: 'unit' as const, at: '' } },
    poweredDown: { done: ['a'], passed: { reason: 'dead', at: '' } },
  };
  it('on: what it arms is live again, nothing read of the charge stands, powering down begins anew', () => {
    const on = powerOn(safe, 'now');
    expect(on).toMatchObject({ power: 'on', charges: {}, poweredDown: { done: [] } });
    expect(on.poweredDown.passed).toBeUndefined();
    expect(on.hazards.every((h) => h.status === 'live' && h.armed?.by === 'power')).toBe(true);
  });
  it('off: what was charged stays so until its own gate is up', () => {
    expect(powerOff(powerOn(safe, 'now')).hazards.every((h) => h.status === 'live')).toBe(true);
  });
  it('as an entry needs it', () => {
    expect(withPower(safe, undefined, 'now')).toBe(safe);
    expect(withPower({ ...safe, power: 'off' }, 'off', 'now').hazards).toBe(safe.hazards);
    expect(withPower(safe, 'off', 'now').power).toBe('off');
    expect(withPower(safe, 'on', 'now').power).toBe('on');
    const on = powerOn(safe, 'now');
    expect(withPower(on, 'on', 'later')).toBe(on);
  });
});

describe('what an answer says', () => {
  const checks = deriveChecks(map);
  const check = (id: string) => checks.find((c) => c.id === id) as MapCheck;
  it.each([
    [5, 'ok'],
    [4.5, 'ok'],
    [5.5, 'ok'],
    [4.49, 'bad'],
    [5.51, 'bad'],
  ] as const)('%s V at 5 ± 0.5 V: %s', (reading, verdict) => {
    expect(verdictOf(check('tap:TP1'), { reading })).toBe(verdict);
    expect(answerWords(check('tap:TP1'), { reading })).toBe(verdict === 'ok' ? 'in range' : 'out of range');
  });
  it('an answer of its own is bad where it points at something', () => {
    const own = {
      ...check('tap:D1'),
      answers: [
        { id: 'none', name: 'no code', points: [] },
        { id: 'E1', name: 'E1', points: ['A1'] },
      ],
    };
    expect(verdictOf(own, { outcome: 'none' })).toBe('ok');
    expect(verdictOf(own, { outcome: 'E1' })).toBe('bad');
    expect(answerWords(own, { outcome: 'E1' })).toBe('E1');
  });
  it.each<[string, object, string]>([
    ['no such check', { check: 'tap:ZZ', outcome: 'ok' }, '/check tap:ZZ is no check of this unit'],
    [
      'a measured check by a word',
      { check: 'tap:TP1', outcome: 'ok' },
      '/reading Measure at TP1: type the reading',
    ],
    [
      'both',
      { check: 'tap:TP1', reading: 5, outcome: 'ok' },
      '/outcome a measured check is judged by its reading',
    ],
    [
      'a look with a reading',
      { check: 'tap:D1', outcome: 'ok', reading: 1 },
      '/reading Look at D1 takes no reading',
    ],
    [
      'a word that is none',
      { check: 'tap:D1', outcome: 'maybe' },
      '/outcome Look at D1: say as it should be',
    ],
    [
      'takes that are not its mean',
      { check: 'tap:TP1', reading: 5, takes: [4, 5] },
      '/reading Measure at TP1: the reading is not',
    ],
  ])('%s is refused where it was given', (_n, answer, words) => {
    const b = bench(map);
    b.tell({ type: 'intake.recorded', function: 'works', symptom: 'x', pattern: 'always', keep: [] });
    const said = reason(() => b.tell({ type: 'check.recorded', source: 'meter', ...answer } as never));
    expect(said.startsWith(words), said).toBe(true);
  });
});

describe('stamps', () => {
  it('keep what was given, without blanks, and refuse a date code that cannot be', () => {
    expect(stampsOf(' A7 ', ' 2319 ')).toEqual({ serial: 'A7', dateCode: '2319' });
    expect(stampsOf('', undefined)).toEqual({});
    expect(() => stampsOf('A', '2399')).toThrow(Refusal);
    expect(stampWords({ serial: 'A7', dateCode: '2319' })).toBe(', serial A7, date code 2319');
    expect(stampWords({})).toBe('');
  });
});

describe('waits', () => {
  it.each([0, -1, LONGEST_MINUTES + 1])('a timer of %s min is refused', (minutes) => {
    expect(reason(() => bench(map).tell({ type: 'timer.started', what: 'glue', minutes }))).toMatch(
      /^\/minutes/,
    );
    expect(
      reason(() => bench(map).tell({ type: 'consumable.used', what: 'glue', setsMinutes: minutes || -1 })),
    ).toMatch(/^\/setsMinutes/);
  });
  it('what sets by itself is timed under its own entry', () => {
    const b = bench(map);
    b.tell({ type: 'consumable.used', what: ' glue ', setsMinutes: 20, on: ' lid ' });
    expect(b.state().timers).toMatchObject([
      { id: b.events().at(-1)?.id, what: 'glue on lid sets', minutes: 20 },
    ]);
    b.tell({ type: 'timer.ended', timer: b.state().timers[0]?.id ?? '' });
    expect(reason(() => b.tell({ type: 'timer.ended', timer: b.state().timers[0]?.id ?? '' }))).toMatch(
      /no such timer/,
    );
  });
});

describe('packs and plugs of a job', () => {
  it('a pack counts as in until it is out, by the swap or by being lifted', () => {
    const b = bench(photoPrinter);
    expect(packsIn(b.state()).map((h) => h.id)).toEqual(['B1']);
    b.planned('B1');
    expect(isPlannedPart(b.state(), { kind: 'part', name: 'b1', count: 1, place: { kind: 'shelf' } })).toBe(
      true,
    );
    expect(isPlannedPart(b.state(), { kind: 'plug', name: 'B1', count: 1, place: { kind: 'shelf' } })).toBe(
      false,
    );
    expect(isPlannedPart(b.state(), { kind: 'part', name: 'A2', count: 1, place: { kind: 'shelf' } })).toBe(
      false,
    );
    expect(isPlannedPart(b.state(), null)).toBe(false);
    const state = b.state();
    expect(packsIn({ ...state, out: { element: 'b1', item: 'x' } })).toEqual([]);
    expect(plugsOff(state)).toEqual([]);
  });
  it('a reseat takes nothing out', () => {
    const b = bench(photoPrinter);
    b.planned('A2', 'reseat');
    expect(isPlannedPart(b.state(), { kind: 'part', name: 'A2', count: 1, place: { kind: 'shelf' } })).toBe(
      false,
    );
  });
});

describe('who has to allow it', () => {
  it('is asked before the first cover, and holds it', () => {
    const b = bench({ ...ticketKiosk, hazards: [], powerDown: [] });
    expect(reason(() => b.line('lift door > shelf'))).toMatch(
      /^\/item cash owner has to allow the opening first: /,
    );
    b.line('unlatch lamp lead');
    b.tell({ type: 'party.told', party: 'cash', how: 'by telephone' });
    expect(reason(() => b.line('lift door > shelf'))).toMatch(
      /alarm receiver has to be told before the opening/,
    );
    b.tell({ type: 'party.told', party: 'alarm', how: 'by telephone' });
    b.line('lift door > shelf');
  });
});

describe('entries that are kept are not judged again', () => {
  it('a story that a later rule would refuse is read as it was told', () => {
    const b = bench(map);
    b.planned('A1', 'reseat');
    const told: BenchEvent = {
      id: '01BRZ3NDEKTSV4RRFFQ6900001',
      at: '2026-11-26T12:00:00.000Z',
      by: 'Ines',
      type: 'move.recorded',
      verb: 'lift',
      text: 'lift lid',
      item: { kind: 'part', name: 'lid', count: 1, place: { kind: 'shelf' } },
    };
    expect(reason(() => judge(b.record(), told))).toMatch(/Held by Mains/);
    const { state } = fold([...b.events(), told]);
    expect(state.ledger.covers.map((c) => c.name)).toEqual(['lid']);
  });
  it('taking back and bringing again is the same story, however often', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6 }), (times) => {
        const b = bench(map);
        b.tell({ type: 'note.added', text: 'salt' });
        let last = b.events().at(-1) as JobEvent;
        for (let i = 0; i < times; i++) {
          b.tell({ type: 'undone', event: last.id } as never);
          last = b.events().at(-1) as JobEvent;
        }
        expect(b.state().notes).toHaveLength(times % 2 === 0 ? 1 : 0);
        expect(effective(b.events()).some((e) => e.type === 'note.added')).toBe(times % 2 === 0);
      }),
    );
  });
});

describe('open points', () => {
  it('are none before a remedy, and repeats are counted from the last bad one', () => {
    const b = bench(map);
    b.tell({ type: 'intake.recorded', function: 'works', symptom: 'x', pattern: 'now and then', keep: [] });
    expect(openPoints(b.state())).toEqual([]);
    b.tell({ type: 'plan.chosen', element: 'M1', remedy: 'clean', why: 'dusty' });
    for (const hazard of ['mains', 'capacitor'])
      b.tell({ type: 'gate.cleared', hazard, acted: true, reading: 0, unit: 'V', source: 'meter' });
    b.line('lift lid > shelf');
    b.tell({ type: 'remedy.done' });
    const prove = (outcome: 'ok' | 'bad') =>
      b.tell({ type: 'proof.recorded', check: 'symptom:works', outcome, source: 'eye' });
    const said = () => openPoints(b.state()).find((p) => p.id === 'repeats')?.what;
    expect(said()).toMatch(/^the failing check again: 0 of 5/);
    for (let i = 0; i < 4; i++) prove('ok');
    expect(said()).toMatch(/: 4 of 5/);
    prove('bad');
    expect(said()).toMatch(/: 0 of 5/);
    for (let i = 0; i < 5; i++) prove('ok');
    expect(said()).toBeUndefined();
  });
});
