import type { DayAnswer } from '../../core/day';
import { clockIn, type DayPlan, minutesIn } from '../../core/day-plan';

/** The hours a strip shows, as minutes from midnight. */
export interface Axis {
  from: number;
  until: number;
  hours: { at: number; words: string }[];
}

const HOUR = 60;

/** From the hour the day begins in to the hour in which all of it is over. */
export function axisOf(plan: DayPlan, answer: DayAnswer | null): Axis {
  const begin = minutesIn(plan, plan.start.at, '/start/at');
  const close = plan.end.at <= plan.start.at ? 24 * HOUR : minutesIn(plan, plan.end.at, '/end/at');
  const last = Math.max(
    close,
    answer?.finish ?? 0,
    ...(answer?.tasks ?? []).map((t) => Math.min(t.end, close + 60)),
  );
  const from = Math.floor(begin / HOUR) * HOUR;
  const until = Math.max(from + HOUR, Math.ceil(last / HOUR) * HOUR);
  const hours = [];
  for (let at = from; at <= until; at += HOUR) hours.push({ at, words: clockIn(plan, at) });
  return { from, until, hours };
}

/** Where a minute lies on a strip, percent. */
export const placeOn = (axis: Axis, minute: number): number =>
  Math.max(0, Math.min(100, ((minute - axis.from) / (axis.until - axis.from)) * 100));
