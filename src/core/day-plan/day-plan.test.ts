import { describe, expect, it } from 'vitest';
import { bench } from '../job/bench.test.fixture';
import { Refusal } from '../refusal';
import { normal, stream } from '../simulate';
import type { Movement, StockItem } from '../stock';
import { type Description, describeUnit } from '../unit';
import {
  cameBack,
  clockAt,
  clockIn,
  type DayHouse,
  type DayOffer,
  type DayPlan,
  dayRequest,
  demandPlan,
  learnedTravel,
  meanwhile,
  minutesAt,
  minutesIn,
  minutesTo,
  momentAt,
  partsNeeded,
  placesApart,
  sumOf,
  tasksLeft,
  USUAL_MINUTES,
  vanList,
  vanOfDay,
  whyLeft,
  workOut,
} from '.';

const A = '01M2JS9ZC08V33PPE0SBJHWRA6';
const B = '01M2JS9ZC08V33PPE0SBJHWRB6';
const plan = (more: Partial<DayPlan> = {}): DayPlan => ({
  day: '2026-11-27',
  person: 'Ines',
  zone: 'UTC',
  start: { place: 'workshop', at: '08:00' },
  end: { at: '12:00' },
  jobs: [],
  order: [],
  busy: [],
  van: { ticked: [], back: [] },
  ...more,
});
const offer = (job: string, more: Partial<DayOffer> = {}): DayOffer => ({
  job,
  tag: `T-${job.slice(-2)}`,
  unit: 'bell',
  place: 'pier head',
  stop: 'trace',
  next: { head: 'Go on', detail: '', kind: 'go' },
  tasks: [{ id: 'work', words: 'trace to close up', handsOn: 40, handsOff: 0, sigma: 0.3 }],
  known: 0,
  ...more,
});
const house: DayHouse = { travel: [{ from: 'workshop', to: 'pier head', minutes: 10 }] };
const BELL: Description = {
  name: 'quay bell',
  maker: 'Murrowby',
  model: 'Q',
  does: 'it rings',
  cover: '',
  coverMinutes: 1,
  hazards: [],
  rows: [{ id: 'K1', name: 'coil', kind: 'motor' }],
};
const refused = (ask: () => unknown): Refusal => {
  try {
    ask();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  throw new Error('it was taken');
};

describe('the clock', () => {
  // Dates of the change: tz database, Europe/Lisbon 2026, 29 March and 25 October at 01:00 UTC.
  it('counts what goes by in a night in which it is put back, and in one in which it is put on', () => {
    expect(minutesAt('2026-10-25', '08:00', 'Europe/Lisbon', '/at')).toBe(9 * 60);
    expect(minutesAt('2026-03-29', '08:00', 'Europe/Lisbon', '/at')).toBe(7 * 60);
    expect(minutesAt('2026-11-27', '08:30', 'Europe/Lisbon', '/at')).toBe(510);
    expect(minutesAt('2026-10-25', '00:00', 'Europe/Lisbon', '/at', 1)).toBe(25 * 60);
  });
  it('shows the same hour twice in the long night, and is its own way back elsewhere', () => {
    expect(clockAt('2026-10-25', 90, 'Europe/Lisbon')).toBe('01:30');
    expect(clockAt('2026-10-25', 150, 'Europe/Lisbon')).toBe('01:30');
    for (const zone of ['UTC', 'Asia/Kathmandu', 'America/St_Johns'])
      for (const clock of ['00:00', '07:45', '23:59'])
        expect(clockAt('2026-06-01', minutesAt('2026-06-01', clock, zone, '/at'), zone)).toBe(clock);
    expect(momentAt('2026-11-27', 510, 'Asia/Kathmandu').toISOString()).toBe('2026-11-27T02:45:00.000Z');
    expect(minutesTo('2026-11-27', '2026-11-27T02:45:00Z', 'Asia/Kathmandu')).toBe(510);
  });
  it('goes on over midnight where a day ends earlier on the clock than it begins', () => {
    const night = plan({ start: { place: 'w', at: '22:00' }, end: { at: '06:00' } });
    expect(minutesIn(night, '23:00', '/x')).toBe(23 * 60);
    expect(minutesIn(night, '05:00', '/x')).toBe(29 * 60);
    expect(dayRequest(night, [], { travel: [] }).end.at).toBe(30 * 60);
    expect(clockIn(night, 29 * 60)).toBe('05:00');
    // The night of the long hour: nine hours at work from 22 to 6.
    const long = { ...night, day: '2026-10-24', zone: 'Europe/Lisbon' };
    const q = dayRequest(long, [], { travel: [] });
    expect(q.end.at - q.start.at).toBe(9 * 60);
  });
  it.each([
    ['8:00', 'UTC', '/at', 'no time of the clock'],
    ['24:00', 'UTC', '/at', 'no time of the clock'],
    ['', 'UTC', '/at', 'write it as 08:30'],
    ['08:00', 'Moon/Base', '/zone', 'no zone'],
  ])('%s in %s is refused', (clock, zone, path, words) => {
    const error = refused(() => minutesAt('2026-11-27', clock, zone, '/at'));
    expect(error.path).toBe(path);
    expect(error.message).toContain(words);
  });
  it('a day that is none is refused', () => {
    expect(refused(() => minutesAt('2026-02-30', '08:00', 'UTC', '/at')).path).toBe('/day');
  });
});

describe('how long a job takes yet', () => {
  it('a sum of lognormals has the mean and the deviation that draws have', () => {
    const parts = [
      { median: 10, sigma: 0.4 },
      { median: 25, sigma: 0.3 },
      { median: 5, sigma: 0.6 },
    ];
    const next = stream(3, 'sum');
    const n = 40_000;
    let sum = 0;
    let square = 0;
    for (let i = 0; i < n; i++) {
      const x = parts.reduce((s, p) => s + p.median * Math.exp(p.sigma * normal(next, 0, 1)), 0);
      sum += x;
      square += x * x;
    }
    const mean = sum / n;
    const deviation = Math.sqrt(square / n - mean ** 2);
    const { median, sigma } = sumOf(parts);
    expect(median * Math.exp(sigma ** 2 / 2)).toBeCloseTo(mean, 0);
    expect(median * Math.exp(sigma ** 2 / 2) * Math.sqrt(Math.expm1(sigma ** 2))).toBeCloseTo(deviation, 0);
    expect(sumOf([])).toEqual({ median: 0, sigma: 0 });
    expect(sumOf([{ median: 7, sigma: 0 }]).median).toBeCloseTo(7, 9);
  });
  const map = describeUnit(BELL);
  const now = '2026-11-26T09:30:00.000Z';
  it('by default at every stop that is left, with the share that is planned for', () => {
    const b = bench(map);
    const { tasks, known } = tasksLeft(b.state(), {}, now);
    expect(tasks.map((t) => [t.id, t.after])).toEqual([
      ['work', undefined],
      ['prove', ['work']],
    ]);
    expect(known).toBe(0);
    const usual = USUAL_MINUTES.prove + USUAL_MINUTES['hand over'];
    // Above the middle, and not by half: seven in ten.
    expect(tasks[1]?.handsOn).toBeGreaterThan(usual);
    expect(tasks[1]?.handsOn).toBeLessThan(usual * 1.5);
    expect(tasks.map((t) => t.words)).toEqual(['take in to close up', 'prove and hand over']);
    // One stop that is left is named once.
    const last = tasksLeft({ ...b.state(), stop: 'close up' }, {}, now);
    expect(last.tasks.map((t) => t.words)).toEqual(['close up', 'prove and hand over']);
  });
  it('by the record once five jobs of the model are known', () => {
    const b = bench(map);
    const minutes = [50, 50, 50, 50, 50.001];
    const { tasks } = tasksLeft(b.state(), { prove: minutes, 'hand over': minutes }, now);
    expect(tasks[1]?.handsOn).toBe(101);
    const four = tasksLeft(b.state(), { prove: minutes.slice(1), 'hand over': minutes.slice(1) }, now);
    expect(four.tasks[1]?.handsOn).toBeLessThan(30);
  });
  it('with a soak where the fault comes and goes, and a wait that runs', () => {
    const b = bench(map);
    const fn = map.functions[0]?.id ?? '';
    b.tell({ type: 'intake.recorded', function: fn, symptom: 'silent', pattern: 'now and then', keep: [] });
    b.tell({ type: 'timer.started', what: 'glue cures', minutes: 30 });
    const started = b.state().timers[0]?.startedAt ?? '';
    const later = (m: number) => new Date(Date.parse(started) + m * 60_000).toISOString();
    const left = tasksLeft(b.state(), {}, later(10));
    expect(left.tasks.map((t) => [t.id, t.handsOff > 0])).toEqual([
      ['work', false],
      ['prove', true],
      ['hand over', false],
    ]);
    expect(left.runs).toEqual({ what: 'glue cures', until: later(30) });
    expect(tasksLeft(b.state(), {}, later(30)).runs).toBeUndefined();
  });
  it('referred, it is only handed over', () => {
    const b = bench(map);
    b.takenIn();
    b.tell({ type: 'job.referred', to: 'the maker', why: 'under warranty' } as never);
    expect(tasksLeft(b.state(), {}, now).tasks.map((t) => t.id)).toEqual(['hand over']);
  });
});

describe('a planned day', () => {
  it('takes what was said of a job over what the record knows', () => {
    const q = dayRequest(
      plan({
        jobs: [
          {
            job: A,
            from: '09:00',
            until: '11:00',
            must: true,
            worth: 3,
            mayLeave: true,
            place: ' quay ',
            minutes: [{ task: 'work', handsOn: 12.5, handsOff: 30 }],
          },
          { job: B },
        ],
        order: [B, A, '01M2JS9ZC08V33PPE0SBJHWRC6'],
        busy: [{ from: '10:00', until: '10:30', what: 'meeting', place: ' ' }],
      }),
      [offer(A), offer(B, { over: true, tasks: [] })],
      house,
    );
    expect(q.jobs).toEqual([
      {
        id: A,
        place: 'quay',
        from: 540,
        until: 660,
        mustToday: true,
        worth: 3,
        mayLeave: true,
        tasks: [{ id: 'work', handsOn: 12.5, handsOff: 30, sigma: 0.3, after: [] }],
      },
    ]);
    expect(q.order).toEqual([A]);
    expect(q.busy).toEqual([{ from: 600, until: 630 }]);
    expect(q.quantile).toBe(0.7);
  });
  it('begins anew from where and when it was planned again, not before the day', () => {
    const late = plan({ since: { place: 'pier head', at: '09:40' } });
    expect(dayRequest(late, [], house).start).toEqual({ place: 'pier head', at: 580 });
    const early = plan({ since: { place: '', at: '07:00' } });
    expect(dayRequest(early, [], house).start).toEqual({ place: 'workshop', at: 480 });
  });
  it('past its end nothing fits any more', () => {
    const over = plan({
      jobs: [{ job: A }],
      end: { place: 'workshop', at: '12:00' },
      since: { place: 'pier head', at: '13:00' },
    });
    expect(workOut(over, [offer(A)], house)).toMatchObject({
      left: [{ job: A, why: 'longer than what is left of the day' }],
      answer: { finish: 780, visits: [] },
    });
  });
  it('tells the ways, those to an appointment among them', () => {
    const out = workOut(
      plan({
        jobs: [{ job: A }],
        end: { place: 'workshop', at: '12:00' },
        busy: [{ from: '10:00', until: '10:30', what: 'keys', place: 'gate' }],
      }),
      [offer(A)],
      { travel: [...house.travel, { from: 'workshop', to: 'gate', minutes: 5 }] },
    );
    expect(out.ways).toEqual([
      { from: 'workshop', to: 'pier head', leave: 480, arrive: 490 },
      { from: 'pier head', to: 'gate', leave: 530, arrive: 545 },
      { from: 'gate', to: 'workshop', leave: 630, arrive: 635 },
    ]);
  });
  it('goes on from a wait that runs', () => {
    const runs = offer(A, { place: 'workshop', runs: { what: 'glue', until: '2026-11-27T08:50:00Z' } });
    const { tasks } = workOut(plan({ jobs: [{ job: A }] }), [runs], house);
    expect(tasks).toEqual([{ job: A, task: 'work', start: 530, over: 570, end: 570 }]);
  });
  it('leaves what nobody said the way to, and says so; the rest is planned', () => {
    const out = workOut(
      plan({ jobs: [{ job: A }, { job: B, place: 'lighthouse' }] }),
      [offer(A), offer(B)],
      house,
    );
    expect(out.apart).toEqual(['lighthouse']);
    expect(out.left).toEqual([{ job: B, why: 'nobody said how far it is to lighthouse', unknown: true }]);
    expect(out.answer).toMatchObject({ left: [B], finish: 530 });
  });
  it('says why each is left', () => {
    const q = dayRequest(
      plan({ jobs: [{ job: A }, { job: B, until: '08:45' }] }),
      [offer(A, { tasks: [{ id: 'work', words: '', handsOn: 231, handsOff: 0, sigma: 0 }] }), offer(B)],
      house,
    );
    expect(whyLeft(q, [A, B])).toEqual([
      { job: A, why: 'longer than what is left of the day' },
      { job: B, why: 'not over by the time it has to be' },
    ]);
    const one = dayRequest(plan({ jobs: [{ job: A }] }), [offer(A)], house);
    expect(whyLeft(one, [A])).toEqual([{ job: A, why: 'no room beside the others' }]);
  });
  const bad: [Partial<DayPlan>, string][] = [
    [{ person: ' ' }, '/person'],
    [{ start: { place: '', at: '08:00' } }, '/start/place'],
    [{ start: { place: 'w', at: 'eight' } }, '/start/at'],
    [{ end: { at: '' } }, '/end/at'],
    [{ jobs: [{ job: A }, { job: A }] }, '/jobs/1/job'],
    [{ jobs: [{ job: A, from: '11:00', until: '10:59' }] }, '/jobs/0/until'],
    [{ busy: [{ from: '10:00', until: '10:00', what: '' }] }, '/busy/0/until'],
  ];
  it.each(bad)('%j is refused where it was typed', (more, path) => {
    expect(refused(() => demandPlan(plan(more))).path).toBe(path);
  });
  it('asks where a job is', () => {
    const ask = () => dayRequest(plan({ jobs: [{ job: A }] }), [offer(A, { place: '' })], house);
    expect(refused(ask)).toMatchObject({ path: '/jobs/0/place', message: 'say where T-A6 is' });
  });
  it('places apart: by way of others they are not', () => {
    const q = dayRequest(plan({ jobs: [{ job: A, place: 'c' }] }), [offer(A)], {
      travel: [
        { from: 'b', to: 'workshop', minutes: 1 },
        { from: 'c', to: 'b', minutes: 1 },
      ],
    });
    expect(placesApart(q)).toEqual([]);
    expect(placesApart({ ...q, travel: q.travel.slice(1) })).toEqual(['c']);
  });
});

describe('what fits into a wait', () => {
  const here = { job: A, place: 'workshop' };
  const fits = (wait: number, more: Partial<DayOffer> = {}) =>
    meanwhile(wait, here, [offer(A), offer(B, more)], house).map((f) => [f.tag, f.minutes]);
  it('with the way there and back, to the minute', () => {
    expect(fits(60)).toEqual([['T-B6', 60]]);
    expect(fits(59.9)).toEqual([]);
    expect(fits(40, { place: 'workshop' })).toEqual([['T-B6', 40]]);
  });
  it('what is at the same place comes first, and needs no leaving', () => {
    const C = '01M2JS9ZC08V33PPE0SBJHWRC6';
    const found = meanwhile(600, here, [offer(B), offer(C, { place: 'workshop' })], house);
    expect(found.map((f) => [f.job, f.elsewhere])).toEqual([
      [C, false],
      [B, true],
    ]);
  });
  it('not what is parked, waits itself, or lies where nobody knows the way', () => {
    expect(fits(600, { parked: 'part' })).toEqual([]);
    expect(fits(600, { runs: { what: 'x', until: '' } })).toEqual([]);
    expect(fits(600, { place: 'lighthouse' })).toEqual([]);
  });
});

describe('what came back in the van', () => {
  const move = (kind: Movement['kind'], count: number, more: Partial<Movement> = {}): Movement => ({
    id: 'm',
    item: 'i',
    at: '2026-11-27T10:00:00Z',
    by: 'Ines',
    kind,
    count,
    ...more,
  });
  const job = { job: { id: A, tag: 'T-1' } };
  const of = (movements: Movement[], took: number, back: number) =>
    cameBack(plan(), ['T-1'], movements, took, back);
  it('less what the jobs of the day used, and gave back, on that day', () => {
    expect(of([], 2, 2)).toEqual({ used: 0, missing: 0 });
    expect(of([move('used', 2, job), move('returned', 1, job)], 3, 1)).toEqual({ used: 1, missing: 1 });
    expect(of([move('used', 1)], 1, 1).used).toBe(0);
    expect(of([move('used', 1, { job: { id: B, tag: 'T-2' } })], 1, 1).used).toBe(0);
    expect(of([move('used', 1, { ...job, at: '2026-11-26T23:59:00Z' })], 1, 1).used).toBe(0);
    expect(of([move('used', 0.1, job), move('used', 0.2, job)], 0.3, 0)).toEqual({ used: 0.3, missing: 0 });
  });
  it('counted again, nothing is written down twice; of another day or person it is not this van', () => {
    const mine = { why: `${vanOfDay(plan())}: 2 along, 0 used, 1 back` };
    expect(of([move('written off', 1, mine)], 2, 1).missing).toBe(0);
    expect(of([move('written off', 1, mine)], 2, 2).missing).toBe(-1);
    expect(of([move('written off', 1, mine), move('found', 1, mine)], 2, 1).missing).toBe(1);
    expect(of([move('written off', 1, { why: 'cracked' })], 2, 1).missing).toBe(1);
    const theirs = { why: `${vanOfDay({ person: 'Bram', day: '2026-11-27' })}: 1 along` };
    expect(of([move('written off', 1, theirs)], 2, 1).missing).toBe(1);
  });
});

describe('ways the record knows', () => {
  const fact = (place: string, openedAt: string, handedOverAt?: string) => ({
    place,
    openedAt: `2026-11-${openedAt}:00Z`,
    ...(handedOverAt ? { handedOverAt: `2026-11-${handedOverAt}:00Z` } : {}),
    people: ['Ines'],
  });
  const days = ['02', '03', '04'];
  const gaps = [30, 12, 60];
  const two = (n: number) => String(n).padStart(2, '0');
  const facts = days.flatMap((d, i) => [
    fact('hall', `${d}T08:00`, `${d}T09:00`),
    fact('quay', `${d}T${two(9 + Math.floor((gaps[i] as number) / 60))}:${two((gaps[i] as number) % 60)}`),
  ]);
  it('from three gaps on, the shorter ones', () => {
    expect(learnedTravel(facts)).toEqual([{ from: 'hall', to: 'quay', minutes: 12 }]);
    expect(learnedTravel(facts.slice(0, 4))).toEqual([]);
  });
  it('of one person, and no gap of a night', () => {
    expect(learnedTravel(facts.map((f, i) => ({ ...f, people: [`p${i}`] })))).toEqual([]);
    const slow = days.flatMap((d) => [fact('hall', `${d}T08:00`, `${d}T09:00`), fact('quay', `${d}T11:01`)]);
    expect(learnedTravel(slow)).toEqual([]);
  });
});

describe('what goes into the van', () => {
  const bell = describeUnit(BELL);
  const base = bell.elements[0];
  const remedy = (id: string, kind: 'reseat' | 'replace', fixes: number, parts?: string[]) => ({
    id,
    kind,
    name: id,
    minutes: 5,
    fixes,
    ...(parts ? { parts } : {}),
  });
  if (!base) throw new Error('a described unit has an element');
  const unit = {
    ...bell,
    elements: [
      {
        ...base,
        remedies: [
          remedy('press', 'reseat', 0.4),
          remedy('lead', 'replace', 0.5, ['bell lead']),
          remedy('coil', 'replace', 0.9, ['bell coil']),
        ],
      },
    ],
  } as never;
  const item = (what: string, litres?: number): StockItem => ({
    id: `i-${what}`,
    what,
    unit: 'pieces',
    place: { kind: 'shelf', label: 'B2' },
    models: [],
    elements: [],
    minimum: 0,
    ...(litres === undefined ? {} : { litres }),
  });
  const stocked = (i: StockItem, free = 1) => ({
    item: i,
    holding: { free, onHand: free, reserved: [] },
  });
  const job = (remedy_?: string) => {
    const b = bench(unit);
    if (remedy_) b.planned(base.id, remedy_);
    return { ...b.state(), place: 'pier head' };
  };
  it('planned parts surely, later rungs where those before them do not last', () => {
    expect(partsNeeded(job('lead')).map((n) => [n.part, n.chance, n.planned])).toEqual([
      ['bell lead', 1, true],
      ['bell coil', 0.5, false],
    ]);
    expect(partsNeeded(job('press')).map((n) => [n.part, n.chance])).toEqual([
      ['bell lead', expect.closeTo(0.6, 9)],
      ['bell coil', expect.closeTo(0.3, 9)],
    ]);
    expect(partsNeeded(job())).toEqual([]);
  });
  it('spares by the minutes of another trip, within the room there is', () => {
    const stock = [stocked(item('bell lead', 2)), stocked(item('bell coil', 1))];
    const list = (litres?: number) =>
      vanList([job('press')], stock, { ...house, ...(litres === undefined ? {} : { litres }) }, 'workshop');
    const all = list();
    expect(all.spares.map((s) => [s.what, s.gain])).toEqual([
      ['bell lead', expect.closeTo(0.6 * 20, 9)],
      ['bell coil', expect.closeTo(0.3 * 20, 9)],
    ]);
    expect(all.chance).toBe(1);
    const small = list(1);
    expect(small.spares.map((s) => s.what)).toEqual(['bell coil']);
    expect(small.stays.map((s) => s.what)).toEqual(['bell lead']);
    expect(small.chance).toBeCloseTo(0.4, 9);
    expect(small.litres).toBe(1);
  });
  it('what is planned goes even where there is no room, what is in no store is named', () => {
    const list = vanList([job('lead')], [stocked(item('bell lead', 5))], { ...house, litres: 1 }, 'workshop');
    expect(list.parts.map((p) => p.what)).toEqual(['bell lead']);
    expect(list.missing.map((m) => [m.what, m.chance])).toEqual([['bell coil', 0.5]]);
    expect(list.chance).toBeCloseTo(0.5, 9);
    const none = vanList([job('lead')], [stocked(item('bell lead'), 0)], house, 'workshop');
    expect(none.missing.map((m) => m.what)).toEqual(['bell lead', 'bell coil']);
    expect(none.chance).toBeNull();
  });
  it('of a job that nobody took in yet nothing is known, and no chance is told', () => {
    const list = vanList(
      [job(), job('lead')],
      [stocked(item('bell lead')), stocked(item('bell coil'))],
      house,
      'workshop',
    );
    expect(list.unknown).toEqual(['T-1']);
    expect(list.chance).toBeNull();
  });
  it('what was set aside for the job is there for it', () => {
    const aside = {
      item: item('bell lead'),
      holding: { free: 0, onHand: 1, reserved: [{ tag: 'T-1', count: 1 }] },
    };
    const list = vanList([job('lead')], [aside], house, 'workshop');
    expect(list.parts.map((p) => p.what)).toEqual(['bell lead']);
    expect(list.roomUnknown).toBe(1);
  });
});
