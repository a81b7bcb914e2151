import { CHEMISTRY_ROWS, type ChemistryRow, rowOfClass } from '../chemistry';
import type { BatterySheet } from './sheet';

/**
 * When a battery that was fitted is usually replaced.
 *
 * Method: fitted plus the usual years in use of its chemistry; common practice, no source.
 *
 * @param s its sheet
 * @param fittedAt ISO time
 * @param rows chemistry in force
 * @returns ISO date and the years, or null while its chemistry is not known
 * @example replaceBy({ chemistry: 'li-ion' }, '2026-11-26T09:00:00Z')?.date // '2031-11-26'
 */
export function replaceBy(
  s: BatterySheet | undefined,
  fittedAt: string,
  rows: ChemistryRow[] = CHEMISTRY_ROWS,
): { date: string; years: number; chemistry: string } | null {
  const row = rowOfClass(rows, s?.chemistry);
  if (!row) return null;
  const d = new Date(fittedAt);
  const months = Math.round(row.lifeYears * 12);
  const day = d.getUTCDate();
  const due = new Date(Date.UTC(d.getUTCFullYear(), d.getUTCMonth() + months, 1));
  const last = new Date(Date.UTC(due.getUTCFullYear(), due.getUTCMonth() + 1, 0)).getUTCDate();
  due.setUTCDate(Math.min(day, last));
  return { date: due.toISOString().slice(0, 10), years: row.lifeYears, chemistry: row.chemistry };
}
