import { type DayRequest, day } from '../day';

/** Why a job is left for another day. */
export interface Left {
  job: string;
  why: string;
  /** nobody knows yet whether it fits */
  unknown?: true;
}

/** Steps one job is tried with. */
const ALONE_MS = 200;

/**
 * Why jobs do not fit: whether each would fit if it were the only one.
 *
 * @param request the day
 * @param left ids of what is left
 * @returns one line for each
 * @example whyLeft(request, ['a'])[0]?.why // 'no room beside the others'
 */
export function whyLeft(request: DayRequest, left: string[]): Left[] {
  return left.map((id) => {
    const alone = (until: boolean) => {
      const jobs = request.jobs
        .filter((j) => j.id === id)
        .map(({ until: over, ...j }) => (until && over !== undefined ? { ...j, until: over } : j));
      const done = (request.done ?? []).filter((d) => d.job === id);
      return day({ ...request, jobs, done, order: [], samples: 1, timeLimitMs: ALONE_MS }).left.length === 0;
    };
    if (alone(true)) return { job: id, why: 'no room beside the others' };
    return {
      job: id,
      why: alone(false) ? 'not over by the time it has to be' : 'longer than what is left of the day',
    };
  });
}
