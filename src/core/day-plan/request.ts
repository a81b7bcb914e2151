import type { DayRequest } from '../day';
import { demand } from '../refusal';
import { clockAt, minutesAt, minutesTo } from './clock';
import { PLANNED_SHARE } from './estimate';
import type { DayHouse, DayOffer, DayPlan, PlannedJob } from './types';

/** The wait that runs already, as a task that was done. */
const RUNS = 'runs';

/** Whether a day goes on over midnight: it ends at an earlier time of the clock than it begins. */
const overNight = ({ start, end }: DayPlan): boolean => end.at <= start.at;

/**
 * Minutes from the midnight a day begins with to a time of its clock; after midnight where the day goes on
 * over it.
 *
 * @param plan the day
 * @param clock as 14:30
 * @param path of the field
 * @returns minutes that go by
 * @throws Refusal for no time of the clock
 * @example minutesIn(plan, '14:30', '/end/at') // 870
 */
export const minutesIn = (plan: DayPlan, clock: string, path: string): number =>
  minutesAt(plan.day, clock, plan.zone, path, overNight(plan) && clock < plan.start.at ? 1 : 0);

const endOf = (plan: DayPlan): number =>
  minutesAt(plan.day, plan.end.at, plan.zone, '/end/at', overNight(plan) ? 1 : 0);

/**
 * Makes sure that a day can be kept: its times are times, everything in it once.
 *
 * @param plan as it was typed
 * @throws Refusal naming the field
 * @example demandPlan({ ...plan, person: '' }) // throws: say whose day it is
 */
export function demandPlan(plan: DayPlan): void {
  demand(plan.person.trim() !== '', 'say whose day it is', '/person');
  demand(plan.start.place.trim() !== '', 'say where the day begins', '/start/place');
  minutesAt(plan.day, plan.start.at, plan.zone, '/start/at');
  endOf(plan);
  const seen = new Set<string>();
  plan.jobs.forEach((j, i) => {
    demand(!seen.has(j.job), 'this job is in the day already', `/jobs/${i}/job`);
    seen.add(j.job);
    windowOf(plan, j, `/jobs/${i}`);
  });
  plan.busy.forEach((b, i) => {
    const from = minutesIn(plan, b.from, `/busy/${i}/from`);
    const until = minutesIn(plan, b.until, `/busy/${i}/until`);
    demand(until > from, `${b.until} is not after ${b.from}`, `/busy/${i}/until`);
  });
  if (plan.since) minutesIn(plan, plan.since.at, '/since/at');
}

function windowOf(plan: DayPlan, j: PlannedJob, path: string): { from?: number; until?: number } {
  const from = j.from ? minutesIn(plan, j.from, `${path}/from`) : undefined;
  const until = j.until ? minutesIn(plan, j.until, `${path}/until`) : undefined;
  demand(
    from === undefined || until === undefined || until >= from,
    `over by ${j.until}, and not before ${j.from}`,
    `${path}/until`,
  );
  return { ...(from === undefined ? {} : { from }), ...(until === undefined ? {} : { until }) };
}

/**
 * A day as it is worked out: the jobs of the plan that are still to be done, with their minutes, from the
 * begin of the day or from where it was planned anew.
 *
 * @param plan the day
 * @param offers jobs with what is left of them
 * @param house how far it is between places
 * @returns what `day` takes
 * @throws Refusal naming the field of the plan
 * @example dayRequest(plan, offers, house).quantile // 0.7
 */
export function dayRequest(plan: DayPlan, offers: DayOffer[], house: DayHouse): DayRequest {
  demandPlan(plan);
  const by = new Map(offers.map((o) => [o.job, o]));
  const begins = minutesAt(plan.day, plan.start.at, plan.zone, '/start/at');
  const ends = endOf(plan);
  const at = plan.since ? Math.max(begins, minutesIn(plan, plan.since.at, '/since/at')) : begins;
  // Past its end nothing fits any more, and nobody has to be home by then.
  const over = at > ends;
  const done: NonNullable<DayRequest['done']> = [];
  const jobs = plan.jobs.flatMap((j, i) => {
    const o = by.get(j.job);
    if (!o || o.tasks.length === 0) return [];
    const place = j.place?.trim() || o.place;
    demand(place, `say where ${o.tag} is`, `/jobs/${i}/place`);
    const { from, until } = windowOf(plan, j, `/jobs/${i}`);
    const better = new Map((j.minutes ?? []).map((m) => [m.task, m]));
    const runs = o.runs && minutesTo(plan.day, o.runs.until, plan.zone);
    if (runs !== undefined) done.push({ job: o.job, task: RUNS, end: runs });
    return [
      {
        id: o.job,
        place,
        ...(from === undefined ? {} : { from }),
        ...(until === undefined ? {} : { until }),
        ...(j.must ? { mustToday: true } : {}),
        ...(j.worth === undefined ? {} : { worth: j.worth }),
        ...(j.mayLeave ? { mayLeave: true } : {}),
        tasks: [
          ...(runs === undefined ? [] : [{ id: RUNS, handsOn: 0, handsOff: 0 }]),
          ...o.tasks.map((t, k) => {
            const b = better.get(t.id);
            return {
              id: t.id,
              handsOn: b?.handsOn ?? t.handsOn,
              handsOff: b?.handsOff ?? t.handsOff,
              // Minutes that somebody knows vary no less.
              sigma: t.sigma,
              after: [...(t.after ?? []), ...(runs !== undefined && k === 0 ? [RUNS] : [])],
            };
          }),
        ],
      },
    ];
  });
  const inside = new Set(jobs.map((j) => j.id));
  return {
    jobs,
    travel: house.travel,
    start: { place: plan.since?.place.trim() || plan.start.place, at },
    end: {
      ...(plan.end.place?.trim() && !over ? { place: plan.end.place.trim() } : {}),
      at: Math.max(at, ends),
    },
    ...(done.length ? { done } : {}),
    ...(plan.order.length ? { order: plan.order.filter((id) => inside.has(id)) } : {}),
    busy: plan.busy.map((b, i) => ({
      from: minutesIn(plan, b.from, `/busy/${i}/from`),
      until: minutesIn(plan, b.until, `/busy/${i}/until`),
      ...(b.place?.trim() ? { place: b.place.trim() } : {}),
    })),
    quantile: PLANNED_SHARE,
    seed: 1,
  };
}

/**
 * Places of a day between which nobody has said how far it is.
 *
 * @param request the day
 * @returns places without any way from the start
 * @example placesApart(request) // ['pier head']
 */
export function placesApart(
  request: Pick<DayRequest, 'jobs' | 'start' | 'end' | 'busy' | 'travel'>,
): string[] {
  const near = new Set([request.start.place]);
  for (let grown = true; grown; ) {
    grown = false;
    for (const { from, to } of request.travel)
      if (near.has(from) !== near.has(to)) {
        near.add(from).add(to);
        grown = true;
      }
  }
  const wanted = [
    request.end.place,
    ...request.jobs.map((j) => j.place),
    ...(request.busy ?? []).map((b) => b.place),
  ];
  return [...new Set(wanted.filter((p): p is string => p !== undefined && !near.has(p)))];
}

/** A time of the day’s clock, in words for the strip. */
export const clockIn = (plan: Pick<DayPlan, 'day' | 'zone'>, minutes: number): string =>
  clockAt(plan.day, minutes, plan.zone);
