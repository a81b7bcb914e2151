import { demand } from '../refusal';

/** One rung of a ladder with what it takes. */
export interface CostRung {
  id: string;
  minutes: number;
  /** parts, in minor units */
  parts?: number;
  /** a way there and back, in minor units */
  travel?: number;
  /** chance that it lasts, 0 to 1 */
  lasts: number;
}

export interface CostRequest {
  /** in the order in which they would be tried */
  remedies: CostRung[];
  /** an hour at work, in minor units */
  ratePerHour: number;
  /** what is left after the last: the price of referring it, in minor units, and its minutes */
  refer: { price: number; minutes?: number };
}

export interface CostAnswer {
  /** beginning with this rung, what it comes to in the end */
  costs: { id: string; expected: number; minutes: number }[];
  /** where to begin: least money, and least minutes; ties to the gentler rung */
  cheapest: string | null;
  soonest: string | null;
}

/** Chances are kept to millionths, so that money is reckoned in whole numbers all the way. */
const MILLION = 1_000_000n;

/** Half away from zero, of whole numbers. */
const divided = (a: bigint, b: bigint): bigint =>
  a >= 0n ? (2n * a + b) / (2n * b) : -((-2n * a + b) / (2n * b));

/**
 * What a repair comes to in the end, rung by rung: `E_k = minutes·rate + parts + travel + (1 − lasts_k)·E_{k+1}`,
 * after the last the price of referring it. Money is reckoned in whole numbers, in millionths of a minor
 * unit, and rounded once, half away from zero.
 *
 * Method: expectation over a fixed order of remedies, each lasting with its own chance.
 *
 * @param request remedies in their order; money in minor units
 * @returns for each rung the money and the minutes of beginning with it, and where to begin
 * @throws Refusal with the path of what cannot be
 * @example expectedCost({ remedies: [{ id: 'reseat', minutes: 6, lasts: 0.5 }], ratePerHour: 6000, refer: { price: 10000 } }).costs[0].expected // 5600
 */
export function expectedCost({ remedies, ratePerHour, refer }: CostRequest): CostAnswer {
  const money = (n: number, path: string): bigint => {
    demand(Number.isSafeInteger(n) && n >= 0, 'money is a whole number of minor units, 0 or more', path);
    return BigInt(n);
  };
  const rate = money(ratePerHour, '/ratePerHour');
  let left = money(refer.price, '/refer/price') * MILLION;
  demand((refer.minutes ?? 0) >= 0, 'minutes are 0 or more', '/refer/minutes');
  let minutes = refer.minutes ?? 0;
  const costs = remedies.map(({ id }) => ({ id, expected: 0, minutes: 0 }));
  const seen = new Set<string>();
  for (let k = remedies.length - 1; k >= 0; k--) {
    const r = remedies[k] as CostRung;
    const at = `/remedies/${k}`;
    demand(!seen.has(r.id), `${r.id} stands there twice`, `${at}/id`);
    seen.add(r.id);
    demand(r.minutes >= 0 && r.minutes <= 1e6, 'minutes are 0 or more', `${at}/minutes`);
    demand(r.lasts >= 0 && r.lasts <= 1, 'a chance lies in 0 to 1', `${at}/lasts`);
    // Minutes to thousandths, in whole numbers.
    const work = divided(BigInt(Math.round(r.minutes * 1000)) * rate * MILLION, 60_000n);
    const rest = BigInt(Math.round((1 - r.lasts) * 1e6));
    left =
      work +
      (money(r.parts ?? 0, `${at}/parts`) + money(r.travel ?? 0, `${at}/travel`)) * MILLION +
      divided(rest * left, MILLION);
    minutes = r.minutes + (1 - r.lasts) * minutes;
    costs[k] = { id: r.id, expected: Number(divided(left, MILLION)), minutes };
  }
  const least = (of: 'expected' | 'minutes') =>
    costs.reduce<(typeof costs)[number] | null>((a, b) => (a && a[of] <= b[of] ? a : b), null)?.id ?? null;
  return { costs, cheapest: least('expected'), soonest: least('minutes') };
}
