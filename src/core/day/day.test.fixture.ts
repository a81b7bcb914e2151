import fc from 'fast-check';
import type { DayAnswer, DayJob, DayRequest, DayTask } from './types';

const PLACES = ['shop', 'kiosk', 'ferry', 'tide gate'];

const taskOf = (off: number) =>
  fc.record({
    handsOn: fc.integer({ min: 0, max: 40 }),
    handsOff: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: off })),
    waits: fc.boolean(),
  });
const jobOf = (most: number) =>
  fc
    .record({
      place: fc.constantFrom(...PLACES),
      tasks: fc.array(taskOf(50), { minLength: 1, maxLength: most }),
      from: fc.option(fc.integer({ min: 480, max: 600 }), { nil: undefined }),
      span: fc.option(fc.integer({ min: 30, max: 240 }), { nil: undefined }),
      mustToday: fc.boolean(),
      worth: fc.integer({ min: 0, max: 4 }),
      mayLeave: fc.boolean(),
    })
    .map(
      ({ tasks, from, span, ...rest }): DayJob => ({
        id: 'j',
        ...rest,
        ...(from === undefined ? {} : { from }),
        ...(span === undefined ? {} : { until: (from ?? 480) + span }),
        tasks: tasks.map(
          ({ waits, ...t }, k): DayTask => ({
            id: `t${k}`,
            ...t,
            ...(waits && k > 0 ? { after: [`t${k - 1}`] } : {}),
          }),
        ),
      }),
    );

/** Minutes between points of a plane, rounded up: no way round is shorter. */
function planeTravel(points: [number, number][]): DayRequest['travel'] {
  return PLACES.flatMap((from, i) =>
    PLACES.slice(i + 1).map((to, k) => {
      const [a, b] = [points[i] as [number, number], points[i + 1 + k] as [number, number]];
      return { from, to, minutes: Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]) };
    }),
  );
}

/** Any day of so many jobs and tasks. */
export const anyDay = (jobs: number, tasks: number, more: { busy?: boolean } = {}) =>
  fc
    .record({
      jobs: fc.array(jobOf(tasks), { minLength: 1, maxLength: jobs }),
      points: fc.array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 })), {
        minLength: PLACES.length,
        maxLength: PLACES.length,
      }),
      length: fc.integer({ min: 30, max: 400 }),
      home: fc.boolean(),
      busy: fc.array(
        fc.record({ at: fc.integer({ min: 0, max: 200 }), minutes: fc.integer({ min: 1, max: 60 }) }),
        { maxLength: more.busy ? 2 : 0 },
      ),
    })
    .map(
      ({ jobs: list, points, length, home, busy }): DayRequest => ({
        jobs: list.map((j, i) => ({ ...j, id: `j${i}` })),
        travel: planeTravel(points),
        start: { place: 'shop', at: 480 },
        end: { ...(home ? { place: 'shop' } : {}), at: 480 + length },
        ...(busy.length
          ? { busy: busy.map((b) => ({ from: 480 + b.at, until: 480 + b.at + b.minutes })) }
          : {}),
      }),
    );

const far = ({ travel }: DayRequest, a: string, b: string): number =>
  a === b
    ? 0
    : (travel.find((t) => (t.from === a && t.to === b) || (t.from === b && t.to === a))?.minutes ??
      Number.NaN);

/** What is wrong with an answer, told from the question alone: nothing of how it was found is used. */
export function faults(q: DayRequest, a: DayAnswer): string[] {
  const wrong: string[] = [];
  const say = (holds: boolean, words: string) => {
    if (!holds) wrong.push(words);
  };
  const rows = a.tasks.map((r) => {
    const job = q.jobs.find((j) => j.id === r.job) as DayJob;
    const task = job.tasks.find((t) => t.id === r.task) as DayTask;
    return { ...r, job, task, over: r.start + task.handsOn };
  });
  for (const r of rows) {
    say(Math.abs(r.end - r.over - r.task.handsOff) < 1e-6, `${r.job.id} ${r.task.id} ends when it should`);
    say(r.start >= Math.max(q.start.at, r.job.from ?? 0) - 1e-6, `${r.job.id} begins too early`);
    say(r.end <= (r.job.until ?? Number.POSITIVE_INFINITY) + 1e-6, `${r.job.id} ends too late`);
    for (const id of r.task.after ?? []) {
      const first = rows.find((x) => x.job === r.job && x.task.id === id);
      say(first !== undefined && first.end <= r.start + 1e-6, `${r.job.id} ${r.task.id} before ${id}`);
    }
    for (const b of q.busy ?? [])
      say(
        r.over <= b.from + 1e-6 || r.start >= b.until - 1e-6 || (r.task.handsOn === 0 && r.start <= b.from),
        `${r.job.id} while busy`,
      );
  }
  for (const j of q.jobs) {
    const mine = rows.filter((r) => r.job === j);
    say(mine.length === (a.left.includes(j.id) ? 0 : j.tasks.length), `${j.id} whole or not at all`);
  }
  // Where the technician has to be: hands on a task, and for a stay from its first to its last minute.
  const spans = [
    ...rows.map((r) => ({ place: r.job.place, from: r.start, to: r.over, hands: true })),
    ...q.jobs.flatMap((j) => {
      const mine = rows.filter((r) => r.job === j);
      return j.mayLeave || mine.length === 0
        ? []
        : [
            {
              place: j.place,
              from: Math.min(...mine.map((r) => r.start)),
              to: Math.max(...mine.map((r) => r.end)),
              hands: false,
            },
          ];
    }),
  ];
  for (const x of spans) {
    say(x.from >= q.start.at + far(q, q.start.place, x.place) - 1e-6, `at ${x.place} before the way there`);
    const home = q.end.place === undefined ? 0 : far(q, x.place, q.end.place);
    say(x.to + home <= a.finish + 1e-6, `still at ${x.place} at the end`);
    for (const y of spans) {
      if (x === y || x.from > y.from) continue;
      if (x.hands && y.hands)
        say(
          x.to + far(q, x.place, y.place) <= y.from + 1e-6 ||
            (x.from === y.from && (x.to === x.from || y.to === y.from) && x.place === y.place),
          `two things at once at ${x.from}`,
        );
      else if (x.place !== y.place)
        say(x.to + far(q, x.place, y.place) <= y.from + 1e-6, `in two places at ${y.from}`);
    }
  }
  const stays = a.visits.map((v) => ({ ...v, key: `${v.place} ${v.arrive}` }));
  for (const r of rows)
    say(
      stays.some((v) => v.job === r.job.id && v.arrive <= r.start + 1e-6 && v.leave >= r.over - 1e-6),
      `no visit covers ${r.job.id} ${r.task.id}`,
    );
  say(a.finish <= q.end.at + 1e-6, 'the day ends too late');
  const worth = q.jobs.filter((j) => a.left.includes(j.id)).reduce((s, j) => s + (j.worth ?? 1), 0);
  say(Math.abs(worth - a.worthLeft) < 1e-6, 'worth left adds up');
  return wrong;
}

