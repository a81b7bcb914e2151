import { demand } from '../refusal';
import { betaQuantile } from './beta';
import { sure } from './confidence';

export interface LastingRequest {
  /** remedies that lasted for the days that count */
  lasted: number;
  cameBack: number;
  /** what was thought before, and how many remedies that is worth */
  prior?: { mean: number; count: number };
  confidence?: number;
}
export interface LastingAnswer {
  /** that the next one lasts */
  chance: number;
  low: number;
  high: number;
}

/** What is thought of a remedy that nothing is known of: as likely as not, worth two of them. */
const NOTHING_KNOWN = { mean: 0.5, count: 2 };

/**
 * Chance that a remedy lasts.
 *
 * Method: Beta(lasted + m·c, came back + (1 − m)·c), its mean, and an interval of equal tails (Bayes with
 * a conjugate prior; Gelman et al., Bayesian Data Analysis, 2.4, from memory).
 *
 * @param request counts from 0 up; prior mean 0 to 1 with its count, 0.5 and 2 when absent
 * @returns chance, low and high, 0 to 1
 * @throws Refusal when a count is under 0, the mean no share, or nothing at all is known
 * @example lasting({ lasted: 8, cameBack: 2 }).chance // 0.75
 */
export function lasting({
  lasted,
  cameBack,
  prior = NOTHING_KNOWN,
  confidence,
}: LastingRequest): LastingAnswer {
  const c = sure(confidence);
  demand(Number.isFinite(lasted) && lasted >= 0, 'lasted is not under 0', '/lasted');
  demand(Number.isFinite(cameBack) && cameBack >= 0, 'cameBack is not under 0', '/cameBack');
  demand(prior.mean >= 0 && prior.mean <= 1, 'the mean lies in 0 to 1', '/prior/mean');
  demand(Number.isFinite(prior.count) && prior.count >= 0, 'the count is not under 0', '/prior/count');
  const a = lasted + prior.mean * prior.count;
  const b = cameBack + (1 - prior.mean) * prior.count;
  demand(
    a + b > 0,
    'nothing is known: no remedy was followed, and the prior counts for none',
    '/prior/count',
  );
  const chance = a / (a + b);
  // Where one side has nothing for it, all of the law stands at that end.
  if (a === 0 || b === 0) return { chance, low: chance, high: chance };
  return { chance, low: betaQuantile((1 - c) / 2, a, b), high: betaQuantile((1 + c) / 2, a, b) };
}
