import { CHEMISTRY_ROWS, type ChemistryRow } from '../../chemistry';
import { demand } from '../../refusal';

/** Rest voltage of one chemistry over its charge. */
export type ChargeTable = Pick<ChemistryRow, 'chemistry' | 'points' | 'restHours' | 'doubt'>;

export const CHARGE_TABLES: ChargeTable[] = CHEMISTRY_ROWS;
export const CHEMISTRIES = CHARGE_TABLES.map((t) => t.chemistry);

/**
 * The table of a chemistry.
 *
 * @throws Refusal when it is not known
 * @example chargeTable('li-ion cell').restHours // 1
 */
export function chargeTable(chemistry: string, tables: ChargeTable[] = CHARGE_TABLES): ChargeTable {
  const table = tables.find((t) => t.chemistry === chemistry);
  demand(table, `${chemistry} is none of ${tables.map((t) => t.chemistry).join(', ')}`, '/chemistry');
  return table;
}

/**
 * Percent at a rest voltage, interpolated between the points of a table. Over the top it is 100 and
 * under the end 0: whoever shows it says so.
 *
 * @example percentAt(chargeTable('li-ion cell'), 3.845) // 55
 */
export function percentAt(table: ChargeTable, volts: number): number {
  const { points } = table;
  const [top] = points;
  if (top && volts >= top[0]) return 100;
  for (let i = 1; i < points.length; i++) {
    const [v1, p1] = points[i - 1] as [number, number];
    const [v0, p0] = points[i] as [number, number];
    if (volts >= v0) return p0 + ((volts - v0) / (v1 - v0)) * (p1 - p0);
  }
  return 0;
}
