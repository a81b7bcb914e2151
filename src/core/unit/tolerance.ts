import { demand } from '../refusal';

/** Share of a nominal value that a rail may be off. Common practice, no source. */
const SHARE = 0.1;

/**
 * How far a reading may be off where nobody says: a tenth of the nominal value, or, where what is read has a span of
 * its own, such as a pack between empty and full, as far as both its ends.
 *
 * Common practice, no source.
 *
 * @param nominal what should be read, not 0
 * @param span ends of what is read, in the unit of the nominal; left out where it has none
 * @returns the tolerance, in the unit of the nominal
 * @throws Refusal where the nominal is 0 and has no span: nothing can be a tenth of that
 * @example usualTolerance(12) // 1.2
 * @example usualTolerance(36, [30, 42]) // 6
 */
export function usualTolerance(nominal: number, span?: readonly [number, number]): number {
  const ends = span?.map((end) => Math.abs(end - nominal)) ?? [];
  const within = span !== undefined && nominal >= span[0] && nominal <= span[1];
  const reach = within ? Math.max(...ends) : Math.abs(nominal) * SHARE;
  demand(reach > 0, 'say how far it may be off', '');
  return Number(reach.toPrecision(3));
}
