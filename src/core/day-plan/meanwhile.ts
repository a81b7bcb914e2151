import { wayBetween } from '../day';
import type { DayHouse, DayOffer } from './types';

/** A job whose next task fits into a wait. */
export interface Meanwhile {
  job: string;
  tag: string;
  unit: string;
  words: string;
  /** with the way there and back */
  minutes: number;
  /** it is elsewhere: what waits is left alone meanwhile */
  elsewhere: boolean;
}

/**
 * What fits into a wait: next tasks of other jobs that are here, with the way there and back where that is
 * known, those at the same place first, the longest of them.
 *
 * @param wait minutes of it
 * @param here the job that waits, and its place
 * @param offers jobs that are here
 * @param house how far it is between places
 * @returns those that are over by then
 * @example meanwhile(30, { job: 'a', place: 'kiosk' }, offers, house)[0]?.tag // 'SP-109'
 */
export function meanwhile(
  wait: number,
  here: { job: string; place: string },
  offers: DayOffer[],
  { travel }: DayHouse,
): Meanwhile[] {
  return offers
    .flatMap((o) => {
      const [task] = o.tasks;
      const [there, back] = [
        wayBetween(travel, here.place, o.place),
        wayBetween(travel, o.place, here.place),
      ];
      if (o.job === here.job || !task || o.parked || o.runs || there === null || back === null) return [];
      const minutes = there + task.handsOn + back;
      const elsewhere = o.place !== here.place;
      return minutes <= wait
        ? [{ job: o.job, tag: o.tag, unit: o.unit, words: task.words, minutes, elsewhere }]
        : [];
    })
    .sort(
      (a, b) =>
        Number(a.elsewhere) - Number(b.elsewhere) || b.minutes - a.minutes || (a.tag < b.tag ? -1 : 1),
    );
}
