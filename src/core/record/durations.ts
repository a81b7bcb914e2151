import { type JobEvent, type Stop, worked } from '../job';

/** A longer pause between two entries is no work on the unit: a meal, another job. Common practice, no source. */
export const LONGEST_PAUSE = 30;
/** Handling one thing takes no longer; what does was something else as well. Common practice, no source. */
const LONGEST_MOVE = 10;

/** Minutes at work on one job. */
export interface Durations {
  /** by stop, pauses left out */
  stops: { stop: Stop; minutes: number }[];
  /** by kind of move, one for each */
  moves: { verb: string; minutes: number }[];
  /** by check of the map, one for each time it was made */
  checks: { check: string; minutes: number }[];
}

/**
 * Minutes at work, read from the times of the entries: from one to the next, where neither a wait nor a long
 * pause lies between.
 *
 * @param events of one job
 * @returns minutes by stop in the order of the work, by move, by check
 * @example durationsOf(events).stops // [{ stop: 'take in', minutes: 4 }, …]
 */
export function durationsOf(events: JobEvent[]): Durations {
  const stops = new Map<Stop, number>();
  const moves: Durations['moves'] = [];
  const checks: Durations['checks'] = [];
  for (const { event, minutes, stop, waited } of worked(events)) {
    if (waited || minutes <= 0 || minutes > LONGEST_PAUSE) continue;
    stops.set(stop, (stops.get(stop) ?? 0) + minutes);
    if (event.type === 'move.recorded' && minutes <= LONGEST_MOVE) moves.push({ verb: event.verb, minutes });
    if (event.type === 'check.recorded') checks.push({ check: event.check, minutes });
  }
  return { stops: [...stops].map(([stop, minutes]) => ({ stop, minutes })), moves, checks };
}
