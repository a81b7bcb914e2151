import { cone, type Tap, type UnitMap } from '../../core/unit';

/** What is really wrong with a demo unit, which nobody at the bench is told. */
export interface Hidden {
  model: string;
  element: string;
  /** chance that one look shows it: 1 = always there */
  q: number;
}

/**
 * What a meter would show at a tap of a unit with a hidden fault: near the nominal while the fault is
 * elsewhere or does not show, far from it while it does.
 *
 * @param map the unit
 * @param tap where the probe is
 * @param hidden the fault, if this unit has one
 * @param random uniform in 0 to 1; the noise of the meter and the mood of the fault
 */
export function valueAt(map: UnitMap, tap: Tap, hidden: Hidden | undefined, random: () => number): number {
  if (!tap.expect) throw new Error(`${tap.id} is not measured`);
  const { nominal, tolerance, low, high } = tap.expect;
  const noise = (random() + random() + random() - 1.5) * (tolerance / 3);
  const shows = hidden && cone(map, tap.after).includes(hidden.element) && random() < hidden.q;
  if (!shows) return nominal + noise;
  // Dead rather than wild: a small part of the nominal, or the far end where the nominal is small.
  const dead = Math.abs(nominal) > 3 * tolerance ? nominal * 0.04 : high - (high - low) * 0.1;
  return dead + noise * 0.2;
}
