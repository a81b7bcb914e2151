import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { reportOf } from '../report';
import { describeUnit } from '../unit';
import {
  type BenchEvent,
  effective,
  fold,
  handOverHeldBy,
  history,
  type JobEvent,
  type JobRecord,
  judge,
  ledgerOf,
  redoTarget,
  runOf,
  summarise,
  traceRequest,
  traceView,
  undoTarget,
} from '.';

const map = describeUnit({
  name: 'Tide bell',
  maker: 'Murrowby',
  model: 'TB-1',
  does: 'rings at high water',
  cover: 'cover',
  coverMinutes: 3,
  hazards: ['mains', 'capacitor'],
  rows: [
    { id: 'N1', name: 'float sensor', kind: 'sensor', outside: true },
    {
      id: 'W1',
      name: 'cable',
      kind: 'cable',
      tap: { id: 'TP1', how: 'measure', nominal: 5, tolerance: 0.25, unit: 'V' },
    },
    { id: 'A1', name: 'board', kind: 'board' },
    { id: 'M1', name: 'striker', kind: 'motor', outside: true },
  ],
});
let n = 0;
const stamp = () => ({
  id: `01ARZ3NDEKTSV4RRFFQ69${String(10000 + n++).slice(-5)}`,
  at: new Date(Date.UTC(2026, 10, 25, 8, 0, n)).toISOString(),
  by: 'Ines',
});
type Told = BenchEvent extends infer E ? (E extends BenchEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;
const opened = (): JobRecord =>
  judge(null, { ...stamp(), type: 'job.opened', job: '01ARZ3NDEKTSV4RRFFQ69G5FAV', tag: 'J-1', map });
const tell = (r: JobRecord, ...told: Told[]): JobRecord =>
  told.reduce((x, t) => judge(x, { ...stamp(), ...t } as JobEvent), r);
const undo = (r: JobRecord): JobRecord =>
  judge(r, { ...stamp(), type: 'undone', event: undoTarget(r.events)?.id ?? '' });
const refusal = (f: () => unknown): Refusal | null => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  return null;
};

const intake: Told = {
  type: 'intake.recorded',
  function: 'works',
  symptom: 'silent',
  pattern: 'always',
  keep: ['tide table'],
};
const gate = (hazard: string, reading: number): Told => ({
  type: 'gate.cleared',
  hazard,
  acted: true,
  reading,
  unit: 'V',
  source: 'meter',
});
const lift: Told = {
  type: 'move.recorded',
  verb: 'lift',
  text: 'lift cover',
  item: { kind: 'part', name: 'cover', count: 1, place: { kind: 'shelf' } },
};
const unplug: Told = {
  type: 'move.recorded',
  verb: 'unplug',
  text: 'unplug J7',
  item: { kind: 'plug', name: 'J7', count: 1, place: { kind: 'left in the part' } },
};
const plan: Told = { type: 'plan.chosen', element: 'W1', remedy: 'replace', why: 'traced' };
const made = (r: JobRecord) => tell(r, intake, plan, gate('mains', 0), gate('capacitor', 2), lift, unplug);
const itemNamed = (r: JobRecord, name: string) =>
  r.state.ledger.items.findLast((i) => i.name === name)?.id ?? '';
const mended = (r: JobRecord) =>
  tell(made(r), { type: 'part.removed', name: 'old cable' }, { type: 'part.fitted', name: 'new cable' });

