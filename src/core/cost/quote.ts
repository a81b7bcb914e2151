import { demand } from '../refusal';

/** Ways that can be offered to an owner. */
export const ALTERNATIVES = ['like for like', 'better one', 'used or donor part', 'refer', 'retire'] as const;
export type Alternative = (typeof ALTERNATIVES)[number];

/** One way of a quote. */
export interface QuoteLine {
  way: Alternative;
  /** what is done, in words */
  what: string;
  /** hands on */
  minutes: number;
  /** parts or a price of others, in minor units */
  parts: number;
  /** days until it can be done: delivery, the maker */
  days?: number;
  /** chance that it mends the unit, 0 to 1 */
  chance?: number;
  /** what it leaves open */
  leaves?: string;
}

/**
 * Price of one way: minutes at the rate, and parts, rounded once, half up.
 *
 * @param line minutes, and money in minor units
 * @param ratePerHour in minor units
 * @returns minor units
 * @throws Refusal naming the field that cannot be
 * @example priceOf({ way: 'like for like', what: 'new lead', minutes: 20, parts: 1250 }, 6000) // 3250
 */
export function priceOf(line: Pick<QuoteLine, 'minutes' | 'parts'>, ratePerHour: number): number {
  demand(line.minutes >= 0 && line.minutes <= 100_000, 'minutes are 0 or more', '/minutes');
  demand(
    Number.isSafeInteger(line.parts) && line.parts >= 0,
    'a price is an amount of money, 0 or more',
    '/parts',
  );
  demand(
    Number.isSafeInteger(ratePerHour) && ratePerHour >= 0,
    'a rate is an amount of money',
    '/ratePerHour',
  );
  return Math.floor((Math.round(line.minutes * 1000) * ratePerHour + 30_000) / 60_000) + line.parts;
}
