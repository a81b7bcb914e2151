import { Refusal } from '../refusal';

const PREFIX: Record<string, number> = {
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  µ: 1e-6,
  μ: 1e-6,
  m: 1e-3,
  k: 1e3,
  K: 1e3,
  M: 1e6,
  G: 1e9,
};
const UNIT = /^(V|A|Ω|ohm|ohms|R|W|Hz|F|H|°C|C|dB|dBu|s|N·?m|Nm|%)?$/;

/**
 * Reads what a technician types as a measured value: `775m`, `0,775 V`, `4k7`, `31 mV`, `-12.1`.
 *
 * @param text as typed; a comma counts as the decimal point
 * @returns the value in the unit without prefix
 * @throws Refusal when it is not a number with an optional prefix and unit
 * @example parseReading('4k7') // 4700
 */
export function parseReading(text: string): number {
  const t = text.trim().replace(/\s+/g, '').replace('−', '-').replace('Ω', 'Ω').replace(',', '.');
  const infix = /^([+-]?\d+)([pnuµμmkKMGR])(\d+)(.*)$/.exec(t);
  const plain = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(.*)$/i.exec(t);
  if (infix && UNIT.test(infix[4] ?? '')) {
    const scale = infix[2] === 'R' ? 1 : PREFIX[infix[2] as string];
    return Number(`${infix[1]}.${infix[3]}`) * (scale as number);
  }
  if (plain) {
    const rest = plain[2] ?? '';
    const value = Number(plain[1]);
    if (UNIT.test(rest)) return value;
    const scale = PREFIX[rest[0] as string];
    if (scale !== undefined && UNIT.test(rest.slice(1))) return value * scale;
  }
  throw new Refusal(
    t === ''
      ? 'Type a value, such as 0.775 or 775m'
      : `“${text.trim()}” is not a reading. Type a value, such as 0.775, 775m or 4k7`,
  );
}

/**
 * Writes a value with at most four significant digits, in the unit given.
 *
 * @param value the number
 * @param unit its unit, may be empty
 * @returns text with a no-break space before the unit
 * @example formatReading(0.0312, 'V') // '0.0312 V'
 */
export function formatReading(value: number, unit: string): string {
  const digits = Number(value.toPrecision(4));
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
