import { demand } from '../refusal';

/** How sure an interval is where nobody says otherwise. */
export const CONFIDENCE = 0.95;

/**
 * A confidence that makes sense.
 *
 * @param confidence as given; 0.95 when absent
 * @returns it
 * @throws Refusal when it is not between 0 and 1
 * @example sure(undefined) // 0.95
 */
export function sure(confidence: number | undefined): number {
  const c = confidence ?? CONFIDENCE;
  demand(c > 0 && c < 1, `a confidence lies between 0 and 1, not ${c}`, '/confidence');
  return c;
}
