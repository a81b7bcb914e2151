import { demand } from '../refusal';
import { bounds } from './bound';
import { exact, MOST_IN_A_SET, type Plan } from './exact';
import { holds } from './holds';
import { type Problem, readDay, type Step } from './problem';
import { search } from './search';
import type { DayAnswer, DayRequest, DayValue } from './types';
import { atStart, clear, compare, step, type Walk, worthOf } from './walk';

/** Steps walked for a first good day, before all are gone over. */
const FIRST = 60_000;
/** Steps tried while all are gone over: up to so many jobs, and beyond. */
const WHOLE = { jobs: 8, upTo: 600_000, beyond: 100_000 };
/** Steps walked where there are too many to go over all. */
const MANY = 1_600_000;
const SAMPLES = 2000;

/** The day without any job: its appointments alone. */
function bare(p: Problem): Plan {
  const order = p.fixed.map((_, k) => p.steps.length + k);
  let w: Walk | null = atStart(p);
  for (const [k, n] of order.entries()) {
    w = step(p, w, n);
    const f = p.fixed[k];
    demand(
      w,
      `one cannot be at ${f ? p.places[f.place] : ''} by minute ${f?.from} and home by ${p.end.at}`,
      '/busy',
    );
  }
  const value = worthOf(p, w);
  const { start, end, places } = p;
  demand(
    value,
    `from ${places[start.place]}${end.place < 0 ? '' : ` to ${places[end.place]}`} one is not done by minute ${end.at}`,
    '/end/at',
  );
  return { order, value };
}

function best(p: Problem, request: DayRequest): { plan: Plan; whole: boolean } {
  const { seed = 1, timeLimitMs } = request;
  const stop = timeLimitMs === undefined ? Number.POSITIVE_INFINITY : performance.now() + timeLimitMs;
  const late = () => performance.now() > stop;
  const empty = bare(p);
  if (p.steps.length === 0) return { plan: empty, whole: true };
  const first = search(p, empty, seed, FIRST, late);
  if (p.steps.length + p.fixed.length <= MOST_IN_A_SET) {
    const open = p.jobs.filter((j) => j.steps.length > 0).length;
    const all = exact(p, first, open > WHOLE.jobs ? WHOLE.beyond : WHOLE.upTo, late);
    if (all.whole) return all;
  }
  const more = search(p, empty, seed + 1, MANY, late);
  return { plan: compare(more.value, first.value) < 0 ? more : first, whole: false };
}

/** What no day can be better than. When it ends is told for days that leave no more than the one found. */
function boundOf(p: Problem, { mustLeft, worthLeft }: DayValue): DayAnswer['lowerBound'] {
  const root = bounds(p)(atStart(p));
  const least = Math.max(0, root?.worthLeft ?? 0);
  // Whoever leaves more may be done sooner.
  const asMuch = root !== null && root.mustLeft >= mustLeft && least >= worthLeft - 1e-9;
  return { worthLeft: least, finish: asMuch ? root.finish : p.start.at };
}

/** On the way from one place to another. */
export interface Way {
  from: string;
  to: string;
  leave: number;
  arrive: number;
}

interface Stay {
  place: number;
  arrive: number;
  leave: number;
  jobs: number[];
}

/** Where the technician is when, from the order, and the ways between. */
function staysOf(p: Problem, order: number[], end: number): { stays: Stay[]; ways: Way[] } {
  let w = atStart(p);
  const here = p.jobs.flatMap((j, i) =>
    j.stays && j.steps.length === 0 && j.place === w.place && j.runs > w.at ? [i] : [],
  );
  const ways: Way[] = [];
  const name = (place: number) => p.places[place] ?? '';
  const stays: Stay[] = [{ place: w.place, arrive: w.at, leave: end, jobs: here }];
  for (const n of order) {
    const next = step(p, w, n) as Walk;
    if (next.place !== w.place) {
      const minutes = (p.ways.minutes[w.place] as number[])[next.place] as number;
      const leave = clear(p, Math.max(w.at, w.stay), minutes);
      (stays.at(-1) as Stay).leave = leave;
      ways.push({ from: name(w.place), to: name(next.place), leave, arrive: leave + minutes });
      stays.push({ place: next.place, arrive: leave + minutes, leave: end, jobs: [] });
    }
    const job = p.steps[n]?.job;
    const stay = stays.at(-1) as Stay;
    if (job !== undefined && !stay.jobs.includes(job)) stay.jobs.push(job);
    w = next;
  }
  const last = stays.at(-1) as Stay;
  last.leave = Math.max(w.at, w.stay);
  if (p.end.place >= 0) {
    const minutes = (p.ways.minutes[w.place] as number[])[p.end.place] as number;
    last.leave = clear(p, last.leave, minutes);
    if (w.place !== p.end.place)
      ways.push({
        from: name(w.place),
        to: name(p.end.place),
        leave: last.leave,
        arrive: last.leave + minutes,
      });
  }
  return { stays, ways };
}

