import { demand, Refusal } from '../refusal';
import type { UnitMap } from '../unit';
import { validateMap } from '../unit';
import { headings, readBack, written } from './field';
import { HEADER_FIELDS } from './headers';
import { PLUG_FIELDS } from './plugs';
import { Row, type Table } from './row';

export const HARNESS_COLUMNS = { headers: headings(HEADER_FIELDS), plugs: headings(PLUG_FIELDS) };
export type HarnessTable = keyof typeof HARNESS_COLUMNS;
export const MOST_HARNESS_ROWS = 400;

/**
 * Headers and plugs of a map as tables, to be written as CSV.
 *
 * @param map a unit's map
 * @param table which
 * @returns rows of text under the headings of {@link HARNESS_COLUMNS}
 * @example harnessTable(map, 'plugs')[0].home // 'J1'
 */
export const harnessTable = (map: UnitMap, table: HarnessTable): Table =>
  table === 'headers'
    ? (map.headers ?? []).map((h) => written(HEADER_FIELDS, h))
    : (map.plugs ?? []).map((p) => written(PLUG_FIELDS, p));

/** Whether rows are headers or plugs, by their headings. */
const tableOf = (headings: string[]): HarnessTable => {
  const has = (h: string) => headings.some((x) => x.trim().toLowerCase() === h);
  if (has('home')) return 'plugs';
  demand(
    has('lines'),
    `headings “${headings.join(', ').slice(0, 120)}” are neither of plugs (home) nor of headers (lines)`,
  );
  return 'headers';
};

/**
 * A map with its headers or plugs taken from a table; which of both it is, its headings say.
 *
 * @param map the map they belong to
 * @param rows under their headings; the first is row 2 of the file
 * @returns the map with them
 * @throws Refusal naming table and row
 * @example harnessFrom(map, [{ id: 'W1', home: 'J1' }]).plugs.length // 1
 */
export function harnessFrom(map: UnitMap, rows: Table): UnitMap {
  demand(rows.length > 0, 'the file holds no row under its headings');
  const table = tableOf(Object.keys(rows[0] ?? {}));
  demand(
    rows.length <= MOST_HARNESS_ROWS,
    `${table}, row ${MOST_HARNESS_ROWS + 2}: up to ${MOST_HARNESS_ROWS} are kept on one unit, the file has ${rows.length}`,
  );
  const read = rows.map((cells, i) => new Row(table, table, i + 2, cells));
  const headers = new Map((map.headers ?? []).map((h) => [h.id, h]));
  const next: UnitMap =
    table === 'headers'
      ? { ...map, headers: read.map((row) => readBack(HEADER_FIELDS, row, undefined)) }
      : { ...map, plugs: read.map((row) => readBack(PLUG_FIELDS, row, headers)) };
  try {
    validateMap(next);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const m = /^\/(headers|plugs)\/(\d+)/.exec(error.path);
    throw m ? new Refusal(`${m[1]}, row ${Number(m[2]) + 2}: ${error.message}`, error.path) : error;
  }
  return next;
}
