import { CHEMISTRY_ROWS, type ChemistryClass, type ChemistryRow, rowOfClass } from '../chemistry';
import { demand } from '../refusal';
import { coldShare } from './runtime-curve';
import type { BatterySheet } from './sheet';

/**
 * Hours from empty to full at a charger’s current, the slow end of the charge counted by chemistry.
 *
 * Method: t = f · C / I; f by chemistry, common practice, no source.
 *
 * @param s its sheet; nothing is answered while chemistry or capacity is not known
 * @param amps what the charger gives, A, over 0
 * @param rows chemistry in force
 * @returns hours, or null
 * @example chargeHours({ chemistry: 'li-ion', ampHours: 3 }, 1) // 3.6
 */
export function chargeHours(
  s: BatterySheet,
  amps: number,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): number | null {
  const row = rowOfClass(rows, s.chemistry);
  if (!row || !s.ampHours || !(amps > 0)) return null;
  return (row.chargeFactor * s.ampHours) / amps;
}

/**
 * Capacity that runs a load for the hours wanted: the inverse of the runtime by Peukert.
 *
 * @param chemistry class of chemistry
 * @param amps load, A, over 0
 * @param hours wanted, over 0
 * @param celsius temperature of the battery
 * @param rows chemistry in force
 * @returns Ah, rated at the hours of its chemistry
 * @throws Refusal for a load or hours that are not over 0, or an unknown chemistry
 * @example capacityFor('lead-acid', 1, 16, 20) // 20 Ah at k = 1
 */
export function capacityFor(
  chemistry: ChemistryClass,
  amps: number,
  hours: number,
  celsius = 20,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): number {
  demand(Number.isFinite(amps) && amps > 0, 'the load is over 0 A', '/loadAmps');
  demand(Number.isFinite(hours) && hours > 0, 'the hours wanted are over 0', '/hours');
  const row = rowOfClass(rows, chemistry);
  demand(row, `${chemistry} is no chemistry of the table`, '/chemistry');
  // t = H · (c·C / (I·H))^k · depth, solved for C.
  const h = row.ratedHours;
  return ((hours / (h * row.depth)) ** (1 / row.peukert) * amps * h) / coldShare(celsius);
}
