import type { FitVerdict } from './sheet';

/** Verdicts from the best to the one that decides against. */
const RANK: FitVerdict[] = ['pass', 'warn', 'fits after work', 'not known', 'fail'];

/**
 * The verdict over all lines: the worst decides. What is not known keeps a pass from being one only
 * where it must be known.
 *
 * @param lines verdict of each, and whether nothing is called fitting without it
 * @returns the worst of those that count, a pass where none does
 * @example worstOf([{ verdict: 'pass', mustKnow: true }, { verdict: 'warn', mustKnow: false }]) // 'warn'
 */
export const worstOf = (lines: { verdict: FitVerdict; mustKnow: boolean }[]): FitVerdict =>
  lines
    .filter((l) => l.verdict !== 'not known' || l.mustKnow)
    .reduce<FitVerdict>(
      (worst, l) => (RANK.indexOf(l.verdict) > RANK.indexOf(worst) ? l.verdict : worst),
      'pass',
    );
