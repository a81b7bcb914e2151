import { demand } from '../refusal';
import type { DayRequest } from './types';
import { type Ways, ways } from './ways';

/** A task that is still to be done. */
export interface Step {
  job: number;
  id: string;
  on: number;
  off: number;
  sigma: number;
  /** steps that come first */
  before: number[];
  /** minute at which what was done before it is over */
  ready: number;
}

export interface JobRead {
  id: string;
  place: number;
  steps: number[];
  from: number;
  until: number;
  must: boolean;
  worth: number;
  stays: boolean;
  /** the technician stands at it, and going means leaving it for another day */
  heldHere: boolean;
  /** minute at which the waits of what was done are over */
  runs: number;
  /** place in the order asked for; -1 where none is */
  rank: number;
  /** minutes of hands, and of the longest chain with its waits, that are still to come */
  on: number;
  chain: number;
}

/** An appointment at a place. */
export interface Fixed {
  from: number;
  until: number;
  place: number;
}

/** A day, read: everything by its number. */
export interface Problem {
  jobs: JobRead[];
  steps: Step[];
  /** in their order */
  fixed: Fixed[];
  /** spans without work or travel, apart from each other and in their order */
  busy: { from: number; until: number }[];
  places: string[];
  ways: Ways;
  start: { place: number; at: number; stay: number };
  end: { place: number; at: number };
}

/** No hair: minutes closer than this are the same. */
export const HAIR = 1e-9;

const isMinutes = (n: number) => Number.isFinite(n) && n >= 0;

function stepsOf(request: DayRequest, done: Map<string, number>) {
  const steps: Step[] = [];
  const ofJob: number[][] = [];
  request.jobs.forEach((job, i) => {
    const at = `/jobs/${i}`;
    const index = new Map<string, number>();
    const mine: number[] = [];
    job.tasks.forEach((t, k) => {
      const path = `${at}/tasks/${k}`;
      demand(!index.has(t.id), `task “${t.id}” of “${job.id}” is there twice`, `${path}/id`);
      demand(isMinutes(t.handsOn), `handsOn of “${t.id}” must not be under 0`, `${path}/handsOn`);
      demand(isMinutes(t.handsOff), `handsOff of “${t.id}” must not be under 0`, `${path}/handsOff`);
      demand(
        t.sigma === undefined || (isMinutes(t.sigma) && t.sigma <= 10),
        `sigma of “${t.id}” lies from 0 to 10`,
        `${path}/sigma`,
      );
      index.set(t.id, k);
    });
    const number = new Map<string, number>();
    for (const t of job.tasks) {
      if (done.has(`${job.id}\n${t.id}`)) continue;
      number.set(t.id, steps.length);
      mine.push(steps.length);
      steps.push({
        job: i,
        id: t.id,
        on: t.handsOn,
        off: t.handsOff,
        sigma: t.sigma ?? 0,
        before: [],
        ready: Number.NEGATIVE_INFINITY,
      });
    }
    job.tasks.forEach((t, k) => {
      const step = steps[number.get(t.id) ?? -1];
      (t.after ?? []).forEach((id, m) => {
        demand(index.has(id), `task “${id}” is not in “${job.id}”`, `${at}/tasks/${k}/after/${m}`);
        const first = number.get(id);
        const over = done.get(`${job.id}\n${id}`);
        if (step && first !== undefined) step.before.push(first);
        if (step && over !== undefined) step.ready = Math.max(step.ready, over);
      });
    });
    ringless(job.tasks, job.id, `${at}/tasks`);
    ofJob.push(mine);
  });
  return { steps, ofJob };
}

function ringless(tasks: DayRequest['jobs'][number]['tasks'], job: string, path: string): void {
  const by = new Map(tasks.map((t) => [t.id, t]));
  const seen = new Map<string, 'open' | 'closed'>();
  const visit = (id: string, way: string[]): void => {
    if (seen.get(id) === 'closed') return;
    demand(
      seen.get(id) !== 'open',
      `tasks of “${job}” wait for each other in a ring: ${way.slice(way.indexOf(id)).join(', ')}`,
      path,
    );
    seen.set(id, 'open');
    for (const a of by.get(id)?.after ?? []) visit(a, [...way, id]);
    seen.set(id, 'closed');
  };
  for (const t of tasks) visit(t.id, []);
}

/** The longest chain of what is left of a job, waits and all; the last wait only where one stays for it. */
function chainOf(steps: Step[], mine: number[], stays: boolean): number {
  const known = new Map<number, number>();
  const overAt = (i: number): number => {
    const there = known.get(i);
    if (there !== undefined) return there;
    const s = steps[i] as Step;
    const v = Math.max(0, ...s.before.map((b) => overAt(b) + (steps[b] as Step).off)) + s.on;
    known.set(i, v);
    return v;
  };
  return Math.max(0, ...mine.map((i) => overAt(i) + (stays ? (steps[i] as Step).off : 0)));
}

function doneOf({ jobs, done = [] }: DayRequest): Map<string, number> {
  const map = new Map<string, number>();
  done.forEach((d, i) => {
    const job = jobs.find((j) => j.id === d.job);
    demand(job, `job “${d.job}” is not known`, `/done/${i}/job`);
    demand(
      job.tasks.some((t) => t.id === d.task),
      `task “${d.task}” is not in “${d.job}”`,
      `/done/${i}/task`,
    );
    const key = `${d.job}\n${d.task}`;
    demand(!map.has(key), `“${d.task}” of “${d.job}” is done twice`, `/done/${i}/task`);
    demand(Number.isFinite(d.end), 'say the minute at which it is over', `/done/${i}/end`);
    map.set(key, d.end);
  });
  return map;
}

