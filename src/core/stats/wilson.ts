import { demand } from '../refusal';
import { sure } from './confidence';
import { normalQuantile } from './normal';

export interface WilsonRequest {
  successes: number;
  trials: number;
  confidence?: number;
}
/** A share with its interval; nothing where there was no trial. */
export interface WilsonAnswer {
  share: number | null;
  low: number | null;
  high: number | null;
}

/**
 * A share with its interval, good for the small counts of a workshop.
 *
 * Method: Wilson, Probable inference, JASA 22, 1927, without continuity correction.
 *
 * @param request whole numbers; confidence over 0 and under 1, 0.95 when absent
 * @returns share, low and high, 0 to 1; null for no trials
 * @throws Refusal when a number is not whole, or there are more successes than trials
 * @example wilson({ successes: 8, trials: 10 }) // { share: 0.8, low: 0.490, high: 0.943 }
 */
export function wilson({ successes, trials, confidence }: WilsonRequest): WilsonAnswer {
  const c = sure(confidence);
  for (const [name, x] of [
    ['successes', successes],
    ['trials', trials],
  ] as const)
    demand(Number.isInteger(x) && x >= 0, `${name} is a whole number from 0 up, not ${x}`, `/${name}`);
  demand(successes <= trials, `${successes} of ${trials} cannot be`, '/successes');
  if (trials === 0) return { share: null, low: null, high: null };
  const z2 = normalQuantile((1 + c) / 2) ** 2;
  const share = successes / trials;
  const middle = (successes + z2 / 2) / (trials + z2);
  const half =
    (Math.sqrt(z2) / (trials + z2)) * Math.sqrt((successes * (trials - successes)) / trials + z2 / 4);
  // At the ends the interval touches them; sums of fractions may miss that by a hair.
  return {
    share,
    low: successes === 0 ? 0 : middle - half,
    high: successes === trials ? 1 : middle + half,
  };
}
