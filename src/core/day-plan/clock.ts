import { TZDate } from '@date-fns/tz';
import { demandDay } from '../job';
import { demand } from '../refusal';

const CLOCK = /^([01]\d|2[0-3]):([0-5]\d)$/;
const MINUTE = 60_000;

function partsOf(day: string): [number, number, number] {
  demandDay(day, '/day');
  return day.split('-').map(Number) as [number, number, number];
}

/** The moment of a clock on a day, in a zone; days later where asked. */
function moment(day: string, clock: string, zone: string, later: number, path: string): number {
  const read = CLOCK.exec(clock);
  demand(read, `${clock || 'that'} is no time of the clock: write it as 08:30`, path);
  const [y, m, d] = partsOf(day);
  const at = new TZDate(y, m - 1, d + later, Number(read[1]), Number(read[2]), zone).getTime();
  demand(Number.isFinite(at), `${zone} is no zone of the clock`, '/zone');
  return at;
}

/**
 * Minutes that go by from midnight to a time of the clock. In a night in which the clocks are changed they
 * are what goes by, not what the hands show.
 *
 * @param day as 2026-11-27
 * @param clock as 08:30
 * @param zone of the tz database
 * @param path of the field
 * @param later days later
 * @returns minutes from the midnight the day begins with
 * @throws Refusal for no day, no time, no zone
 * @example minutesAt('2026-11-27', '08:30', 'UTC', '/from') // 510
 */
export const minutesAt = (day: string, clock: string, zone: string, path: string, later = 0): number =>
  (moment(day, clock, zone, later, path) - moment(day, '00:00', zone, 0, '/day')) / MINUTE;

/**
 * The moment so many minutes after the midnight of a day.
 *
 * @param day as 2026-11-27
 * @param minutes that go by
 * @param zone of the tz database
 * @returns the moment
 * @example momentAt('2026-11-27', 510, 'UTC').toISOString() // '2026-11-27T08:30:00.000Z'
 */
export const momentAt = (day: string, minutes: number, zone: string): Date =>
  new Date(moment(day, '00:00', zone, 0, '/day') + Math.round(minutes * MINUTE));

const two = (n: number) => String(n).padStart(2, '0');

/**
 * What the clock shows so many minutes after the midnight of a day, to the minute.
 *
 * @param day as 2026-11-27
 * @param minutes that go by
 * @param zone of the tz database
 * @returns as 08:30
 * @example clockAt('2026-11-27', 510, 'UTC') // '08:30'
 */
export function clockAt(day: string, minutes: number, zone: string): string {
  const at = new TZDate(momentAt(day, Math.round(minutes), zone).getTime(), zone);
  return `${two(at.getHours())}:${two(at.getMinutes())}`;
}

/**
 * Minutes from the midnight of a day to a moment.
 *
 * @param day as 2026-11-27
 * @param at the moment, ISO
 * @param zone of the tz database
 * @returns minutes; under 0 before it
 * @example minutesTo('2026-11-27', '2026-11-27T08:30:00Z', 'UTC') // 510
 */
export const minutesTo = (day: string, at: string, zone: string): number =>
  (Date.parse(at) - moment(day, '00:00', zone, 0, '/day')) / MINUTE;
