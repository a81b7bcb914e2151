import type { DayAnswer } from '../../core/day';
import { clockIn, type DayPlan, minutesIn } from '../../core/day-plan';

/** The hours a strip shows, as minutes from midnight. */
export interface Axis {
  from: number;
  until: number;
  hours: { at: number; words: string }[];
}

const HOUR = 60;

const CLOCK = /^\d\d:\d\d$/;
/** Hours shown where a day says none that can be read. */
const USUAL = { from: 8 * HOUR, until: 17 * HOUR };

function spanOf(plan: DayPlan, answer: DayAnswer | null): { from: number; until: number } {
  if (!CLOCK.test(plan.start.at) || !CLOCK.test(plan.end.at)) return USUAL;
  const from = minutesIn(plan, plan.start.at, '/start/at');
  const close = minutesIn(plan, plan.end.at, '/end/at');
  // A last wait that runs on after the day is shown for an hour of it.
  const last = (answer?.tasks ?? []).map((t) => Math.min(t.end, close + HOUR));
  return { from, until: Math.max(close, answer?.finish ?? 0, ...last) };
}

/** From the hour the first day begins in to the hour in which all of them are over. */
export function axisOf(days: { plan: DayPlan; answer: DayAnswer | null }[]): Axis {
  const spans = days.map((d) => spanOf(d.plan, d.answer));
  const from = Math.floor(Math.min(...spans.map((s) => s.from)) / HOUR) * HOUR;
  const until = Math.max(from + HOUR, Math.ceil(Math.max(...spans.map((s) => s.until)) / HOUR) * HOUR);
  const [first] = days;
  const hours = [];
  for (let at = from; at <= until; at += HOUR)
    hours.push({ at, words: first ? clockIn(first.plan, at) : '' });
  return { from, until, hours };
}

/** Where a minute lies on a strip, percent. */
export const placeOn = (axis: Axis, minute: number): number =>
  Math.max(0, Math.min(100, ((minute - axis.from) / (axis.until - axis.from)) * 100));
