/** Lanczos, g = 7, nine terms: the logarithm of the gamma function to fifteen digits (from memory). */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

function lnGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x);
  const z = x - 1;
  const t = z + 7.5;
  let sum = LANCZOS[0] as number;
  for (let i = 1; i < LANCZOS.length; i++) sum += (LANCZOS[i] as number) / (z + i);
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

const TINY = 1e-300;
const MOST_TERMS = 10_000;

/** The continued fraction of the incomplete beta function, by Lentz. Abramowitz and Stegun 26.5.8. */
function fraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / nonzero(1 - ((a + b) * x) / (a + 1));
  let f = d;
  for (let m = 1; m < MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / nonzero(1 + even * d);
    c = nonzero(1 + even / c);
    f *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / nonzero(1 + odd * d);
    c = nonzero(1 + odd / c);
    const step = d * c;
    f *= step;
    if (Math.abs(step - 1) < 1e-15) break;
  }
  return f;
}
const nonzero = (x: number): number => (Math.abs(x) < TINY ? TINY : x);

/**
 * Share of a beta law below x: the regularised incomplete beta function.
 *
 * @param x 0 to 1
 * @param a over 0
 * @param b over 0
 * @returns a share, 0 to 1
 * @example betaBelow(0.5, 2, 2) // 0.5
 */
export function betaBelow(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(lnGamma(a + b) - lnGamma(a) - lnGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2)
    ? (front * fraction(x, a, b)) / a
    : 1 - (front * fraction(1 - x, b, a)) / b;
}

/** As many as it takes down to the least number there is. */
const HALVINGS = 1100;

/**
 * The point below which a share of a beta law lies, by halving.
 *
 * @param p share, 0 to 1
 * @param a over 0
 * @param b over 0
 * @returns a number from 0 to 1
 * @example betaQuantile(0.5, 2, 2) // 0.5
 */
export function betaQuantile(p: number, a: number, b: number): number {
  let low = 0;
  let high = 1;
  for (let k = 0; k < HALVINGS && high > low; k++) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    if (betaBelow(middle, a, b) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
