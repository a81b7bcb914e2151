import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { Refusal } from '../refusal';
import { normalBelow } from '../stats';
import { type DayAnswer, type DayJob, type DayRequest, day, wayBetween } from '.';
import { anyDay, asProgram, faults } from './day.test.fixture';
import { type Problem, readDay } from './problem';
import type { DayValue } from './types';
import { atStart, compare, step, type Walk, worthOf } from './walk';

/** The best of all orders there are, none left out. */
function bestOfAll(p: Problem): DayValue | null {
  let best: DayValue | null = null;
  const on = (w: Walk) => {
    const v = worthOf(p, w);
    if (v && (!best || compare(v, best) < 0)) best = v;
    for (let n = 0; n < p.steps.length + p.fixed.length; n++) {
      const next = step(p, w, n);
      if (next) on(next);
    }
  };
  on(atStart(p));
  return best;
}

let highs: Awaited<ReturnType<typeof loadHighs>>;
beforeAll(async () => {
  highs = await loadHighs();
});

const musts = (q: DayRequest, a: Pick<DayAnswer, 'left'>) =>
  q.jobs.filter((j) => j.mustToday && a.left.includes(j.id)).length;

describe('a day', () => {
  it('keeps every rule it was given, and says when it cannot', () => {
    fc.assert(
      fc.property(anyDay(5, 3, { busy: true }), (q) => {
        let a: DayAnswer;
        try {
          a = day(q);
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal);
          return;
        }
        expect(faults(q, a)).toEqual([]);
        expect(day(q)).toEqual(a);
        expect(a.lowerBound.worthLeft).toBeLessThanOrEqual(a.worthLeft + 1e-9);
      }),
      { numRuns: 50 },
    );
  });

  it('is what a mixed-integer solver comes to', () => {
    fc.assert(
      fc.property(anyDay(4, 2), (q) => {
        const a = day(q);
        expect(a.optimal).toBe(true);
        const theirs = highs.solve(asProgram(q), { mip_rel_gap: 0, mip_abs_gap: 0.5 });
        expect(theirs.Status).toBe('Optimal');
        const taken = (i: number) => Math.round((theirs.Columns[`u${i}`] as { Primal: number }).Primal) === 1;
        const left = q.jobs.flatMap((j, i) => (taken(i) ? [] : [j]));
        expect(musts(q, a)).toBe(left.filter((j) => j.mustToday).length);
        expect(a.worthLeft).toBeCloseTo(
          left.reduce((s, j) => s + (j.worth ?? 1), 0),
          6,
        );
        expect(a.finish).toBeCloseTo((theirs.Columns.finish as { Primal: number }).Primal, 3);
      }),
      { numRuns: 40 },
    );
  });

  it('is no worse than any other order, with appointments, what was done, and an order that was asked for', () => {
    const more = fc.record({
      place: fc.constantFrom('kiosk', 'ferry'),
      at: fc.integer({ min: 30, max: 200 }),
      visit: fc.boolean(),
      order: fc.boolean(),
      done: fc.boolean(),
      over: fc.integer({ min: 0, max: 60 }),
      here: fc.boolean(),
    });
    let days = 0;
    fc.assert(
      fc.property(anyDay(4, 2, { busy: true }), more, (base, m) => {
        const first = base.jobs[0] as DayJob;
        const q: DayRequest = {
          ...base,
          start: { ...base.start, place: m.here ? first.place : 'shop' },
          busy: [
            ...(base.busy ?? []),
            ...(m.visit ? [{ from: 480 + m.at, until: 500 + m.at, place: m.place }] : []),
          ],
          ...(m.order ? { order: base.jobs.map((j) => j.id).reverse() } : {}),
          ...(m.done ? { done: [{ job: 'j0', task: first.tasks[0]?.id as string, end: 470 + m.over }] } : {}),
        };
        let a: DayAnswer;
        try {
          a = day(q);
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal);
          return;
        }
        const best = bestOfAll(readDay(q)) as DayValue;
        expect({
          mustLeft: musts(q, a),
          worthLeft: a.worthLeft,
          finish: a.finish,
          travel: a.travelMinutes,
        }).toEqual({
          mustLeft: best.mustLeft,
          worthLeft: expect.closeTo(best.worthLeft, 6),
          finish: expect.closeTo(best.finish, 6),
          travel: expect.closeTo(best.travel, 6),
        });
        expect(a.optimal).toBe(true);
        days++;
      }),
      { numRuns: 120 },
    );
    expect(days).toBeGreaterThan(30);
  });
});

