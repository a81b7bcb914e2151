/** Full-charge voltages of cells that differ by less are of one class, V. Common practice, no source. */
const SAME_V = 0.021;

/**
 * Whether two cells are charged to the same voltage.
 *
 * @param a full-charge voltage of one cell, V
 * @param b of the other, V
 * @returns true when one charger suits both
 * @example sameChargeVolts(4.2, 4.35) // false
 */
export const sameChargeVolts = (a: number, b: number): boolean => Math.abs(a - b) < SAME_V;
