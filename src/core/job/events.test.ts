import { describe, expect, it } from 'vitest';
import { owed, tally } from '../ledger';
import { Refusal } from '../refusal';
import { reportOf } from '../report';
import { describeUnit } from '../unit';
import {
  type BenchEvent,
  coversNeeded,
  gatesAhead,
  history,
  type JobEvent,
  type JobRecord,
  judge,
  offCount,
  openPoints,
  remedyOptions,
  runOf,
  summarise,
  traceView,
  tryOpen,
} from '.';

const map = describeUnit({
  name: 'Weighing scale',
  maker: 'Murrowby',
  model: 'WS-60',
  does: 'shows the weight',
  cover: 'base plate',
  coverMinutes: 4,
  hazards: ['mains'],
  rows: [
    { id: 'N1', name: 'load cell', kind: 'sensor' },
    { id: 'W1', name: 'cell cable', kind: 'cable' },
    {
      id: 'A1',
      name: 'main board',
      kind: 'board',
      tap: { id: 'TP1', how: 'measure', nominal: 3.3, tolerance: 0.2, unit: 'V', inside: true },
    },
    { id: 'E1', name: 'display', kind: 'lamp', outside: true },
    { id: 'S1', name: 'span setting', kind: 'setting', outside: true },
  ],
});
let n = 0;
const stamp = () => ({
  id: `01BRZ3NDEKTSV4RRFFQ69${String(10000 + n++).slice(-5)}`,
  at: new Date(Date.UTC(2026, 10, 25, 9, 0, n)).toISOString(),
  by: 'Ines',
});
type Told = BenchEvent extends infer E ? (E extends BenchEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;
const tell = (r: JobRecord, ...told: Told[]): JobRecord =>
  told.reduce((x, t) => judge(x, { ...stamp(), ...t } as JobEvent), r);
const start = () =>
  tell(
    judge(null, {
      ...stamp(),
      type: 'job.opened',
      job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
      tag: 'J-7',
      map,
      place: 'quayside',
    }),
    {
      type: 'intake.recorded',
      function: 'works',
      symptom: 'shows nothing',
      pattern: 'always',
      keep: [' tare ', ''],
    },
  );
const reason = (f: () => unknown): string => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};
const plan = (element: string, remedy: string): Told => ({
  type: 'plan.chosen',
  element,
  remedy,
  chance: 0.8,
  why: 'traced',
});
const gate: Told = {
  type: 'gate.cleared',
  hazard: 'mains',
  acted: true,
  reading: 0.1,
  unit: 'V',
  source: 'meter',
};
const lift: Told = {
  type: 'move.recorded',
  verb: 'lift',
  text: 'lift base plate',
  item: { kind: 'part', name: 'base plate', count: 1, place: { kind: 'shelf' } },
};
const opened = (element = 'A1', remedy = 'replace') => tell(start(), plan(element, remedy), gate, lift);
const item = (r: JobRecord, name: string) => r.state.ledger.items.findLast((i) => i.name === name);

describe('take in', () => {
  it('keeps what must not be lost, without blanks', () => {
    expect(start().state.intake?.keep).toEqual(['tare']);
  });
  it('adds the gate of a hazard seen at the door, and not twice', () => {
    const again = (r: JobRecord) =>
      tell(r, {
        type: 'intake.recorded',
        function: 'works',
        symptom: 'x',
        pattern: 'always',
        keep: [],
        addHazards: ['mains', 'sharp', 'sharp'],
      });
    const r = again(again(start()));
    expect(r.state.map.hazards.map((h) => h.kind)).toEqual(['mains', 'sharp']);
    expect(r.state.hazards).toHaveLength(2);
    expect(r.state.map.hazards[1]?.exposedBy).toEqual(['cover']);
  });
  it.each<[string, Told, RegExp]>([
    [
      'no function',
      { type: 'intake.recorded', function: 'zz', symptom: 'x', pattern: 'always', keep: [] },
      /which function fails/,
    ],
    [
      'no symptom',
      { type: 'intake.recorded', function: 'works', symptom: ' ', pattern: 'always', keep: [] },
      /what it does wrong/,
    ],
    [
      'no such variant',
      {
        type: 'intake.recorded',
        function: 'works',
        symptom: 'x',
        pattern: 'always',
        keep: [],
        variant: 'gold',
      },
      /gold is no variant/,
    ],
    ['an empty note', { type: 'note.added', text: ' ' }, /note is empty/],
    ['parking for nothing', { type: 'job.parked', why: '' }, /what it waits for/],
    ['taking up what is not parked', { type: 'job.resumed' }, /not parked/],
  ])('refuses %s', (_n, told, words) => {
    expect(reason(() => tell(start(), told))).toMatch(words);
  });
});