const shop = (more: Partial<DayRequest>): DayRequest => ({
  jobs: [],
  travel: [
    { from: 'shop', to: 'kiosk', minutes: 10 },
    { from: 'kiosk', to: 'ferry', minutes: 5 },
  ],
  start: { place: 'shop', at: 480 },
  end: { at: 720 },
  ...more,
});
const job = (id: string, more: Partial<DayJob> = {}): DayJob => ({
  id,
  place: 'kiosk',
  tasks: [{ id: 't', handsOn: 20, handsOff: 0 }],
  ...more,
});
const glued = (id: string, more: Partial<DayJob> = {}): DayJob =>
  job(id, {
    tasks: [
      { id: 'glue', handsOn: 10, handsOff: 60 },
      { id: 'try', handsOn: 5, handsOff: 0, after: ['glue'] },
    ],
    ...more,
  });

describe('by hand', () => {
  it('a missing pair goes the shortest way round, and one way may differ from the other', () => {
    const a = day(shop({ jobs: [job('a', { place: 'ferry' })], end: { place: 'shop', at: 720 } }));
    expect(a).toMatchObject({ finish: 530, travelMinutes: 30, left: [], optimal: true });
    expect(a.visits).toEqual([{ job: 'a', place: 'ferry', arrive: 495, leave: 515 }]);
    const uphill = shop({ jobs: [job('a')], end: { place: 'shop', at: 720 } });
    uphill.travel.push({ from: 'kiosk', to: 'shop', minutes: 25 });
    expect(day(uphill).finish).toBe(535);
  });
  it('another job at the same place is done while glue cures; away from it only where it may be left', () => {
    const near = day(shop({ jobs: [glued('a'), job('b')] }));
    expect(near.finish).toBe(565);
    expect(near.tasks.map((t) => `${t.job} ${t.task} ${t.start}`)).toEqual([
      'a glue 490',
      'b t 500',
      'a try 560',
    ]);
    const there = job('b', { place: 'ferry' });
    expect(day(shop({ jobs: [glued('a'), there] })).finish).toBe(590);
    const left = day(shop({ jobs: [glued('a', { mayLeave: true }), there] }));
    expect(left.finish).toBe(565);
    expect(left.visits.map((v) => `${v.job} ${v.arrive} ${v.leave}`)).toEqual([
      'a 490 500',
      'b 505 525',
      'a 530 565',
    ]);
  });
  it('a last wait that may be left runs on after the day; one that may not holds it up', () => {
    const soak = [{ id: 't', handsOn: 10, handsOff: 90 }];
    expect(day(shop({ jobs: [job('a', { tasks: soak })] })).finish).toBe(590);
    expect(day(shop({ jobs: [job('a', { tasks: soak, mayLeave: true })] })).finish).toBe(500);
    // Its own time holds for the wait too.
    expect(day(shop({ jobs: [job('a', { tasks: soak, mayLeave: true, until: 589 })] })).left).toEqual(['a']);
    expect(day(shop({ jobs: [job('a', { tasks: soak, mayLeave: true, until: 590 })] })).left).toEqual([]);
  });
  it('a must goes before worth, worth before an early end', () => {
    const long = { tasks: [{ id: 't', handsOn: 200, handsOff: 0 }] };
    const q = shop({
      jobs: [job('a', { ...long, worth: 9 }), job('b', { ...long, worth: 1, mustToday: true })],
    });
    expect(day(q)).toMatchObject({ left: ['a'], worthLeft: 9 });
    expect(day(shop({ jobs: [job('a', { ...long, worth: 2 }), job('b'), job('c')] })).left).toEqual(['c']);
    // A job longer than the day is left, must or not.
    const never = job('a', { mustToday: true, tasks: [{ id: 't', handsOn: 231, handsOff: 0 }] });
    expect(day(shop({ jobs: [never] }))).toMatchObject({ left: ['a'], finish: 480, visits: [] });
  });
  it('hands are not interrupted by an appointment, waits are; one at a place is kept there', () => {
    const busy = [{ from: 500, until: 530 }];
    expect(day(shop({ jobs: [job('a')], busy })).tasks[0]?.start).toBe(530);
    expect(day(shop({ jobs: [glued('a')], busy })).tasks.map((t) => t.start)).toEqual([490, 560]);
    // One does not travel through it.
    expect(day(shop({ jobs: [job('a')], busy: [{ from: 485, until: 500 }] })).tasks[0]?.start).toBe(510);
    const at = day(shop({ jobs: [job('a')], busy: [{ from: 520, until: 540, place: 'ferry' }] }));
    expect(at).toMatchObject({ finish: 540, travelMinutes: 15 });
    expect(() => day(shop({ busy: [{ from: 490, until: 500, place: 'ferry' }] }))).toThrow(
      'cannot be at ferry',
    );
  });
  it('goes on from what was done: its wait runs, and one stays for what may not be left', () => {
    const q = shop({ jobs: [glued('a'), job('b', { place: 'ferry' })], start: { place: 'kiosk', at: 520 } });
    const a = day({ ...q, done: [{ job: 'a', task: 'glue', end: 560 }] });
    expect(a.tasks.map((t) => `${t.job} ${t.task} ${t.start}`)).toEqual(['a try 560', 'b t 570']);
    const over = day({
      ...q,
      done: [
        { job: 'a', task: 'glue', end: 540 },
        { job: 'a', task: 'try', end: 545 },
      ],
    });
    expect(over.left).toEqual([]);
    expect(over.tasks.map((t) => t.job)).toEqual(['b']);
    expect(over.visits[0]).toEqual({ job: 'a', place: 'kiosk', arrive: 520, leave: 545 });
  });
  it('begins jobs in the order asked for', () => {
    const q = shop({ jobs: [job('a'), job('b', { place: 'ferry' })] });
    expect(day(q).tasks.map((t) => t.job)).toEqual(['a', 'b']);
    expect(day({ ...q, order: ['b', 'a'] }).tasks.map((t) => t.job)).toEqual(['b', 'a']);
  });
});