describe('a job', () => {
  it('is the fold of its events, wherever it is folded', () => {
    const r = mended(opened());
    expect(fold(r.events).state).toEqual(r.state);
    expect(fold(JSON.parse(JSON.stringify(r.events)) as JobEvent[]).state).toEqual(r.state);
  });

  it('is never changed by judging', () => {
    const freeze = <T>(x: T): T => {
      if (x && typeof x === 'object') Object.values(Object.freeze(x)).forEach(freeze);
      return x;
    };
    const r = freeze(made(opened()));
    expect(() => tell(r, { type: 'part.removed', name: 'old cable' })).not.toThrow();
  });

  it('goes back one step at a time, and forth again to the same state', () => {
    const steps = [intake, plan, gate('mains', 0), gate('capacitor', 2), lift, unplug];
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }), (go, back) => {
        const states: string[] = [JSON.stringify(opened().state)];
        let r = opened();
        states[0] = JSON.stringify(r.state);
        for (const s of steps.slice(0, go)) {
          r = tell(r, s);
          states.push(JSON.stringify(r.state));
        }
        const many = Math.min(back, go);
        for (let k = 1; k <= many; k++) {
          r = undo(r);
          expect(JSON.stringify(r.state)).toBe(states[go - k]);
        }
        for (let k = many - 1; k >= 0; k--) {
          r = judge(r, { ...stamp(), type: 'undone', event: redoTarget(r.events) ?? '' });
          expect(JSON.stringify(r.state)).toBe(states[go - k]);
        }
        expect(redoTarget(r.events)).toBeNull();
        expect(fold(r.events).state).toEqual(r.state);
      }),
    );
  });

  it('will not undo what a later entry stands on', () => {
    const r = made(opened());
    const moved = r.events.find((e) => e.type === 'intake.recorded');
    expect(refusal(() => judge(r, { ...stamp(), type: 'undone', event: moved?.id ?? '' }))?.message).toMatch(
      /a later one needs it/,
    );
  });

  it('keeps a history in words', () => {
    expect(
      history(mended(opened()).events)
        .map((h) => h.text)
        .slice(0, 4),
    ).toEqual([
      'Opened as J-1',
      'Taken in: “silent”, always',
      'Plan: Replace W1 cable',
      'Gate up: Mains, read 0\u00a0V',
    ]);
  });
});

describe('impossible events are refused with the reason and change nothing', () => {
  const cases: [string, (r: JobRecord) => JobRecord, Told, RegExp][] = [
    [
      'fit what is not off',
      (r) => tell(r, intake),
      { type: 'item.returned', item: 'x', count: 1, state: 'tight' },
      /no such thing/,
    ],
    [
      'close with a plug out',
      made,
      { type: 'cover.closed', cover: 'cover', kind: 'final' },
      /cover stays open: cover still on the shelf; J7 still left in the part/,
    ],
    [
      'clear a gate without its reading',
      (r) => tell(r, intake),
      { type: 'gate.cleared', hazard: 'mains', acted: true, source: 'meter' },
      /cleared by a reading at the mains inlet/,
    ],
    [
      'clear a gate by eye',
      (r) => tell(r, intake),
      { type: 'gate.cleared', hazard: 'mains', acted: true, reading: 0, unit: 'V', source: 'eye' },
      /proves nothing/,
    ],
    [
      'clear a gate with volts on it',
      (r) => tell(r, intake),
      gate('mains', 230),
      /230 V at the mains inlet is over 5 V/,
    ],
    [
      'clear a gate without its act',
      (r) => tell(r, intake),
      { type: 'gate.cleared', hazard: 'mains', acted: false, reading: 0, unit: 'V', source: 'meter' },
      /First the act/,
    ],
    [
      'clear a gate in the wrong unit',
      (r) => tell(r, intake),
      { type: 'gate.cleared', hazard: 'mains', acted: true, reading: 0, unit: '°C', source: 'meter' },
      /read in V/,
    ],
    ['lift a cover over live mains', (r) => tell(r, intake, plan), lift, /Held by Mains/],
    [
      'pass a gate without a reason',
      (r) => tell(r, intake),
      { type: 'gate.passed', hazard: 'mains', reason: 'ok' },
      /in a few words/,
    ],
    [
      'check before taking in',
      (r) => r,
      { type: 'check.recorded', check: 'flex:W1', outcome: 'ok', source: 'eye' },
      /take the unit in first/,
    ],
    [
      'read through a closed cover',
      (r) => tell(r, intake),
      { type: 'check.recorded', check: 'continuity:W1', outcome: 'ok', source: 'meter' },
      /cover is still on/,
    ],
    [
      'answer a measured check in words',
      (r) => tell(r, intake),
      { type: 'check.recorded', check: 'tap:TP1', outcome: 'ok', source: 'eye' },
      /type the reading/,
    ],
    [
      'fit a part that never came out',
      made,
      { type: 'part.fitted', name: 'new' },
      /take the old part out first/,
    ],
    [
      'prove before mending',
      made,
      { type: 'proof.recorded', check: 'symptom:works', outcome: 'ok', source: 'eye' },
      /nothing has been mended/,
    ],
    [
      'hand over an open unit',
      mended,
      { type: 'job.handed-over', to: 'pier', result: 'works' },
      /cover is not closed/,
    ],
  ];
  it.each(cases)('%s', (_n, before, event, words) => {
    const r = before(opened());
    const kept = JSON.stringify(r);
    expect(refusal(() => tell(r, event))?.message).toMatch(words);
    expect(JSON.stringify(r)).toBe(kept);
  });
});

