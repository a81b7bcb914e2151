import { demand } from '../refusal';
import { normalQuantile } from './normal';

export interface LognormalRequest {
  /** durations, over 0 */
  minutes: number[];
  /** shares, over 0 and under 1 */
  quantiles: number[];
  /** minutes that stand for them while few are known */
  default?: number;
}
export interface LognormalAnswer {
  n: number;
  median: number;
  /** of the logarithm */
  sigma: number;
  quantiles: { p: number; minutes: number }[];
  method: 'lognormal' | 'default';
}

/** Durations from which on they speak for themselves. Common practice, no source. */
export const FEWEST_DURATIONS = 5;
/** A default is off by half in one of five cases, upward or downward. Common practice, no source. */
const DEFAULT_SPREAD = 1.5;

/**
 * How long something takes, from how long it took.
 *
 * Method: mean and sample deviation (n − 1) of the logarithms, quantiles with these put in; below five
 * durations the default as median and σ = ln 1.5 / z(0.9).
 *
 * @param request minutes over 0, shares between 0 and 1, the default
 * @returns median and quantiles in minutes, σ of the logarithm, and which of the two it was
 * @throws Refusal when a duration is not over 0, a share is none, or a default is missed
 * @example lognormal({ minutes: [], quantiles: [0.9], default: 10 }).quantiles[0].minutes // 15
 */
export function lognormal(request: LognormalRequest): LognormalAnswer {
  const { minutes, quantiles } = request;
  minutes.forEach((m, i) => {
    demand(Number.isFinite(m) && m > 0, `a duration is over 0 minutes, not ${m}`, `/minutes/${i}`);
  });
  quantiles.forEach((p, i) => {
    demand(p > 0 && p < 1, `a share lies between 0 and 1, not ${p}`, `/quantiles/${i}`);
  });
  const usual = request.default;
  demand(
    usual === undefined || (Number.isFinite(usual) && usual > 0),
    'the default is over 0 minutes',
    '/default',
  );
  const n = minutes.length;
  const known = n >= FEWEST_DURATIONS;
  demand(
    known || usual !== undefined,
    `${n} durations are too few to speak for themselves: give the default, or ${FEWEST_DURATIONS} of them`,
    '/default',
  );
  const logs = minutes.map(Math.log);
  const mean = logs.reduce((a, b) => a + b, 0) / n;
  const variance = logs.reduce((a, b) => a + (b - mean) ** 2, 0) / (n - 1);
  const mu = known ? mean : Math.log(usual as number);
  const sigma = known ? Math.sqrt(variance) : Math.log(DEFAULT_SPREAD) / normalQuantile(0.9);
  return {
    n,
    median: Math.exp(mu),
    sigma,
    quantiles: quantiles.map((p) => ({ p, minutes: Math.exp(mu + sigma * normalQuantile(p)) })),
    method: known ? 'lognormal' : 'default',
  };
}