describe('the way between two places', () => {
  const travel = shop({}).travel;
  it('goes the shortest way round, both ways, and is null where there is none', () => {
    expect(wayBetween(travel, 'shop', 'ferry')).toBe(15);
    expect(wayBetween(travel, 'ferry', 'shop')).toBe(15);
    expect(wayBetween(travel, 'moon', 'moon')).toBe(0);
    expect(wayBetween(travel, 'shop', 'moon')).toBeNull();
    const longer = [...travel, { from: 'shop', to: 'ferry', minutes: 40 }];
    // What was written stands, whatever another way would take.
    expect(wayBetween(longer, 'shop', 'ferry')).toBe(40);
  });
});

describe('how likely it holds', () => {
  const q = (slack: number, sigma: number, quantile?: number) =>
    day(
      shop({
        jobs: [job('a', { place: 'shop', tasks: [{ id: 't', handsOn: 100, handsOff: 0, sigma }] })],
        end: { at: 480 + slack },
        samples: 20_000,
        ...(quantile === undefined ? {} : { quantile }),
      }),
    ).holds as number;
  it('is the lognormal below the slack, for one task; four standard errors of 20,000 draws', () => {
    for (const [slack, sigma] of [
      [100, 0.3],
      [130, 0.3],
      [180, 0.5],
    ] as const) {
      const p = normalBelow(Math.log(slack / 100) / sigma);
      expect(Math.abs(q(slack, sigma) - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / 20_000));
    }
  });
  it('is the quantile itself, where just that is planned', () => {
    expect(q(100, 0.4, 0.7)).toBeCloseTo(0.7, 1);
    expect(Math.abs(q(100, 0.4, 0.7) - 0.7)).toBeLessThan(0.013);
  });
  it('is not told where nothing varies', () => {
    expect('holds' in day(shop({ jobs: [job('a')] }))).toBe(false);
  });
});