describe('live, and live again', () => {
  const status = (r: JobRecord) => r.state.hazards.map((h) => h.status);

  it('power on ends earlier proofs, and hands are held until the gates are up again', () => {
    let r = mended(opened());
    expect(status(r)).toEqual(['made safe', 'made safe']);
    r = tell(r, { type: 'item.proven', item: r.state.fix?.newItem ?? '', how: 'both ends' });
    expect(
      refusal(() => tell(r, { type: 'proof.recorded', check: 'symptom:works', outcome: 'ok', source: 'eye' }))
        ?.message,
    ).toBe('J7 is still out: what is seen now proves nothing');
    r = tell(r, { type: 'power.set', power: 'on' });
    expect(status(r)).toEqual(['live', 'live']);
    expect(r.state.hazards[0]?.armed?.by).toBe('power');
    expect(
      refusal(() => tell(r, { type: 'item.returned', item: itemNamed(r, 'J7'), count: 1, state: 'plugged' }))
        ?.message,
    ).toMatch(/Held by Mains/);
    expect(refusal(() => tell(r, gate('capacitor', 1)))?.message).toMatch(/power is on/);
    r = tell(r, gate('mains', 0), gate('capacitor', 1), {
      type: 'item.returned',
      item: itemNamed(r, 'J7'),
      count: 1,
      state: 'plugged',
    });
    expect(r.state.power).toBe('off');
  });

  it('a cell pack is live from the start, is cleared inside, and its plug makes it live again', () => {
    const pack = {
      ...map,
      hazards: [
        {
          id: 'B1',
          kind: 'cell pack' as const,
          name: 'B1',
          detail: '7 V',
          exposedBy: ['cover'],
          armedBy: ['W6'],
          clear: {
            act: 'Unplug W6',
            inside: true,
            unplugs: 'W6',
            reading: { at: 'W6 header', unit: 'V', max: 0.5 },
            caution: 'Local codes first',
          },
        },
      ],
    };
    let r = judge(null, {
      ...stamp(),
      type: 'job.opened',
      job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
      tag: 'J-1',
      map: pack,
    });
    expect(status(r)).toEqual(['live']);
    r = tell(r, intake, lift);
    expect(refusal(() => tell(r, unplug))?.message).toMatch(/^W6 first/);
    r = tell(r, { type: 'gate.cleared', hazard: 'B1', acted: true, reading: 0, unit: 'V', source: 'meter' });
    const w6 = r.state.ledger.items.find((i) => i.name === 'W6');
    expect(w6?.by).toEqual({ off: 1 });
    r = tell(r, unplug);
    const w6in = { type: 'item.returned', item: w6?.id ?? '', count: 1, state: 'plugged' } as const;
    expect(refusal(() => tell(r, w6in))?.message).toMatch(/^J7 first: B1 goes in after/);
    const j7 = r.state.ledger.items.find((i) => i.name === 'J7')?.id ?? '';
    r = tell(r, { type: 'item.returned', item: j7, count: 1, state: 'plugged' }, w6in);
    expect(status(r)).toEqual(['live']);
  });

  it('a gate passed against advice lets through, stays live, and stays in the report', () => {
    const r = tell(
      opened(),
      intake,
      plan,
      { type: 'gate.passed', hazard: 'mains', reason: 'sealed supply, nothing bare' },
      { type: 'gate.passed', hazard: 'capacitor', reason: 'sealed supply, nothing bare' },
      lift,
    );
    expect(status(r)).toEqual(['unknown', 'unknown']);
    expect(JSON.stringify(reportOf(r.state, r.events))).toContain('sealed supply, nothing bare');
  });
});

