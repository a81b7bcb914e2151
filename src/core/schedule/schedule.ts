import { demand } from '../refusal';

export interface Task {
  id: string;
  /** minutes that take the hands */
  handsOn: number;
  /** minutes of waiting that follow by themselves: cure, soak, charge, boot */
  handsOff: number;
  after?: string[];
}

export interface ScheduleRequest {
  tasks: Task[];
  timeLimitMs?: number;
}

export interface ScheduleAnswer {
  /** minute at which the hands-on part of each task begins */
  start: Record<string, number>;
  minutes: number;
  /** tasks that decide the end, in their order */
  critical: string[];
  /** spans in which the hands are free before the end */
  free: { from: number; to: number }[];
  optimal: boolean;
  lowerBound: number;
}

const TIME_LIMIT_MS = 1000;
const HAIR = 1e-9;

interface Problem {
  tasks: Task[];
  before: number[][];
  /** minutes from the begin of a task to the end of everything that hangs on it */
  tail: number[];
}

function read(tasks: Task[]): Problem {
  const index = new Map<string, number>();
  tasks.forEach((t, i) => {
    demand(!index.has(t.id), `task “${t.id}” is there twice`, `/tasks/${i}/id`);
    demand(t.handsOn >= 0, `handsOn of “${t.id}” must not be under 0`, `/tasks/${i}/handsOn`);
    demand(t.handsOff >= 0, `handsOff of “${t.id}” must not be under 0`, `/tasks/${i}/handsOff`);
    index.set(t.id, i);
  });
  const before = tasks.map((t, i) =>
    (t.after ?? []).map((id, k) => {
      const j = index.get(id);
      demand(j !== undefined, `task “${id}” is not known`, `/tasks/${i}/after/${k}`);
      return j;
    }),
  );
  const next: number[][] = tasks.map(() => []);
  before.forEach((list, i) => {
    for (const j of list) next[j]?.push(i);
  });
  const tail: (number | undefined)[] = tasks.map(() => undefined);
  const open = new Set<number>();
  const reach = (i: number): number => {
    const known = tail[i];
    if (known !== undefined) return known;
    demand(
      !open.has(i),
      `these tasks wait for each other in a loop: ${[...open].map((k) => tasks[k]?.id).join(', ')}`,
      '/tasks',
    );
    open.add(i);
    const t = tasks[i] as Task;
    const value = t.handsOn + t.handsOff + Math.max(0, ...(next[i] as number[]).map(reach));
    open.delete(i);
    tail[i] = value;
    return value;
  };
  return { tasks, before, tail: tasks.map((_, i) => reach(i)) };
}

/**
 * Earliest finish with one pair of hands: hands-on parts one after another, hands-off parts by
 * themselves, a successor waiting for both.
 *
 * Method: branch and bound over the sequence of hands-on parts, bounded by the work left for the
 * hands and by the longest chain left (Carlier, The one-machine sequencing problem, European Journal
 * of Operational Research 11, 1982, for the shape of the bound).
 *
 * @param request tasks with minutes, and what each waits for
 * @returns when each begins, the end, what decides it, when the hands are free
 * @throws Refusal for a loop, an unknown or double id, negative minutes
 * @example schedule({ tasks: [{ id: 'glue', handsOn: 2, handsOff: 30 }, { id: 'clean', handsOn: 10, handsOff: 0 }] }).minutes // 32
 */