/**
 * The best day of one technician with one pair of hands: which jobs, in which order, whose waits run while
 * the hands are elsewhere.
 *
 * What counts, the first first: musts left, worth left, when it ends, minutes travelled. Up to 30 steps all
 * orders are gone over, within a budget of steps and not of time; beyond, and where the budget ends, the best
 * of many that were tried stands with a bound.
 *
 * @param request jobs with their tasks, minutes of travel, begin and end; minutes from midnight
 * @returns visits and tasks with their minutes, what is left, when it ends, how likely it holds
 * @throws Refusal naming what is wrong: double or unknown ids, rings, minutes under 0, times the wrong way
 *   round, places without a way, an appointment that cannot be kept
 * @example day({ jobs: [{ id: 'a', place: 'kiosk', tasks: [{ id: 't', handsOn: 20, handsOff: 0 }] }], travel: [{ from: 'shop', to: 'kiosk', minutes: 5 }], start: { place: 'shop', at: 480 }, end: { at: 1020 } }).finish // 505
 */
export const day = (request: DayRequest): DayAnswer => dayWithWays(request).answer;

/**
 * The same with the ways between the visits and the appointments.
 *
 * @param request as {@link day} takes it
 * @returns the answer of `day`, and each way with its minutes
 * @throws Refusal as `day` does
 * @example dayWithWays(request).ways[0] // { from: 'shop', to: 'kiosk', leave: 480, arrive: 485 }
 */
export function dayWithWays(request: DayRequest): { answer: DayAnswer; ways: Way[] } {
  const { quantile = 0.5, seed = 1, samples = SAMPLES } = request;
  demand(quantile > 0 && quantile < 1, 'a quantile lies between 0 and 1', '/quantile');
  demand(
    Number.isInteger(samples) && samples >= 1 && samples <= 100_000,
    'samples are a whole number, 1 to 100,000',
    '/samples',
  );
  const p = readDay(request);
  const { plan, whole } = best(p, request);
  const { worthLeft, finish, travel } = plan.value;
  const likely = holds(p, plan.order, quantile, seed, samples);
  const done = new Set<number>();
  let w = atStart(p);
  const tasks = plan.order.flatMap((n) => {
    w = step(p, w, n) as Walk;
    const s: Step | undefined = p.steps[n];
    if (!s) return [];
    done.add(s.job);
    const end = w.ends[n] as number;
    return [{ job: p.jobs[s.job]?.id ?? '', task: s.id, start: end - s.off - s.on, end }];
  });
  const { stays, ways } = staysOf(p, plan.order, finish);
  const answer: DayAnswer = {
    visits: stays.flatMap((stay) =>
      stay.jobs.map((i) => ({
        job: p.jobs[i]?.id ?? '',
        place: p.places[stay.place] ?? '',
        arrive: stay.arrive,
        leave: stay.leave,
      })),
    ),
    tasks,
    left: p.jobs.flatMap((j, i) => (j.steps.length > 0 && !done.has(i) ? [j.id] : [])),
    worthLeft,
    finish,
    travelMinutes: travel,
    ...(likely === undefined ? {} : { holds: likely }),
    optimal: whole,
    lowerBound: whole ? { worthLeft, finish } : boundOf(p, plan.value),
  };
  return { answer, ways };
}