describe('the whole way', () => {
  const through = () => {
    let r = mended(opened());
    const fresh = r.state.fix?.newItem ?? '';
    r = tell(
      r,
      { type: 'item.proven', item: fresh, how: 'both ends' },
      { type: 'item.returned', item: itemNamed(r, 'J7'), count: 1, state: 'plugged' },
      { type: 'item.proven', item: itemNamed(r, 'J7'), how: 'tug' },
    );
    r = tell(
      r,
      { type: 'item.returned', item: itemNamed(r, 'cover'), count: 1, state: 'fitted' },
      { type: 'cover.closed', cover: 'cover', kind: 'final' },
    );
    return r;
  };

  it('is held at Hand over until it is proven, then done', () => {
    let r = through();
    expect(handOverHeldBy(r.state, 'works')).toEqual([
      'the failing check has not been repeated with a good result',
    ]);
    r = tell(r, { type: 'proof.recorded', check: 'symptom:works', outcome: 'bad', source: 'eye' });
    expect(refusal(() => tell(r, { type: 'job.handed-over', to: 'pier', result: 'works' }))).not.toBeNull();
    r = tell(r, { type: 'proof.recorded', check: 'symptom:works', outcome: 'ok', source: 'eye' });
    expect(refusal(() => tell(r, { type: 'job.handed-over', to: 'pier', result: 'works' }))?.message).toBe(
      'Open: Still there: tide table',
    );
    r = tell(
      r,
      { type: 'point.passed', point: 'shown: keep:tide table', reason: 'the owner looks himself' },
      { type: 'job.handed-over', to: 'pier', result: 'works' },
    );
    expect(
      runOf(r.state)
        .filter((s) => s.status === 'done')
        .map((s) => s.stop),
    ).toContain('hand over');
    expect(summarise(r.state)).toMatchObject({ handedOver: true, off: 0 });
    expect(refusal(() => tell(r, lift))?.message).toMatch(/handed over/);
  });

  it('goes back to Trace with what was tried when the symptom stays', () => {
    let r = through();
    const before = traceView(r.state).suspects.find((s) => s.id === 'W1')?.p ?? 0;
    r = tell(
      r,
      { type: 'proof.recorded', check: 'symptom:works', outcome: 'bad', source: 'eye' },
      { type: 'remedy.tried' },
    );
    expect(r.state.stop).toBe('trace');
    expect(traceRequest(r.state).log?.at(-1)).toEqual({ tried: 'replace', element: 'W1' });
    expect(traceView(r.state).suspects.find((s) => s.id === 'W1')?.p).toBeLessThan(before / 5);
  });

  it('counts the proof that was recorded after the remedy, even by a bench whose clock is behind', () => {
    const r = through();
    const late = {
      ...stamp(),
      at: '2020-01-01T00:00:00.000Z',
      type: 'proof.recorded',
      check: 'symptom:works',
      outcome: 'ok',
      source: 'eye',
    } as JobEvent;
    expect(handOverHeldBy(judge(r, late).state, 'works')).toEqual([]);
    const ahead = { ...late, id: stamp().id, at: '2040-01-01T00:00:00.000Z' } as JobEvent;
    const failed = tell(
      judge(r, ahead),
      { type: 'remedy.tried' },
      plan,
      gate('mains', 0),
      gate('capacitor', 0),
      lift,
      { type: 'part.removed', name: 'second cable' },
    );
    const again = tell(failed, { type: 'part.fitted', name: 'third cable' });
    expect(handOverHeldBy(again.state, 'works').at(-1)).toMatch(/has not been repeated/);
  });

  it('rests parked at any stop and wakes with the next entry', () => {
    let r = tell(
      made(opened()),
      { type: 'job.parked', why: 'cable', until: 'Thursday' },
      { type: 'note.added', text: 'ordered' },
    );
    expect(summarise(r.state).next).toEqual({ head: 'cable', detail: 'Thursday', kind: 'waiting' });
    const tray = r.state.ledger;
    r = tell(r, { type: 'part.removed', name: 'old cable' });
    expect(r.state.parked).toBeNull();
    expect(r.state.ledger.items.slice(0, tray.items.length)).toEqual(tray.items);
  });

  it('jumps from Take in to Plan with what the unit says, or to Hand over when referred', () => {
    const said = tell(
      opened(),
      { ...intake, unitSays: 'cable fault' } as Told,
      { ...plan, saidByUnit: true } as Told,
    );
    expect(said.state).toMatchObject({ stop: 'make safe', plan: { saidByUnit: true } });
    const away = tell(
      opened(),
      intake,
      { type: 'job.referred', to: 'maker', why: 'warranty' },
      { type: 'job.handed-over', to: 'carrier', result: 'referred' },
    );
    expect(away.state.handedOver?.result).toBe('referred');
  });
});

