import { CHEMISTRY_ROWS, type ChemistryRow, rowOfClass } from '../chemistry';
import type { BatterySheet } from './sheet';

/** Share of the capacity left in the cold. From memory; a maker’s curve comes first. */
const COLD: [celsius: number, share: number][] = [
  [-20, 0.5],
  [-10, 0.65],
  [0, 0.8],
  [10, 0.9],
  [20, 1],
  [40, 1],
];

/** Share of its capacity that a battery gives at a temperature, between the points of a table. */
export function coldShare(celsius: number): number {
  const first = COLD[0] as [number, number];
  const last = COLD.at(-1) as [number, number];
  if (celsius <= first[0]) return first[1];
  if (celsius >= last[0]) return last[1];
  const i = COLD.findIndex(([t]) => t > celsius);
  const [t0, s0] = COLD[i - 1] as [number, number];
  const [t1, s1] = COLD[i] as [number, number];
  return s0 + ((celsius - t0) / (t1 - t0)) * (s1 - s0);
}

/**
 * Hours a battery runs a load, by Peukert with the exponent of its chemistry, to the depth that is
 * usual, at a temperature.
 *
 * @param s its sheet; nothing is answered while chemistry, voltage or capacity is not known
 * @param amps load, over 0
 * @param celsius temperature of the battery
 * @returns hours, or null
 * @example runtimeHours({ chemistry: 'lead-acid', ampHours: 20 }, 1, 20) // 16
 */
export function runtimeHours(
  s: BatterySheet,
  amps: number,
  celsius = 20,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): number | null {
  const { chemistry, ampHours } = s;
  if (!chemistry || !ampHours || !(amps > 0)) return null;
  const row = rowOfClass(rows, chemistry);
  if (!row) return null;
  const h = row.ratedHours;
  const c = ampHours * coldShare(celsius);
  return h * (c / (amps * h)) ** row.peukert * row.depth;
}

/**
 * Runtime over load, for drawing old and new beside each other.
 *
 * @param sheets old and new
 * @param loadAmps the user's load, in the middle of the span
 * @param celsius temperature
 * @returns points over the load; a battery that is not known has null
 * @example runtimeCurve([old, fresh], 2, 20)[0].amps // 0.4
 */
export function runtimeCurve(
  sheets: [BatterySheet, BatterySheet],
  loadAmps: number,
  celsius: number,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): { amps: number; old: number | null; new: number | null }[] {
  const steps = 40;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const amps = Number((loadAmps * (0.2 + (2.8 * i) / steps)).toPrecision(6));
    return {
      amps,
      old: runtimeHours(sheets[0], amps, celsius, rows),
      new: runtimeHours(sheets[1], amps, celsius, rows),
    };
  });
}