describe('too many to go over all', () => {
  const many = (n: number): DayRequest => ({
    jobs: Array.from({ length: n }, (_, i) =>
      glued(`j${i}`, {
        place: ['kiosk', 'ferry', 'shop'][i % 3] as string,
        mayLeave: i % 2 === 0,
        worth: 1 + (i % 4),
      }),
    ),
    travel: [...shop({}).travel, { from: 'shop', to: 'ferry', minutes: 15 }],
    start: { place: 'shop', at: 480 },
    end: { place: 'shop', at: 1020 },
  });
  it('40 jobs: every rule is kept, the bound lies below, the same answer twice', () => {
    const a = day(many(40));
    expect(faults(many(40), a)).toEqual([]);
    expect(a.optimal).toBe(false);
    expect(a.lowerBound.worthLeft).toBeLessThanOrEqual(a.worthLeft);
    expect(a.lowerBound.finish).toBeLessThanOrEqual(a.finish);
    expect(day(many(40))).toEqual(a);
  });
  it('stopped at once, it keeps every rule, and its bound lies under the best there is', () => {
    let stopped = 0;
    fc.assert(
      fc.property(anyDay(5, 2), (q) => {
        const a = day({ ...q, timeLimitMs: 0 });
        const best = day(q);
        expect(faults(q, a)).toEqual([]);
        expect(a.lowerBound.worthLeft).toBeLessThanOrEqual(best.worthLeft + 1e-9);
        expect(a.lowerBound.finish).toBeLessThanOrEqual(a.finish + 1e-9);
        if (a.worthLeft === best.worthLeft)
          expect(a.lowerBound.finish).toBeLessThanOrEqual(best.finish + 1e-9);
        if (!a.optimal) stopped++;
      }),
      { numRuns: 60 },
    );
    expect(stopped).toBeGreaterThan(10);
  });
  it('a must that only seems to fit holds the bound up by nothing', () => {
    // Its wait is over one minute too late: it is left, and the day is done at once.
    const late = job('a', {
      mustToday: true,
      worth: 0,
      mayLeave: true,
      until: 490,
      tasks: [{ id: 't', handsOn: 0, handsOff: 1 }],
    });
    const a = day(shop({ jobs: [late], timeLimitMs: 0 }));
    expect(a).toMatchObject({ left: ['a'], finish: 480 });
    expect(a.lowerBound.finish).toBeLessThanOrEqual(480);
  });
  it('ends when it is told to', () => {
    const a = day({ ...many(20), timeLimitMs: 1 });
    expect(faults(many(20), a)).toEqual([]);
    expect(a.optimal).toBe(false);
  });
});

