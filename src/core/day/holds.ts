import { normal, stream } from '../simulate';
import { normalQuantile } from '../stats';
import type { Problem } from './problem';
import { atStart, finish, step, type Walk } from './walk';

/**
 * Chance that an order of a day keeps every time: minutes on each task drawn from its lognormal, each as early
 * as it may.
 *
 * @param p a day
 * @param order steps and appointments
 * @param quantile which of the lognormal the minutes given are, over 0 and under 1
 * @param seed of the draws
 * @param samples how many
 * @returns a share; undefined where no task is said to vary
 * @example holds(p, order, 0.7, 1, 2000) // 0.62
 */
export function holds(
  p: Problem,
  order: number[],
  quantile: number,
  seed: number,
  samples: number,
): number | undefined {
  const varies = order.some((n) => (p.steps[n]?.sigma ?? 0) > 0 && (p.steps[n]?.on ?? 0) > 0);
  if (!varies) return undefined;
  const z = normalQuantile(quantile);
  const next = stream('day', 'holds', seed);
  let kept = 0;
  for (let i = 0; i < samples; i++) {
    const drawn: Problem = {
      ...p,
      steps: p.steps.map((s) =>
        s.sigma > 0 ? { ...s, on: s.on * Math.exp(s.sigma * (normal(next, 0, 1) - z)) } : s,
      ),
    };
    let w: Walk | null = atStart(drawn);
    for (const n of order) {
      w = step(drawn, w, n);
      if (!w) break;
    }
    if (w && finish(drawn, w)) kept++;
  }
  return kept / samples;
}
