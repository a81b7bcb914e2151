import { type DayAnswer, dayWithWays, type Way } from '../day';
import { type Left, whyLeft } from './left';
import { dayRequest, placesApart } from './request';
import type { DayHouse, DayOffer, DayPlan } from './types';

/** A task of the day: hands on it, then its wait. Minutes from midnight. */
export interface PlacedTask {
  job: string;
  task: string;
  start: number;
  /** the hands are free */
  over: number;
  /** its wait is over */
  end: number;
}

/** A day, worked out, with what is left and why. */
export interface WorkedOut {
  answer: DayAnswer;
  tasks: PlacedTask[];
  ways: Way[];
  left: Left[];
  /** places nobody has said the way to */
  apart: string[];
}

/**
 * Works a planned day out. Jobs at places without a way are left until somebody says how far it is.
 *
 * @param plan the day
 * @param offers jobs with what is left of them
 * @param house how far it is between places
 * @returns visits and tasks, what is left and why
 * @throws Refusal naming the field of the plan
 * @example workOut(plan, offers, house).answer.finish // 930
 */
export function workOut(plan: DayPlan, offers: DayOffer[], house: DayHouse): WorkedOut {
  const request = dayRequest(plan, offers, house);
  const apart = placesApart(request);
  const far = request.jobs.filter((j) => apart.includes(j.place));
  const away = new Set(far.map((j) => j.id));
  const near = {
    ...request,
    jobs: request.jobs.filter((j) => !away.has(j.id)),
    done: (request.done ?? []).filter((d) => !away.has(d.job)),
    order: (request.order ?? []).filter((id) => !away.has(id)),
  };
  const { answer, ways } = dayWithWays(near);
  const hands = new Map(
    near.jobs.flatMap((j) => j.tasks.map((t): [string, number] => [`${j.id}\n${t.id}`, t.handsOn])),
  );
  return {
    ways,
    tasks: answer.tasks.map((t) => ({ ...t, over: t.start + (hands.get(`${t.job}\n${t.task}`) ?? 0) })),
    answer: { ...answer, left: [...answer.left, ...away] },
    left: [
      ...whyLeft(near, answer.left),
      ...far.map((j) => ({
        job: j.id,
        why: `nobody said how far it is to ${j.place}`,
        unknown: true as const,
      })),
    ],
    apart,
  };
}
