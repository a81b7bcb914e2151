import { type Lesson, modelOf } from '../job';
import { demand } from '../refusal';
import type { ElementKind, UnitMap } from '../unit';

/** How many faults a starting weight is worth before a unit's own record weighs as much. */
export const PRIOR_FAULTS = 2;

/**
 * Gamma–Poisson estimate of a relative failure rate: the starting weight with the faults seen, each
 * weighed by how many were to be expected.
 * Method: conjugate prior Gamma(a, a/base), posterior mean `(failures + a)/(exposure·base + a)·base`.
 *
 * @param base starting weight, over 0
 * @param failures faults found in it
 * @param exposure how often it was exposed, in units in which `exposure · base` faults are expected
 * @param a pseudo-count of the start, over 0
 * @returns the weight
 * @throws Refusal when an argument is out of range
 * @example learnedWeight(4, 3, 0.25, 2) // (3 + 2)/(1 + 2) · 4 = 6.667
 */
export function learnedWeight(base: number, failures: number, exposure: number, a = PRIOR_FAULTS): number {
  demand(base > 0, 'a starting weight must be over 0', '/base');
  demand(failures >= 0 && exposure >= 0, 'counts cannot be negative', '/failures');
  demand(a > 0, 'the pseudo-count must be over 0', '/a');
  return ((failures + a) / (exposure * base + a)) * base;
}

/** What stands behind the weight of one element. */
export interface LearnedWeight {
  element: string;
  /** the weight to trace with */
  weight: number;
  /** the weight it started from: the map's, or what hearsay said */
  start: number;
  /** closed jobs on this model, and how many of them ended at this element */
  jobs: number;
  faults: number;
  /** how the kind of element fares over all models: over 1 = more often than its weight says */
  kindFactor: number;
  hearsay?: string;
}

const kindFactor = (lessons: Lesson[], kind: ElementKind): number => {
  const expected = lessons.reduce((sum, l) => sum + (l.shares[kind] ?? 0), 0);
  const faults = lessons.filter((l) => l.kind === kind).length;
  return (faults + PRIOR_FAULTS) / (expected + PRIOR_FAULTS);
};

/**
 * Weights of a map after the closed jobs: first per kind of element over all models, then per
 * element over the jobs on this model. A weight said by hearsay starts in place of the map's, with
 * its own pseudo-count.
 *
 * @param map elements with their weights
 * @param lessons of closed jobs, of any model
 * @returns one entry per element, in the order of the map
 * @example learnedWeights(map, []).every((w) => w.weight === w.start) // true
 */
export function learnedWeights(
  map: Pick<UnitMap, 'elements' | 'maker' | 'model'>,
  lessons: Lesson[],
): LearnedWeight[] {
  const model = modelOf(map);
  const here = model ? lessons.filter((l) => l.model === model) : [];
  const starts = map.elements.map((e) => e.hearsay?.weight ?? e.weight);
  const factors = map.elements.map((e) => kindFactor(lessons, e.kind));
  const bases = starts.map((s, i) => s * (factors[i] as number));
  const total = bases.reduce((a, b) => a + b, 0);
  return map.elements.map((e, i) => {
    const base = bases[i] as number;
    const faults = here.filter((l) => l.element === e.id).length;
    // A job exposes every element once; over the map the expected faults add up to the number of jobs.
    const exposure = here.length / total;
    return {
      element: e.id,
      weight: learnedWeight(base, faults, exposure, e.hearsay?.count ?? PRIOR_FAULTS),
      start: starts[i] as number,
      jobs: here.length,
      faults,
      kindFactor: factors[i] as number,
      ...(e.hearsay ? { hearsay: e.hearsay.source } : {}),
    };
  });
}