export function schedule({ tasks, timeLimitMs = TIME_LIMIT_MS }: ScheduleRequest): ScheduleAnswer {
  const p = read(tasks);
  const n = tasks.length;
  const until = performance.now() + timeLimitMs;
  const begins = new Float64Array(n);
  const ends = new Float64Array(n);
  const done = new Array<boolean>(n).fill(false);
  let best = { minutes: Number.POSITIVE_INFINITY, begins: begins.slice() };
  let stopped = false;
  let ticks = 0;

  const ready = (i: number) => Math.max(0, ...(p.before[i] as number[]).map((j) => ends[j] as number));
  /** Least end from here: hands still to be used and the shortest wait behind them; and every chain left. */
  const bound = (time: number, soFar: number): number => {
    let work = 0;
    let wait = Number.POSITIVE_INFINITY;
    let chain = soFar;
    for (let i = 0; i < n; i++) {
      if (done[i]) continue;
      const t = tasks[i] as Task;
      work += t.handsOn;
      wait = Math.min(wait, t.handsOff);
      if ((p.before[i] as number[]).every((j) => done[j]))
        chain = Math.max(chain, Math.max(time, ready(i)) + (p.tail[i] as number));
    }
    return work === 0 && wait === Number.POSITIVE_INFINITY ? soFar : Math.max(chain, time + work + wait);
  };
  const root = bound(0, 0);

  const place = (left: number, time: number, soFar: number): void => {
    if (left === 0) {
      if (soFar < best.minutes - HAIR) best = { minutes: soFar, begins: begins.slice() };
      return;
    }
    if ((++ticks & 255) === 0 && performance.now() > until) stopped = true;
    if ((stopped && best.minutes < Number.POSITIVE_INFINITY) || best.minutes <= root + HAIR) return;
    if (bound(time, soFar) >= best.minutes - HAIR) return;
    const now = [...tasks.keys()]
      .filter((i) => !done[i] && (p.before[i] as number[]).every((j) => done[j]))
      .map((i) => ({ i, at: Math.max(time, ready(i)) }));
    // Waiting for one task while the hands could finish another before it gains nothing.
    const finish = (x: { i: number; at: number }) => x.at + (tasks[x.i] as Task).handsOn;
    const useful = now
      .filter((x) => !now.some((y) => y !== x && (finish(y) < x.at || (finish(y) === x.at && y.i < x.i))))
      .sort((a, b) => a.at - b.at || (p.tail[b.i] as number) - (p.tail[a.i] as number) || a.i - b.i);
    for (const { i, at } of useful) {
      const t = tasks[i] as Task;
      done[i] = true;
      begins[i] = at;
      ends[i] = at + t.handsOn + t.handsOff;
      place(left - 1, at + t.handsOn, Math.max(soFar, ends[i] as number));
      done[i] = false;
    }
  };
  place(n, 0, 0);
  const optimal = !stopped || best.minutes <= root + HAIR;
  return { ...told(p, best), optimal, lowerBound: optimal ? best.minutes : root };
}

function told(p: Problem, { minutes, begins }: { minutes: number; begins: Float64Array }) {
  const { tasks } = p;
  if (tasks.length === 0) return { start: {}, minutes: 0, critical: [], free: [] };
  const at = (i: number) => begins[i] as number;
  const handsEnd = (i: number) => at(i) + (tasks[i] as Task).handsOn;
  const end = (i: number) => handsEnd(i) + (tasks[i] as Task).handsOff;
  const order = [...tasks.keys()].sort((a, b) => at(a) - at(b) || handsEnd(a) - handsEnd(b) || a - b);
  const critical: string[] = [];
  let here: number | undefined = order.find((i) => Math.abs(end(i) - minutes) < HAIR);
  const seen = new Set<number>();
  while (here !== undefined && !seen.has(here)) {
    seen.add(here);
    critical.push((tasks[here] as Task).id);
    const begin = at(here);
    if (begin < HAIR) break;
    const now: number = here;
    here =
      (p.before[now] as number[]).find((j) => Math.abs(end(j) - begin) < HAIR) ??
      order.find((j) => j !== now && !seen.has(j) && Math.abs(handsEnd(j) - begin) < HAIR);
  }
  const free: { from: number; to: number }[] = [];
  let busy = 0;
  for (const i of order) {
    if (at(i) > busy + HAIR) free.push({ from: busy, to: at(i) });
    busy = Math.max(busy, handsEnd(i));
  }
  if (minutes > busy + HAIR) free.push({ from: busy, to: minutes });
  return {
    start: Object.fromEntries(tasks.map((t, i) => [t.id, at(i)])),
    minutes,
    critical: critical.reverse(),
    free,
  };
}