/** Busy spans without a place, run together where they touch. */
function merged(spans: { from: number; until: number }[]): { from: number; until: number }[] {
  const out: { from: number; until: number }[] = [];
  for (const s of [...spans].sort((a, b) => a.from - b.from || a.until - b.until)) {
    const last = out.at(-1);
    if (last && s.from <= last.until) last.until = Math.max(last.until, s.until);
    else out.push({ ...s });
  }
  return out;
}

function busyOf({ busy = [], start, end }: DayRequest, place: (name: string) => number) {
  const open: { from: number; until: number }[] = [];
  const fixed: (Fixed & { index: number })[] = [];
  busy.forEach((b, i) => {
    demand(Number.isFinite(b.from) && Number.isFinite(b.until), 'say from when to when', `/busy/${i}`);
    demand(b.until >= b.from, `busy until ${b.until} ends before it begins at ${b.from}`, `/busy/${i}/until`);
    if (b.until <= start.at || b.from >= end.at) return;
    if (b.place === undefined) open.push({ from: b.from, until: b.until });
    else
      fixed.push({
        from: Math.max(b.from, start.at),
        until: b.until,
        place: place(b.place),
        index: i,
      });
  });
  fixed.sort((a, b) => a.from - b.from || a.until - b.until);
  fixed.forEach((f, k) => {
    const before = fixed[k - 1];
    demand(
      !before || before.until <= f.from + HAIR,
      `busy from ${f.from} at another place while busy until ${before?.until}`,
      `/busy/${f.index}`,
    );
  });
  return { open: merged(open), fixed };
}

/**
 * Reads a day: everything by its number, every fault named at its place.
 *
 * @param request as it was asked; minutes from midnight
 * @returns the same, ready to be worked out
 * @throws Refusal for double or unknown ids, rings, negative minutes, an `until` before its `from`, places
 *   that cannot be reached
 * @example readDay({ jobs: [], travel: [], start: { place: 'shop', at: 480 }, end: { at: 1020 } }).steps // []
 */
export function readDay(request: DayRequest): Problem {
  const { jobs, start, end } = request;
  demand(Number.isFinite(start.at), 'say when the day begins', '/start/at');
  demand(Number.isFinite(end.at), 'say when the day ends', '/end/at');
  demand(end.at >= start.at, `the day ends at ${end.at}, before it begins at ${start.at}`, '/end/at');
  const ids = new Set<string>();
  jobs.forEach((j, i) => {
    demand(!ids.has(j.id), `job “${j.id}” is there twice`, `/jobs/${i}/id`);
    ids.add(j.id);
    const { from = Number.NEGATIVE_INFINITY, until = Number.POSITIVE_INFINITY } = j;
    demand(!Number.isNaN(from), 'say from when', `/jobs/${i}/from`);
    demand(
      until >= from,
      `“${j.id}” is to be over at ${until}, before it may begin at ${from}`,
      `/jobs/${i}/until`,
    );
    demand(
      j.worth === undefined || isMinutes(j.worth),
      `worth of “${j.id}” must not be under 0`,
      `/jobs/${i}/worth`,
    );
  });
  const rank = new Map<string, number>();
  (request.order ?? []).forEach((id, i) => {
    demand(ids.has(id), `job “${id}” is not known`, `/order/${i}`);
    demand(!rank.has(id), `job “${id}” is in the order twice`, `/order/${i}`);
    rank.set(id, i);
  });
  const done = doneOf(request);
  const { steps, ofJob } = stepsOf(request, done);
  const over = (id: string, tasks: { id: string }[]) =>
    Math.max(
      Number.NEGATIVE_INFINITY,
      ...tasks.map((t) => done.get(`${id}\n${t.id}`) ?? Number.NEGATIVE_INFINITY),
    );
  const map = ways(request);
  const { open, fixed } = busyOf(request, map.number);
  let stay = start.at;
  const read = jobs.map((j, i): JobRead => {
    const mine = ofJob[i] as number[];
    const stays = !j.mayLeave;
    const place = map.number(j.place);
    const runs = over(j.id, j.tasks);
    const here = stays && place === map.number(start.place) && runs > Number.NEGATIVE_INFINITY;
    // Nothing is left of it but a wait that one stays for.
    if (here && mine.length === 0) stay = Math.max(stay, runs);
    return {
      id: j.id,
      place,
      steps: mine,
      from: j.from ?? Number.NEGATIVE_INFINITY,
      until: j.until ?? Number.POSITIVE_INFINITY,
      must: j.mustToday ?? false,
      worth: j.worth ?? 1,
      stays,
      heldHere: here && mine.length > 0,
      runs,
      rank: rank.get(j.id) ?? -1,
      on: mine.reduce((sum, k) => sum + (steps[k] as Step).on, 0),
      chain: chainOf(steps, mine, stays),
    };
  });
  return {
    jobs: read,
    steps,
    fixed,
    busy: open,
    places: map.places,
    ways: map.ways,
    start: { place: map.number(start.place), at: start.at, stay },
    end: { place: end.place === undefined ? -1 : map.number(end.place), at: end.at },
  };
}