describe('more than one thing wrong', () => {
  const fork = {
    ...map,
    functions: [...map.functions, { id: 'level', name: 'level shows', output: 'W1' }],
  };
  const start = (alsoFails: string[]) =>
    tell(
      judge(null, {
        ...stamp(),
        type: 'job.opened',
        job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        tag: 'J-1',
        map: fork,
      }),
      { ...intake, alsoFails } as Told,
    );
  const of = (r: JobRecord, id: string) => traceView(r.state).suspects.find((s) => s.id === id)?.p ?? 0;

  it('looks for what two symptoms share', () => {
    const shared = start(['level']);
    expect(of(shared, 'N1') + of(shared, 'W1')).toBeGreaterThan(0.95);
    expect(of(shared, 'M1')).toBeLessThan(of(start([]), 'M1') / 5);
    expect(refusal(() => start(['works']))?.path).toBe('/alsoFails/0');
  });

  it('looks at two faults at once when no single one fits', () => {
    let r = start([]);
    expect(traceView(r.state).together).toBeUndefined();
    // The striker fails though everything before it is good, and the sensor side fails as well.
    r = tell(r, gate('mains', 0), gate('capacitor', 1), lift);
    const flex: Told = { type: 'check.recorded', check: 'continuity:W1', outcome: 'bad', source: 'meter' };
    const works: Told = { type: 'check.recorded', check: 'symptom:level', outcome: 'ok', source: 'eye' };
    r = tell(r, flex, flex, works, works);
    const view = traceView(r.state);
    expect(traceRequest(r.state).options?.maxFaults).toBe(2);
    expect(view.together?.ids.length).toBe(2);
    expect(view.suspects.reduce((a, s) => a + s.p, 0)).toBeGreaterThan(1);
  });
});

describe('the ledger on its own', () => {
  it('answers items and what a final close would refuse, and names the event that breaks a rule', () => {
    const events = [
      { ...stamp(), ...lift },
      { ...stamp(), ...unplug },
    ] as JobEvent[];
    expect(ledgerOf(events).covers).toEqual([
      {
        cover: 'cover',
        state: 'open',
        finalCloseRefuses: ['cover still on the shelf', 'J7 still left in the part'],
      },
    ]);
    expect(refusal(() => ledgerOf([...events, { ...stamp(), ...unplug } as JobEvent]))?.path).toBe(
      '/events/2/item/name',
    );
    expect(effective(events)).toHaveLength(2);
  });
});
