import type { TraceRequest } from '../src/core/trace';

/**
 * Least expected minutes to a finished repair by full dynamic programming over the sets of elements
 * still possible: perfect checks, one fault, at most a dozen elements.
 */
export function optimum({ elements, checks }: TraceRequest): number {
  const bit = new Map(elements.map((e, i) => [e.id, 1 << i]));
  const tests = checks.map((c) => ({
    mask: (c.exercises ?? []).reduce((m, id) => m | (bit.get(id) ?? 0), 0),
    minutes: c.minutes,
  }));
  const weight = (set: number) => elements.reduce((w, e, i) => (set & (1 << i) ? w + e.weight : w), 0);
  const known = new Map<number, number>();
  const least = (set: number): number => {
    if (set === 0) return 0;
    const seen = known.get(set);
    if (seen !== undefined) return seen;
    const all = weight(set);
    let best = Number.POSITIVE_INFINITY;
    elements.forEach((e, i) => {
      if (!(set & (1 << i))) return;
      const rest = set & ~(1 << i);
      best = Math.min(best, (e.repairMinutes ?? 0) + (weight(rest) / all) * least(rest));
    });
    for (const t of tests) {
      const bad = set & t.mask;
      const ok = set & ~t.mask;
      if (bad === 0 || ok === 0) continue;
      best = Math.min(best, t.minutes + (weight(bad) / all) * least(bad) + (weight(ok) / all) * least(ok));
    }
    known.set(set, best);
    return best;
  };
  return least((1 << elements.length) - 1);
}
