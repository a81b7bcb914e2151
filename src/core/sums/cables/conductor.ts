import { demand } from '../../refusal';
import { maybe, type Value } from '../sum';

/** Resistivity of annealed copper at 20 °C, Ω·mm²/m. IEC 60028. */
const RHO_20 = 0.017241;
/** Its temperature coefficient at 20 °C, per K. IEC 60028. */
const ALPHA = 0.00393;

/**
 * Diameter of a solid conductor by gauge: `d = 0.127 · 92^((36 − n)/39)` mm.
 * Source: ASTM B258.
 *
 * @param awg gauge number from −3 (4/0) to 40
 * @returns millimetres
 * @throws Refusal outside that range
 * @example gaugeDiameter(16) // 1.2908
 */
export function gaugeDiameter(awg: number): number {
  demand(Number.isFinite(awg) && awg >= -3 && awg <= 50, 'AWG runs from 4/0 (−3) to 50', '/awg');
  return 0.127 * 92 ** ((36 - awg) / 39);
}

/** A gauge as it is written: 16, or 2/0 for −1. */
export function gaugeOf(value: Value | undefined): number | undefined {
  if (value === undefined || value === null) return undefined;
  if (typeof value === 'number') return value;
  const text = String(value)
    .trim()
    .replace(/\s*awg$/i, '');
  const aught = /^([1-4])\/0$/.exec(text);
  const n = aught ? 1 - Number(aught[1]) : Number(text);
  demand(text !== '' && Number.isFinite(n), `“${value}” is no AWG number`, '/awg');
  return n;
}

export interface Conductor {
  diameterMm: number;
  areaMm2: number;
  ohmPerKm: number;
  celsius: number;
}

/**
 * A copper conductor by gauge or area, at a temperature.
 *
 * @param given `awg` or `areaMm2`, and `celsius` (20 when absent)
 * @returns millimetres, square millimetres, ohms per kilometre
 * @throws Refusal when neither or both are given, or a figure is out of range
 * @example conductor({ awg: 16 }).areaMm2 // 1.3087
 */
export function conductor(given: Record<string, Value | undefined>): Conductor {
  const awg = gaugeOf(given.awg);
  const area = maybe(given, 'areaMm2');
  demand(awg !== undefined || area !== undefined, 'give the gauge or the area', '/awg');
  demand(awg === undefined || area === undefined, 'give the gauge or the area, not both', '/areaMm2');
  const celsius = maybe(given, 'celsius', false) ?? 20;
  demand(celsius > -100 && celsius <= 250, 'the temperature lies over −100 and up to 250 °C', '/celsius');
  demand(area === undefined || area <= 1000, 'over 1000 mm² is no wire of this trade', '/areaMm2');
  const diameterMm = awg === undefined ? Math.sqrt((4 * (area as number)) / Math.PI) : gaugeDiameter(awg);
  const areaMm2 = (Math.PI / 4) * diameterMm ** 2;
  const ohmPerKm = (1000 * RHO_20 * (1 + ALPHA * (celsius - 20))) / areaMm2;
  return { diameterMm, areaMm2, ohmPerKm, celsius };
}
