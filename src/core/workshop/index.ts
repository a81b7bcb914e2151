import { demand } from '../refusal';

/** What a workshop says of itself on what it hands out, and what it reckons with. */
export interface Workshop {
  name: string;
  /** its address, line by line */
  address: string;
  /** a picture in the file store */
  logo?: string;
  /** three letters: EUR */
  currency: string;
  /** an hour at work, in minor units of the currency */
  ratePerHour: number;
  /** months of its own warranty; none where 0 */
  warrantyMonths: number;
}

/** A workshop that has said nothing of itself yet. Rates: common practice, no source. */
export const NEW_WORKSHOP: Workshop = {
  name: '',
  address: '',
  currency: 'EUR',
  ratePerHour: 6000,
  warrantyMonths: 0,
};

/**
 * Makes sure that a workshop can be reckoned with.
 *
 * @param w as it was typed
 * @throws Refusal naming the field
 * @example demandWorkshop({ ...NEW_WORKSHOP, currency: 'euro' }) // throws: give the currency as three letters, such as EUR
 */
export function demandWorkshop(w: Workshop): void {
  demand(/^[A-Z]{3}$/.test(w.currency), 'give the currency as three letters, such as EUR', '/currency');
  demand(
    Number.isInteger(w.ratePerHour) && w.ratePerHour >= 0,
    'a rate is an amount of money, 0 or more',
    '/ratePerHour',
  );
  demand(
    Number.isInteger(w.warrantyMonths) && w.warrantyMonths >= 0 && w.warrantyMonths <= 120,
    'a warranty is a whole number of months, 0 to 120',
    '/warrantyMonths',
  );
}

/**
 * Last day of a warranty that begins on a day.
 *
 * @param from the day it is handed over, as 2026-11-30
 * @param months of it
 * @returns the day so many months on, the last of its month where there is no such day
 * @example warrantyEnd('2026-11-30', 3) // '2027-02-28'
 */
export function warrantyEnd(from: string, months: number): string {
  const [y = 0, m = 1, d = 1] = from.split('-').map(Number);
  const last = new Date(Date.UTC(y, m + months, 0)).getUTCDate();
  return new Date(Date.UTC(y, m - 1 + months, Math.min(d, last))).toISOString().slice(0, 10);
}