describe('plan', () => {
  it('offers the ladder with minutes of opening, chance, and what was tried', () => {
    const options = remedyOptions(start().state, 'A1', 0.5);
    expect(options.map((o) => [o.remedy.id, o.minutes, o.chance])).toEqual([
      ['reseat', 8, 0.06],
      ['replace', 29, 0.485],
    ]);
    expect(remedyOptions(opened().state, 'A1', 0.5).map((o) => o.minutes)).toEqual([4, 25]);
    expect(remedyOptions(start().state, 'E1', 1).map((o) => o.minutes)).toEqual([2, 4]);
    expect(remedyOptions(start().state, 'none', 1)).toEqual([]);
  });
  it('names the covers and gates on the way', () => {
    const r = tell(start(), plan('A1', 'replace'));
    expect(coversNeeded(r.state)).toEqual(['cover']);
    expect(gatesAhead(r.state).map((h) => h.id)).toEqual(['mains']);
    expect(coversNeeded(tell(start(), plan('E1', 'replace')).state)).toEqual([]);
  });
  it.each<[string, Told, RegExp]>([
    ['an element that is not there', plan('Z9', 'replace'), /Z9 is not on the map/],
    ['a remedy off the ladder', plan('A1', 'pray'), /no remedy “pray”/],
    ['a chance over one', { ...plan('A1', 'replace'), chance: 2 } as Told, /0 to 1/],
    ['a referral to nobody', { type: 'job.referred', to: '', why: 'x' }, /who it goes to/],
    ['a referral for nothing', { type: 'job.referred', to: 'maker', why: '' }, /why it is referred/],
  ])('refuses %s', (_n, told, words) => {
    expect(reason(() => tell(start(), told))).toMatch(words);
  });
  it('cannot be changed while the old part is out, or once a remedy is done', () => {
    const out = tell(opened(), { type: 'part.removed', name: 'old board' });
    expect(reason(() => tell(out, plan('W1', 'replace')))).toMatch(/fit the new one first/);
    const fixed = tell(out, { type: 'part.fitted', name: 'new board' });
    expect(reason(() => tell(fixed, plan('W1', 'replace')))).toMatch(/prove it/);
  });
});

