import { demand } from '../refusal';

/** Several readings at one point, summed up. */
export interface Takes {
  mean: number;
  /** sample standard deviation, null with one reading alone */
  spread: number | null;
  count: number;
}

/**
 * Mean and spread of readings taken again at the same point. The spread is the sample standard
 * deviation, with n − 1 (ISO 3534-1).
 *
 * @param readings all in one unit, at least one
 * @returns mean, spread in the same unit, and how many
 * @throws Refusal when there is none or one is not a number
 * @example spreadOf([0.77, 0.78, 0.775]) // { mean: 0.775, spread: 0.005, count: 3 }
 */
export function spreadOf(readings: number[]): Takes {
  demand(readings.length > 0, 'take at least one reading');
  demand(readings.every(Number.isFinite), 'one of the readings is not a number');
  const count = readings.length;
  const mean = readings.reduce((a, x) => a + x / count, 0);
  if (count === 1) return { mean, spread: null, count };
  const square = readings.reduce((a, x) => a + (x - mean) ** 2, 0);
  return { mean, spread: Math.sqrt(square / (count - 1)), count };
}