describe('what cannot be read is named', () => {
  const bad: [Partial<DayRequest>, string, string][] = [
    [{ jobs: [job('a'), job('a')] }, '/jobs/1/id', 'twice'],
    [{ jobs: [job('a', { place: 'moon' })] }, '/jobs/0/place', 'no way is given from shop to moon'],
    [{ jobs: [job('a', { from: 600, until: 599 })] }, '/jobs/0/until', 'before it may begin'],
    [{ jobs: [job('a', { worth: -1 })] }, '/jobs/0/worth', 'under 0'],
    [
      { jobs: [job('a', { tasks: [{ id: 't', handsOn: -1, handsOff: 0 }] })] },
      '/jobs/0/tasks/0/handsOn',
      'under 0',
    ],
    [
      { jobs: [job('a', { tasks: [{ id: 't', handsOn: 1, handsOff: -1 }] })] },
      '/jobs/0/tasks/0/handsOff',
      'under 0',
    ],
    [
      { jobs: [job('a', { tasks: [{ id: 't', handsOn: 1, handsOff: 0, sigma: -1 }] })] },
      '/jobs/0/tasks/0/sigma',
      '0 to 10',
    ],
    [
      { jobs: [job('a', { tasks: [{ id: 't', handsOn: 1, handsOff: 0, after: ['x'] }] })] },
      '/jobs/0/tasks/0/after/0',
      'not in',
    ],
    [
      {
        jobs: [
          job('a', {
            tasks: [
              { id: 't', handsOn: 1, handsOff: 0, after: ['v'] },
              { id: 'v', handsOn: 1, handsOff: 0, after: ['t'] },
            ],
          }),
        ],
      },
      '/jobs/0/tasks',
      'ring: t, v',
    ],
    [
      {
        jobs: [
          job('a', {
            tasks: [
              { id: 't', handsOn: 1, handsOff: 0 },
              { id: 't', handsOn: 1, handsOff: 0 },
            ],
          }),
        ],
      },
      '/jobs/0/tasks/1/id',
      'twice',
    ],
    [{ travel: [{ from: 'a', to: 'b', minutes: -1 }] }, '/travel/0/minutes', 'under 0'],
    [{ travel: [{ from: 'a', to: 'a', minutes: 1 }] }, '/travel/0/to', 'itself'],
    [
      {
        travel: [
          { from: 'a', to: 'b', minutes: 1 },
          { from: 'a', to: 'b', minutes: 2 },
        ],
      },
      '/travel/1',
      'twice',
    ],
    [{ end: { at: 479 } }, '/end/at', 'before it begins'],
    [{ end: { at: 500, place: 'moon' } }, '/end/place', 'no way'],
    [{ end: { at: 489, place: 'kiosk' } }, '/end/at', 'not done by'],
    [{ busy: [{ from: 600, until: 500 }] }, '/busy/0/until', 'ends before it begins'],
    [{ busy: [{ from: 500, until: 600, place: 'moon' }] }, '/busy/0/place', 'no way'],
    [
      {
        busy: [
          { from: 520, until: 600, place: 'kiosk' },
          { from: 540, until: 560, place: 'ferry' },
        ],
      },
      '/busy/1',
      'at another place',
    ],
    [{ done: [{ job: 'x', task: 't', end: 1 }] }, '/done/0/job', 'not known'],
    [{ jobs: [job('a')], done: [{ job: 'a', task: 'x', end: 1 }] }, '/done/0/task', 'not in'],
    [
      {
        jobs: [job('a')],
        done: [
          { job: 'a', task: 't', end: 1 },
          { job: 'a', task: 't', end: 1 },
        ],
      },
      '/done/1/task',
      'twice',
    ],
    [{ order: ['x'] }, '/order/0', 'not known'],
    [{ jobs: [job('a')], order: ['a', 'a'] }, '/order/1', 'twice'],
    [{ quantile: 1 }, '/quantile', 'between 0 and 1'],
    [{ samples: 0 }, '/samples', '1 to 100,000'],
  ];
  it.each(bad)('%j', (more, path, words) => {
    let caught: unknown;
    try {
      day(shop(more));
    } catch (error) {
      caught = error;
    }
    expect(caught).toBeInstanceOf(Refusal);
    expect(caught).toMatchObject({ path, message: expect.stringContaining(words) });
  });
});
