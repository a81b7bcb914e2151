import { demand, Refusal } from '../refusal';
import { readAs, spreadOf, type Takes } from '../unit';

/** What a logging meter wrote: readings over time. */
export interface LoggedSeries {
  /** heading of the column the readings came from */
  name: string;
  /** seconds from the first row, rising, and the reading in the wanted unit */
  points: { t: number; value: number }[];
  /** rows that held no reading: over range, gaps */
  skipped: number;
}

const GAP = /^(|-+|nan|n\/a|o\.?l\.?|0l|over(load)?|\+?9\.9+e\+?37)$/i;

const isNumber = (cell: string) => /^\s*[+-]?(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?\s*$/i.test(cell);

/** Seconds of a time cell: a number, a clock time, or a date. */
function seconds(cell: string): number | null {
  const t = cell.trim();
  if (isNumber(t)) return Number(t.replace(',', '.'));
  const clock = /^(?:(\d+):)?(\d{1,2}):(\d{1,2}(?:[.,]\d+)?)$/.exec(t);
  if (clock) {
    const [, h = '0', m, s = '0'] = clock;
    return Number(h) * 3600 + Number(m) * 60 + Number(s.replace(',', '.'));
  }
  const date = Date.parse(t);
  return Number.isNaN(date) ? null : date / 1000;
}

/**
 * Reads the table of a logging meter: the first column that counts up is the time, the last one with
 * readings is the value. A unit may stand in the cell or in the heading, in brackets or after a comma.
 *
 * @param rows cells as text, first the heading if there is one
 * @param unit unit the readings are wanted in
 * @returns the series; rows without a reading are counted, not invented
 * @throws Refusal naming the row (from 1) that cannot be read
 * @example seriesOf([['s', 'V'], ['0', '0.77'], ['1', '0.78']], 'V').points.length // 2
 */
export function seriesOf(rows: string[][], unit: string): LoggedSeries {
  const filled = rows.map((cells, i) => ({ cells, row: i + 1 })).filter((r) => r.cells.some((c) => c.trim()));
  demand(filled.length > 0, 'the file is empty');
  const heading = filled[0]?.cells.every((c) => seconds(c) === null) ? filled.shift() : undefined;
  demand(filled.length > 0, 'there is a heading but no row under it');
  const width = Math.max(...filled.map((r) => r.cells.length));
  demand(
    width >= 2,
    'two columns are needed: the time and the reading. Is the separator a comma, semicolon or tab?',
  );
  const times = filled.map(({ cells, row }) => {
    const t = seconds(cells[0] ?? '');
    demand(t !== null, `row ${row}: “${cells[0] ?? ''}” is no time`);
    return t;
  });
  const column = lastWithReadings(
    filled.map((r) => r.cells),
    width,
  );
  const name = heading?.cells[column]?.trim() || 'reading';
  const inHeading = /(?:\[|\(|,\s*)\s*([^\])]+?)\s*[\])]?$/.exec(name)?.[1] ?? name;
  let skipped = 0;
  const points: LoggedSeries['points'] = [];
  filled.forEach(({ cells, row }, i) => {
    const cell = (cells[column] ?? '').trim();
    if (GAP.test(cell)) {
      skipped++;
      return;
    }
    const t = (times[i] as number) - (times[0] as number);
    demand(points.length === 0 || t >= (points.at(-1)?.t ?? 0), `row ${row}: the time runs backwards`);
    points.push({ t, value: cellValue(cell, inHeading, unit, row) });
  });
  demand(points.length > 0, 'no row holds a reading');
  return { name, points, skipped };
}

function lastWithReadings(rows: string[][], width: number): number {
  for (let c = width - 1; c >= 1; c--)
    if (rows.some((r) => /\d/.test(r[c] ?? '') && !GAP.test((r[c] ?? '').trim()))) return c;
  return width - 1;
}

function cellValue(cell: string, headingUnit: string, unit: string, row: number): number {
  try {
    if (!isNumber(cell)) return readAs(cell, unit).value;
    try {
      return readAs(`${cell} ${headingUnit}`, unit).value;
    } catch {
      return readAs(cell, unit).value;
    }
  } catch (error) {
    throw new Refusal(`row ${row}: ${error instanceof Refusal ? error.message : String(error)}`);
  }
}

/**
 * Mean and spread of a stretch of a series.
 *
 * @param series as read
 * @param from seconds, inclusive
 * @param to seconds, inclusive
 * @returns mean, spread and how many, in the unit of the series
 * @throws Refusal when no reading lies between
 * @example meanBetween(series, 0, 1).mean // 0.775
 */
export function meanBetween(series: LoggedSeries, from: number, to: number): Takes {
  const inside = series.points.filter((p) => p.t >= Math.min(from, to) && p.t <= Math.max(from, to));
  demand(inside.length > 0, 'no reading lies between these times');
  return spreadOf(inside.map((p) => p.value));
}