describe('swap', () => {
  it('keeps what goes over to the new part in the tray until it has moved', () => {
    let r = tell(opened(), { type: 'part.removed', name: 'old board', carry: ['heat sink', ' '] });
    expect(item(r, 'heat sink')).toMatchObject({ from: 'old board', by: { off: 1 } });
    r = tell(r, { type: 'part.fitted', name: 'new board', serial: ' 26-114 ' });
    expect(r.state.fix).toMatchObject({ name: 'new board', serial: '26-114' });
    expect(item(r, 'old board')?.writtenOff).toEqual([
      { count: 1, reason: 'replaced', replacement: 'new board' },
    ]);
    expect(reason(() => tell(r, { type: 'cover.closed', cover: 'cover', kind: 'final' }))).toMatch(
      /heat sink still left in the part; new board is in but not proven/,
    );
    r = tell(r, { type: 'item.returned', item: item(r, 'heat sink')?.id ?? '', count: 1, state: 'moved to' });
    expect(owed(item(r, 'heat sink') as never)).toBeNull();
  });
  it('is done without parts where the remedy replaces nothing', () => {
    const r = tell(opened('W1', 'reseat'), { type: 'remedy.done', note: 'latch was half open' });
    expect(r.state.fix).toMatchObject({ name: r.state.plan?.name, seen: 'latch was half open' });
    expect(reason(() => tell(opened('W1', 'reseat'), { type: 'part.removed', name: 'x' }))).toMatch(
      /replaces nothing/,
    );
    expect(reason(() => tell(opened('W1', 'replace'), { type: 'remedy.done' }))).toMatch(
      /what came out and what went in/,
    );
    expect(reason(() => tell(r, { type: 'remedy.done' }))).toMatch(/done already/);
  });
  it('waits for the cover over the part', () => {
    const closed = tell(start(), plan('A1', 'replace'));
    expect(reason(() => tell(closed, { type: 'part.removed', name: 'x' }))).toMatch(/base plate is still on/);
    expect(reason(() => tell(start(), { type: 'part.removed', name: 'x' }))).toMatch(/choose a remedy/);
  });
});

describe('the tray through events', () => {
  it('moves, alters and counts things, and says so in the history', () => {
    let r = opened();
    r = tell(r, {
      type: 'move.recorded',
      verb: 'undo',
      text: 'several x M3x6',
      item: {
        kind: 'fastener',
        name: 'screw',
        thread: 'M3',
        lengthMm: 6,
        count: null,
        place: { kind: 'cup', label: '1' },
      },
    });
    const id = item(r, 'screw')?.id ?? '';
    r = tell(
      r,
      { type: 'item.counted', item: id, count: 5 },
      { type: 'item.stashed', item: id, place: { kind: 'bag', label: 'B' } },
      { type: 'item.altered', item: id, what: 'one cut to 4 mm' },
    );
    expect(item(r, 'screw')).toMatchObject({
      count: 5,
      place: { kind: 'bag', label: 'B' },
      altered: 'one cut to 4 mm',
    });
    expect(offCount(r.state)).toEqual({ pieces: 6, places: 2 });
    expect(
      history(r.events)
        .slice(-3)
        .map((h) => h.text),
    ).toEqual(['Counted: 5 × M3×6', 'M3×6 kept in bag B', 'M3×6 altered: one cut to 4 mm']);
    r = tell(r, { type: 'item.missed', item: id, count: 2 });
    expect(summarise(r.state).missing).toEqual([
      {
        spec: 'M3×6',
        count: 2,
        of: 5,
        place: 'bag B',
        kept: { kind: 'bag', label: 'B' },
        thread: 'M3',
        lengthMm: 6,
      },
    ]);
    expect(reason(() => tell(r, { type: 'item.returned', item: id, count: 4, state: 'tight' }))).toMatch(
      /only 3/,
    );
  });
  it('keeps a change that a check left behind until it is put back', () => {
    let r = opened();
    r = tell(r, {
      type: 'check.recorded',
      check: 'continuity:W1',
      outcome: 'ok',
      source: 'meter',
      leaves: 'W1 parted at A1',
    });
    const change = item(r, 'W1 parted at A1');
    expect(change?.kind).toBe('change');
    r = tell(r, { type: 'item.returned', item: item(r, 'base plate')?.id ?? '', count: 1, state: 'fitted' });
    expect(reason(() => tell(r, { type: 'cover.closed', cover: 'cover', kind: 'final' }))).toMatch(
      /W1 parted at A1/,
    );
    r = tell(
      r,
      { type: 'item.returned', item: change?.id ?? '', count: 1, state: 'fitted' },
      { type: 'cover.closed', cover: 'cover', kind: 'final' },
    );
    expect(r.state.ledger.covers[0]?.state).toBe('final');
  });
  it('opens a closed cover again when it is taken off once more', () => {
    let r = opened();
    const plate = item(r, 'base plate')?.id ?? '';
    r = tell(
      r,
      { type: 'item.returned', item: plate, count: 1, state: 'fitted' },
      { type: 'cover.closed', cover: 'cover', kind: 'final' },
    );
    r = tell(r, { type: 'item.taken', item: plate, count: 1 });
    expect(r.state.ledger.covers[0]?.state).toBe('open');
    r = tell(
      r,
      { type: 'item.returned', item: plate, count: 1, state: 'fitted' },
      { type: 'cover.closed', cover: 'cover', kind: 'final' },
      lift,
    );
    expect(r.state.ledger.items.filter((i) => i.name === 'base plate')).toHaveLength(1);
    expect(tally(item(r, 'base plate') as never)).toMatchObject({ taken: 1, off: 1 });
  });
});

