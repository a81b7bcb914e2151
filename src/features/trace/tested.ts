import type { MapCheck } from '../../core/unit';

/** Elements a check puts to the test: what it exercises, or what its answers point at. */
export const testedBy = (check: MapCheck): string[] =>
  check.trace.exercises ?? [...new Set((check.answers ?? []).flatMap((a) => a.points))];