/**
 * The same day as a mixed-integer program: binary orders of all pairs and of tasks against stays. Places of a
 * plane: no way round is shorter, so that every pair may keep its distance.
 */
export function asProgram(q: DayRequest): string {
  const M = 5000;
  const rows: string[] = [];
  const binary: string[] = [];
  const tasks = q.jobs.flatMap((j, a) => j.tasks.map((t, k) => ({ j, a, t, s: `s${a}_${k}` })));
  /** left + minutes <= right, where the jobs are taken and the switches stand at 1 */
  const after = (left: string, minutes: number, right: string, on: [string, boolean][], jobs: number[]) => {
    const terms: string[] = [];
    let c = minutes;
    for (const i of new Set(jobs)) {
      terms.push(`+ ${M} u${i}`);
      c -= M;
    }
    for (const [name, want] of on) {
      terms.push(want ? `+ ${M} ${name}` : `- ${M} ${name}`);
      if (want) c -= M;
    }
    rows.push(`${left} - ${right} ${terms.join(' ')} <= ${-c}`);
  };
  q.jobs.forEach((_, i) => {
    binary.push(`u${i}`);
  });
  for (const x of tasks) {
    const { j, a, t, s } = x;
    rows.push(`${s} >= ${Math.max(q.start.at + far(q, q.start.place, j.place), j.from ?? 0)}`);
    if (j.until !== undefined) rows.push(`${s} + ${M} u${a} <= ${j.until - t.handsOn - t.handsOff + M}`);
    const stay = t.handsOn + (j.mayLeave ? 0 : t.handsOff);
    after(s, stay + (q.end.place === undefined ? 0 : far(q, j.place, q.end.place)), 'finish', [], [a]);
    for (const id of t.after ?? []) {
      const first = tasks.find((y) => y.j === j && y.t.id === id);
      if (first) after(first.s, first.t.handsOn + first.t.handsOff, s, [], [a]);
    }
  }
  tasks.forEach((x, i) => {
    tasks.slice(i + 1).forEach((y, k) => {
      const name = `y${i}_${i + 1 + k}`;
      binary.push(name);
      const d = far(q, x.j.place, y.j.place);
      after(x.s, x.t.handsOn + d, y.s, [[name, true]], [x.a, y.a]);
      after(y.s, y.t.handsOn + d, x.s, [[name, false]], [x.a, y.a]);
    });
    q.jobs.forEach((stay, b) => {
      if (stay.mayLeave || stay === x.j || stay.place === x.j.place) return;
      const name = `z${b}_${i}`;
      binary.push(name);
      const d = far(q, x.j.place, stay.place);
      for (const t of tasks.filter((m) => m.a === b)) {
        after(x.s, x.t.handsOn + d, t.s, [[name, true]], [x.a, b]);
        after(t.s, t.t.handsOn + t.t.handsOff + d, x.s, [[name, false]], [x.a, b]);
      }
    });
  });
  const sum = q.jobs.reduce((n, j) => n + (j.worth ?? 1), 0);
  const gains = q.jobs.map(
    (j, i) => `- ${2000 * (j.worth ?? 1) + (j.mustToday ? 2000 * (sum + 1) : 0)} u${i}`,
  );
  return [
    'Minimize',
    ` obj: finish ${gains.join(' ')}`,
    'Subject To',
    ...rows.map((r, i) => ` c${i}: ${r}`),
    'Bounds',
    ` ${q.start.at} <= finish <= ${q.end.at}`,
    'Binary',
    ` ${binary.join(' ')}`,
    'End',
  ].join('\n');
}