describe('what a test costs', () => {
  it('is less now than later, and rises with what has to be closed and with every plug handled', () => {
    const few = tell(opened(), { type: 'part.removed', name: 'old' }, { type: 'part.fitted', name: 'new' });
    const more = tell(
      opened(),
      {
        type: 'move.recorded',
        verb: 'unplug',
        text: '',
        item: { kind: 'plug', name: 'J1', count: 1, place: { kind: 'left in the part' } },
      },
      { type: 'part.removed', name: 'old' },
      { type: 'part.fitted', name: 'new' },
    );
    const a = tryOpen(few.state);
    const b = tryOpen(more.state);
    expect(a.pFail).toBeCloseTo(0.2, 12);
    expect(b.pFail).toBeGreaterThan(a.pFail);
    expect(b.skipMinutes).toBeGreaterThan(a.skipMinutes);
    expect(a.best).toBeNull();
  });
});

describe('from door to door', () => {
  it('every stop is reached in its turn, and the report holds what was done', () => {
    let r = opened();
    r = tell(r, { type: 'part.removed', name: 'old board' }, { type: 'part.fitted', name: 'new board' });
    r = tell(r, { type: 'item.proven', item: r.state.fix?.newItem ?? '', how: 'pins looked at' });
    r = tell(
      r,
      { type: 'item.returned', item: item(r, 'base plate')?.id ?? '', count: 1, state: 'fitted' },
      { type: 'cover.closed', cover: 'cover', kind: 'final' },
    );
    expect(r.state.stop).toBe('prove');
    r = tell(
      r,
      { type: 'proof.recorded', check: 'symptom:works', outcome: 'ok', source: 'eye' },
      { type: 'note.added', text: 'feet worn' },
    );
    expect(openPoints(r.state).map((p) => p.what)).toEqual(['Still there: tare']);
    r = tell(r, { type: 'proving.ticked', line: 'keep:tare', outcome: 'ok' });
    r = tell(r, {
      type: 'job.handed-over',
      to: 'quayside',
      result: 'works',
      settings: 'tare',
      followUp: 'in spring',
    });
    expect(
      runOf(r.state)
        .filter((s) => s.status !== 'done')
        .map((s) => s.stop),
    ).toEqual([]);
    const report = JSON.stringify(reportOf(r.state, r.events));
    for (const said of [
      'shows nothing',
      'Not to be lost: tare',
      'new board',
      'Restored: tare',
      'feet worn',
      'in spring',
      'Recorded by Ines',
      'before fails; after works',
    ]) {
      expect(report).toContain(said);
    }
    expect(tell(r, { type: 'note.added', text: 'owner rang' }).state.notes).toHaveLength(2);
  });
  it('a unit without any trace entry still ranks what to do', () => {
    const view = traceView(start().state);
    expect(view.suspects).toHaveLength(5);
    expect(view.next.length).toBeGreaterThan(2);
    expect(view.suspects.reduce((a, s) => a + s.p, 0)).toBeCloseTo(1, 9);
  });
});
