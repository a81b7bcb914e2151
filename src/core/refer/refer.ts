import { demand } from '../refusal';

/** Whether the work is one's own: able and allowed, allowed only with a licence, or outside what one knows. */
export const COMPETENCES = ['own work', 'licensed work', 'not my field'] as const;

export interface ReferRequest {
  /** expected minutes to a finished repair */
  minutes: number;
  /** ISO 4217 code of all money here */
  currency: string;
  /** money per hour, minor units */
  ratePerHour: number;
  /** expected parts, minor units */
  parts: number;
  competence: (typeof COMPETENCES)[number];
  /** the maker or seller still owes the repair, and opening it would end that */
  warranty: boolean;
  /** the maker's fixed price, minor units; absent when there is none */
  makerPrice?: number;
  /** days until it is back from the maker */
  makerDays?: number;
  /** days until it could be done here */
  ownDays?: number;
  /** what a day without the unit costs its owner, minor units */
  dayCost?: number;
}

export interface ReferAnswer {
  advice: 'repair' | 'refer';
  /** minor units; days without the unit included */
  repairCost: number;
  /** null when nothing is known of the maker's price */
  referCost: number | null;
  /** what decided it, the weightiest first */
  reasons: string[];
}

const money = (n: number, currency: string) => `${(n / 100).toFixed(2)}\u00a0${currency}`;

/**
 * Whether to repair here or to refer: licensed work, a missing competence and a running warranty
 * decide by themselves; otherwise the cheaper way, days without the unit counted.
 * Common practice, no source.
 *
 * @param r minutes, days, money in minor units of one currency
 * @returns advice with both costs and the reasons in words
 * @throws Refusal when a figure is negative or not a number
 * @example weighReferral({ minutes: 60, currency: 'EUR', ratePerHour: 6000, parts: 1500, competence: 'own work', warranty: false, makerPrice: 12000 }).advice // 'repair'
 */
export function weighReferral(r: ReferRequest): ReferAnswer {
  for (const [name, value] of Object.entries(r))
    if (typeof value === 'number')
      demand(Number.isFinite(value) && value >= 0, 'type a figure of 0 or more', `/${name}`);
  demand(/^[A-Z]{3}$/.test(r.currency), 'give the currency as three letters, such as EUR', '/currency');
  const day = r.dayCost ?? 0;
  const repairCost = Math.round((r.minutes / 60) * r.ratePerHour + r.parts + (r.ownDays ?? 0) * day);
  const referCost = r.warranty
    ? Math.round((r.makerDays ?? 0) * day)
    : r.makerPrice === undefined
      ? null
      : Math.round(r.makerPrice + (r.makerDays ?? 0) * day);
  const reasons: string[] = [];
  if (r.competence === 'licensed work')
    reasons.push('this work is reserved to licensed people: local codes decide who may do it');
  if (r.competence === 'not my field') reasons.push('it is outside what you know well');
  if (r.warranty) reasons.push('the warranty still runs, and opening it may end it');
  const figures =
    referCost === null
      ? `about ${money(repairCost, r.currency)} to repair here; the maker’s price is not known`
      : `about ${money(repairCost, r.currency)} to repair here, ${money(referCost, r.currency)} to refer`;
  const advice = reasons.length || (referCost !== null && referCost < repairCost) ? 'refer' : 'repair';
  return { advice, repairCost, referCost, reasons: [...reasons, figures] };
}
