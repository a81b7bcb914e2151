import { describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { reportOf } from '../report';
import { ladderFor, type UnitMap } from '../unit';
import {
  beforeAfter,
  fold,
  functionsTried,
  ifAnswered,
  type JobEvent,
  type JobRecord,
  judge,
  lessonOf,
  sharing,
  story,
  summarise,
  traceRequest,
  traceView,
} from '.';

const part = (
  id: string,
  kind: UnitMap['elements'][number]['kind'],
  more = {},
): UnitMap['elements'][number] => ({
  id,
  name: `part ${id}`,
  kind,
  weight: 1,
  remedies: ladderFor(kind, id, 'part'),
  ...more,
});

const siren: UnitMap = {
  name: 'Lifeguard siren',
  maker: 'Hapstock',
  model: 'LS-2',
  elements: [
    part('A1', 'board', { hearsay: { weight: 6, count: 3, source: 'the lifeguards' } }),
    part('W1', 'cable'),
    part('M1', 'motor'),
    part('W2', 'cable', { only: ['twin'] }),
    part('M2', 'motor', { only: ['twin'] }),
  ],
  feeds: [
    { from: 'A1', to: 'W1', carries: 'signal' },
    { from: 'W1', to: 'M1', carries: 'signal' },
    { from: 'A1', to: 'W2', carries: 'signal' },
    { from: 'W2', to: 'M2', carries: 'signal' },
  ],
  taps: [
    {
      id: 'TP1',
      name: 'drive',
      after: 'A1',
      how: 'measure',
      minutes: 1,
      expect: { nominal: 12, tolerance: 1, low: 0, high: 20, unit: 'V' },
    },
  ],
  access: [],
  functions: [
    { id: 'low', name: 'Low tone', output: 'M1' },
    { id: 'high', name: 'High tone', output: 'M2', only: ['twin'] },
  ],
  hazards: [],
  variants: [
    { id: 'twin', name: 'two horns', tell: 'two horns' },
    { id: 'single', name: 'one horn', tell: 'one horn' },
  ],
  channels: [
    { id: 'low', name: 'low horn', elements: ['W1', 'M1'] },
    { id: 'high', name: 'high horn', elements: ['W2', 'M2'] },
  ],
  checks: [
    {
      id: 'beeps',
      name: 'Count the beeps',
      exercises: [],
      minutes: 1,
      answers: [
        { id: 'one', name: 'one beep', points: [] },
        { id: 'two', name: 'two beeps', points: ['W1', 'M1'] },
      ],
    },
  ],
};

let n = 0;
const stamp = () => ({
  id: `01BRZ3NDEKTSV4RRFFQ70${String(10000 + n++).slice(-5)}`,
  at: new Date(Date.UTC(2026, 10, 26, 9, 0, n)).toISOString(),
  by: 'Ines',
});
const tell = (r: JobRecord, ...told: object[]): JobRecord =>
  told.reduce<JobRecord>((x, t) => judge(x, { ...stamp(), ...t } as JobEvent), r);
const opened = (more: object = {}) =>
  judge(null, {
    ...stamp(),
    type: 'job.opened',
    job: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
    tag: 'J-9',
    map: siren,
    ...more,
  } as JobEvent);
const intake = (more: object = {}) => ({
  type: 'intake.recorded',
  function: 'low',
  symptom: 'silent',
  pattern: 'always',
  keep: [],
  ...more,
});
const refusal = (f: () => unknown): Refusal => {
  try {
    f();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  throw new Error('it was taken');
};

describe('a variant', () => {
  it('takes elements, functions and checks with it, and can be changed until something hangs on it', () => {
    const twin = tell(opened(), intake({ variant: 'twin' }));
    expect(twin.state.map.elements).toHaveLength(5);
    const single = tell(twin, intake({ variant: 'single' }));
    expect(single.state.map.elements.map((e) => e.id)).toEqual(['A1', 'W1', 'M1']);
    expect(single.state.whole.elements).toHaveLength(5);
    expect(traceRequest(single.state).elements).toHaveLength(3);
    expect(refusal(() => tell(opened(), intake({ variant: 'single', function: 'high' }))).path).toBe(
      '/function',
    );
    const checked = tell(twin, { type: 'check.recorded', check: 'flex:W2', outcome: 'ok', source: 'eye' });
    const r = refusal(() => tell(checked, intake({ variant: 'single' })));
    expect(r.path).toBe('/variant');
    expect(r.message).toContain('Undo it first');
  });
});

describe('repair or refer', () => {
  const figures = {
    type: 'referral.weighed',
    minutes: 60,
    currency: 'EUR',
    ratePerHour: 6000,
    parts: 0,
    competence: 'own work',
    warranty: false,
    makerPrice: 3000,
  };
  it('against the figures takes a reason, which stays through a second taking in and in the report', () => {
    const job = tell(opened(), intake());
    expect(refusal(() => tell(job, { ...figures, choice: 'repair' })).path).toBe('/reason');
    const weighed = tell(
      job,
      { ...figures, choice: 'repair', reason: 'the season begins' },
      intake({ symptom: 'hoarse' }),
    );
    expect(weighed.state.intake?.weighed).toMatchObject({
      advice: 'refer',
      choice: 'repair',
      reason: 'the season begins',
    });
    const [taken] = reportOf(weighed.state, weighed.events);
    expect(JSON.stringify(taken)).toContain('Against the figures: the season begins');
    const followed = tell(job, { ...figures, choice: 'refer', reason: 'no time either' });
    const lines = JSON.stringify(reportOf(followed.state, followed.events));
    expect(lines).toContain('Because: no time either');
    expect(lines).not.toContain('Against the figures');
    expect(refusal(() => tell(opened(), { ...figures, choice: 'refer' })).message).toContain(
      'take the unit in first',
    );
  });
});

describe('checks of many kinds', () => {
  const job = tell(opened(), intake({ variant: 'twin' }));
  it('a code points where it says, and “all well” points away', () => {
    const p = (r: JobRecord, id: string) => traceView(r.state).suspects.find((s) => s.id === id)?.p ?? 0;
    const two = tell(job, { type: 'check.recorded', check: 'own:beeps', outcome: 'two', source: 'eye' });
    const one = tell(job, { type: 'check.recorded', check: 'own:beeps', outcome: 'one', source: 'eye' });
    expect(p(two, 'M1')).toBeGreaterThan(p(job, 'M1'));
    expect(p(two, 'A1')).toBeLessThan(p(job, 'A1'));
    expect(p(two, 'M1')).toBeGreaterThan(p(one, 'M1'));
    expect(
      refusal(() =>
        tell(job, { type: 'check.recorded', check: 'own:beeps', outcome: 'three', source: 'eye' }),
      ).message,
    ).toContain('one beep or two beeps');
  });
  it('a reading may be the mean of several, and only of those', () => {
    const told = { type: 'check.recorded', check: 'tap:TP1', source: 'meter' };
    const mean = tell(job, { ...told, reading: 12, takes: [11.9, 12.1] });
    expect(mean.state.trace[0]).toMatchObject({ reading: 12, takes: [11.9, 12.1] });
    expect(refusal(() => tell(job, { ...told, reading: 12, takes: [11, 12.1] })).path).toBe('/reading');
  });
  it('an exchanged lead lies in the tray until it is put back', () => {
    const changed = tell(job, {
      type: 'check.recorded',
      check: 'exchange:M1:W2',
      outcome: 'ok',
      source: 'eye',
      leaves: 'M1 fed from W2',
    });
    expect(changed.state.ledger.items.map((i) => [i.kind, i.name])).toEqual([['change', 'M1 fed from W2']]);
    expect(changed.state.power).toBe('on');
  });
  it('a check of one’s own joins the map, or is refused where it is wrong', () => {
    const check = { id: 'knock', name: 'Knock on it', exercises: ['M1'], minutes: 1 };
    const more = tell(job, { type: 'check.described', check });
    expect(traceView(more.state).checks.some((c) => c.id === 'own:knock')).toBe(true);
    const bad = (c: object) =>
      refusal(() => tell(job, { type: 'check.described', check: { ...check, ...c } })).path;
    expect(bad({ exercises: ['M9'] })).toBe('/check/exercises/0');
    expect(bad({ exercises: [] })).toBe('/check/exercises');
    expect(bad({ minutes: 0 })).toBe('/check/minutes');
  });
  it('what each answer would clear is said before it is given', () => {
    const tap = traceView(job.state).checks.find((c) => c.id === 'tap:TP1');
    if (!tap) throw new Error('no such check');
    const [ok, bad] = ifAnswered(job.state, tap);
    expect(ok?.words).toBe('in range');
    expect(ok?.left.at(-1)?.id).toBe('A1');
    expect(bad?.left[0]?.id).toBe('A1');
    expect(bad?.cleared).toEqual(expect.arrayContaining(['W1', 'M1']));
    expect(sharing([0.5, 0.3, 0.15, 0.05])).toBe(3);
    expect(sharing(Array(1000).fill(0.001))).toBe(900);
  });
  it('hearsay and what closed jobs taught stand in for the weight of the map', () => {
    const weight = (r: JobRecord, id: string) =>
      traceRequest(r.state).elements.find((e) => e.id === id)?.weight;
    expect(weight(job, 'A1')).toBe(6);
    expect(weight(job, 'W1')).toBe(1);
    const learned = { jobs: 4, weights: [{ element: 'W1', weight: 2.5, faults: 3 }] };
    expect(weight(tell(opened({ learned }), intake()), 'W1')).toBe(2.5);
  });
});

describe('the story of a job', () => {
  it('keeps what was taken back, and what was brought back again', () => {
    let r = tell(opened(), intake(), { type: 'note.added', text: 'salt inside' });
    const note = r.events.at(-1)?.id;
    r = tell(r, { type: 'undone', event: note });
    const undo = r.events.at(-1)?.id;
    expect(story(r.events).map((l) => [l.text, l.undone])).toEqual([
      ['Opened as J-9', false],
      ['Taken in: “silent”, always', false],
      ['Note: salt inside', true],
      ['Undone: Note: salt inside', false],
    ]);
    r = tell(r, { type: 'undone', event: undo });
    expect(story(r.events).at(-1)?.text).toBe('Brought back: Note: salt inside');
    expect(story(r.events)[2]?.undone).toBe(false);
    expect(story(r.events).filter((l) => l.canUndo)).toHaveLength(2);
  });
  it('says what is dated before an entry that was there already, and by how much', () => {
    const r = tell(opened(), ...Array.from({ length: 5 }, (_, i) => ({ type: 'note.added', text: `${i}` })));
    const from = Date.parse('2026-11-26T10:00:00Z');
    const dated = (minutes: number[]) =>
      story(
        r.events.map((e, i) => ({ ...e, at: new Date(from + (minutes[i] ?? 0) * 60_000).toISOString() })),
      ).map((l) => l.minutesBehind ?? null);
    expect(dated([0, 10, 5, 4.99, 11, 6])).toEqual([null, null, null, 5, null, null]);
    expect(dated([0, 130, 1, 2, 140, 20])).toEqual([null, null, 129, 128, null, 120]);
  });
  it('holds pictures and where screws sit', () => {
    const file = 'a'.repeat(64);
    let r = tell(opened(), intake(), {
      type: 'photo.added',
      file,
      caption: ' label ',
      width: 10,
      height: 10,
    });
    expect(r.state.photos[0]).toMatchObject({ file, caption: 'label', stop: 'trace' });
    r = tell(r, {
      type: 'move.recorded',
      verb: 'undo',
      text: '4 x M3x8 lid',
      item: {
        kind: 'fastener',
        name: 'screw',
        thread: 'M3',
        lengthMm: 8,
        count: 4,
        place: { kind: 'cup', label: '1' },
      },
    });
    const item = r.state.ledger.items[0]?.id;
    const square = [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ];
    const placed = tell(r, { type: 'holes.placed', item, points: square, lid: 'metal' });
    expect(placed.state.holes[item ?? '']?.points).toHaveLength(4);
    const at = (points: object[]) =>
      refusal(() => tell(r, { type: 'holes.placed', item, points, lid: 'metal' })).message;
    expect(at(square.slice(1))).toContain('4 of them and 3 holes');
    expect(at([...square.slice(1), { x: 1, y: 1 }])).toContain('is where');
    expect(fold(placed.events).state).toEqual(placed.state);
  });
});

describe('a lesson', () => {
  const mended = tell(
    opened(),
    intake({ variant: 'twin' }),
    { type: 'check.recorded', check: 'reseat:W1', outcome: 'bad', source: 'eye' },
    { type: 'plan.chosen', element: 'W1', remedy: 'reseat', why: 'it went with it' },
    { type: 'remedy.done' },
    { type: 'proof.recorded', check: 'symptom:low', outcome: 'ok', source: 'eye' },
  );
  it('is taught by a job that is proven and handed over, and by no other', () => {
    expect(lessonOf(mended.state)).toBeNull();
    const given = tell(mended, { type: 'job.handed-over', to: 'lifeguards', result: 'works' });
    expect(lessonOf(given.state)).toMatchObject({ element: 'W1', kind: 'cable', model: 'Hapstock LS-2' });
    const { shares } = lessonOf(given.state) ?? { shares: {} };
    expect(Object.values(shares).reduce<number>((a, b) => a + Number(b), 0)).toBeCloseTo(1, 12);
    expect(summarise(given.state).lesson?.element).toBe('W1');
  });
  it('what was reseated is not made again as a proof; every function can be tried', () => {
    expect(beforeAfter(mended.state).map((p) => p.check.id)).toEqual(['symptom:low']);
    expect(functionsTried(mended.state).map((f) => [f.name, f.last?.outcome ?? null])).toEqual([
      ['Low tone', 'ok'],
      ['High tone', null],
    ]);
    expect(JSON.stringify(reportOf(mended.state, mended.events))).toContain('Everything it should do');
  });
});
