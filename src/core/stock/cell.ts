import type { ChemistryRow } from '../chemistry';
import { Refusal } from '../refusal';
import { chargeLeftFrom } from '../sums';
import { ageMonths, readDateCode } from '../unit';
import type { StockCell, StockItem } from './types';

/** What the shelf says of a cell. */
export interface CellSaid {
  words: string[];
  /** percent left at the last look; null where none tells it */
  percent: number | null;
  /** it is to be charged, or doubted, before it goes in anywhere */
  look: boolean;
  /** below an empty one: it counts as none */
  spent: boolean;
}

const MONTH = 30.4375 * 86_400_000;

/** The answer of a core function, or why it gave none. */
function tried<T>(ask: () => T): { answer: T } | { refused: Refusal } {
  try {
    return { answer: ask() };
  } catch (error) {
    if (error instanceof Refusal) return { refused: error };
    throw error;
  }
}

/**
 * Whether the last look found a cell under an empty one.
 *
 * @param cell as it is kept; volts of the whole pack
 * @param row its chemistry; undefined tells nothing
 * @returns true where each of its cells was lower than the end of the row
 * @example isSpent({ chemistry: 'li-ion cell', series: 2, restVolts: 5 }, liIon) // true
 */
export const isSpent = ({ restVolts, series }: StockCell, row: ChemistryRow | undefined): boolean =>
  restVolts !== undefined && restVolts / series < (row?.points.at(-1)?.[0] ?? 0);

/**
 * What a cell in the store is good for: its age by its date code, its charge by the rest voltage of the last
 * look, and whether it has lain longer than its chemistry lies by itself.
 *
 * @param cell as it is kept; volts of the whole pack
 * @param rows chemistry in force, its rest voltages at 25 °C
 * @param today as 2026-11-27
 * @returns words for the shelf
 * @throws Refusal for an unknown chemistry, a date code that none reads, volts no such pack can have
 * @example cellSaid({ chemistry: 'AGM 12 V', series: 1, restVolts: 12.5, lookedAt: '2026-11-20' }, CHEMISTRY_ROWS, '2026-11-27').percent // 70
 */
export function cellSaid(cell: StockCell, rows: ChemistryRow[], today: string): CellSaid {
  const row = rows.find((r) => r.chemistry === cell.chemistry);
  if (!row)
    throw new Refusal(
      `${cell.chemistry} is none of ${rows.map((r) => r.chemistry).join(', ')}`,
      '/cell/chemistry',
    );
  const age = cell.dateCode ? tried(() => readDateCode(cell.dateCode as string)) : null;
  if (age && 'refused' in age) throw new Refusal(age.refused.message, '/cell/dateCode');
  const months = age ? ageMonths(age.answer, today) : null;
  const read =
    cell.restVolts === undefined
      ? null
      : tried(() =>
          chargeLeftFrom([row]).compute({
            chemistry: row.chemistry,
            restVolts: cell.restVolts as number,
            series: cell.series,
          }),
        );
  if (read && 'refused' in read)
    throw new Refusal(
      read.refused.message,
      read.refused.path === '/series' ? '/cell/series' : '/cell/restVolts',
    );
  const percent = read ? ((read.answer.values.percent as number | null) ?? null) : null;
  const spent = isSpent(cell, row);
  const lain = cell.lookedAt ? (Date.parse(today) - Date.parse(cell.lookedAt)) / MONTH : months;
  const look = spent || (lain !== null && lain >= row.shelfMonths);
  return {
    percent,
    spent,
    look,
    words: [
      ...(age ? [`${age.answer.words}, ${months} ${months === 1 ? 'month' : 'months'} old`] : []),
      ...(cell.restVolts === undefined
        ? ['rest voltage not looked at']
        : [
            `${cell.restVolts}\u00a0V at rest${cell.lookedAt ? ` on ${cell.lookedAt}` : ''}${
              percent === null ? '' : `, ${Math.round(percent)}\u00a0%`
            }`,
          ]),
      ...(spent ? ['under an empty one: it does not count'] : []),
      ...(look && !spent
        ? [`lies longer than ${row.shelfMonths} months without a look: charge it, or doubt it`]
        : []),
    ],
  };
}

/**
 * Whether a thing of the store may go in anywhere: not past its last day, no spent cell.
 *
 * @param item of the store
 * @param rows chemistry in force
 * @param today as 2026-11-27
 * @returns false for what only stands there
 * @example isUsable({ ...glue, useBy: '2026-11-26' }, CHEMISTRY_ROWS, '2026-11-27') // false
 */
export const isUsable = (
  { useBy, cell }: Pick<StockItem, 'useBy' | 'cell'>,
  rows: ChemistryRow[],
  today: string,
): boolean =>
  (useBy === undefined || useBy >= today) &&
  !(
    cell &&
    isSpent(
      cell,
      rows.find((r) => r.chemistry === cell.chemistry),
    )
  );
