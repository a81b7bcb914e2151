import { quantityOf } from './quantity';

/**
 * Reads what a technician types as a bare value: `775m`, `0,775 V`, `4k7`, `31 mV`, `-12.1`.
 *
 * @param text as typed; a comma counts as the decimal point
 * @returns the value in the unit without prefix
 * @throws Refusal when it is not a number with an optional prefix and unit
 * @example parseReading('4k7') // 4700
 */
export const parseReading = (text: string): number => quantityOf(text).value;

/**
 * Writes a value with at most six significant digits, as a bench meter reads, in the unit given.
 *
 * @param value the number
 * @param unit its unit, may be empty
 * @returns text with a no-break space before the unit
 * @example formatReading(0.0312, 'V') // '0.0312 V'
 */
export function formatReading(value: number, unit: string): string {
  const digits = Number(value.toPrecision(6));
  return unit ? `${digits}\u00a0${unit}` : String(digits);
}

export interface Verdict {
  inRange: boolean;
  /** distance outside the tolerance, same unit, 0 when inside */
  outBy: number;
  /** under or over the tolerance */
  side: 'in' | 'under' | 'over';
}

/**
 * Compares a reading with what is expected.
 *
 * @param value reading
 * @param expect nominal and tolerance in the same unit
 * @returns in range or by how much it is out
 * @example judgeReading(0.031, { nominal: 0.775, tolerance: 0.1 }).outBy // 0.644
 */
export function judgeReading(value: number, expect: { nominal: number; tolerance: number }): Verdict {
  const off = value - expect.nominal;
  const outBy = Math.max(0, Math.abs(off) - expect.tolerance);
  const inside = outBy < Math.abs(expect.nominal) * 1e-12;
  return { inRange: inside, outBy: inside ? 0 : outBy, side: inside ? 'in' : off < 0 ? 'under' : 'over' };
}
