import { demand } from '../refusal';

const ROUNDS = 60;
const ENOUGH = 1e-16;

/** The tail of the normal law beyond x > 0, by its continued fraction. Abramowitz and Stegun 26.2.14. */
function tail(x: number): number {
  let f = x;
  for (let k = 120; k >= 1; k--) f = x + k / f;
  return Math.exp((-x * x) / 2) / (Math.sqrt(2 * Math.PI) * f);
}

/**
 * Share of the standard normal law below x: by its series (Abramowitz and Stegun 26.2.11) near the middle,
 * by the continued fraction of its tail beyond.
 *
 * @param x in standard deviations
 * @returns a share, 0 to 1
 * @example normalBelow(1.96) // 0.975
 */
export function normalBelow(x: number): number {
  if (x > 4) return 1 - tail(x);
  if (x < -4) return tail(-x);
  let term = x;
  let sum = x;
  for (let k = 1; Math.abs(term) > ENOUGH * Math.abs(sum); k++) {
    term *= (x * x) / (2 * k + 1);
    sum += term;
  }
  return 0.5 + (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * sum;
}

/**
 * The point below which a share of the standard normal law lies: by halving, then Newton.
 *
 * @param p share, over 0 and under 1
 * @returns standard deviations
 * @throws Refusal when p is not between 0 and 1
 * @example normalQuantile(0.975) // 1.95996
 */
export function normalQuantile(p: number): number {
  demand(p > 0 && p < 1, `a share lies between 0 and 1, not ${p}`, '/p');
  if (p > 0.5) return -normalQuantile(1 - p);
  let low = -40;
  let high = 0;
  for (let k = 0; k < ROUNDS; k++) {
    const middle = (low + high) / 2;
    if (normalBelow(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
