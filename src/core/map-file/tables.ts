import { demand, Refusal } from '../refusal';
import { type UnitMap, validateMap } from '../unit';
import { ELEMENT_FIELDS } from './elements';
import { FEED_FIELDS } from './feeds';
import { headings, readBack, written } from './field';
import { Row, type Table } from './row';
import { TAP_FIELDS } from './taps';

export type { Table } from './row';

/** The three tables a map is exchanged as. */
export interface MapTables {
  elements: Table;
  feeds: Table;
  taps: Table;
}

export const TABLE_COLUMNS = {
  elements: headings(ELEMENT_FIELDS),
  feeds: headings(FEED_FIELDS),
  taps: headings(TAP_FIELDS),
};
export type TableName = keyof MapTables;
export const TABLE_NAMES = Object.keys(TABLE_COLUMNS) as TableName[];

const MOST_ROWS = 1000;
const COVER_MINUTES = 3;

/** Columns of a table that Mulch does not know, by the key of the row. */
type Unknown = Record<string, Record<string, string>>;

function keptOf(map: UnitMap, table: TableName): Unknown {
  const columns = map.extra?.columns as Partial<Record<TableName, Unknown>> | undefined;
  return columns?.[table] ?? {};
}

/**
 * A map as its three tables. Columns that came in and are not known go out again.
 *
 * @param map any map
 * @returns rows of text; lists are parted by ` | `
 * @example tablesOf(map).elements[0].kind // 'connector'
 */
export function tablesOf(map: UnitMap): MapTables {
  const more = (table: TableName, key: string) => keptOf(map, table)[key] ?? {};
  return {
    elements: map.elements.map((e) => ({ ...written(ELEMENT_FIELDS, e), ...more('elements', e.id) })),
    feeds: map.feeds.map((f) => ({ ...written(FEED_FIELDS, f), ...more('feeds', `${f.from} ${f.to}`) })),
    taps: map.taps.map((t) => ({ ...written(TAP_FIELDS, t), ...more('taps', t.id) })),
  };
}

function rowsOf(tables: Partial<MapTables>, table: TableName): Row[] | null {
  const rows = tables[table];
  if (!rows) return null;
  demand(
    rows.length <= MOST_ROWS * 4,
    `${table}.csv has ${rows.length} rows; ${MOST_ROWS * 4} are read at most`,
  );
  // Row 1 holds the headings.
  return rows.map((cells, i) => new Row(`${table}.csv`, table, i + 2, cells));
}

/** What a map needs that the tables do not say: covers by the names in `needs`, and where the chain ends. */
function filled(map: UnitMap): UnitMap {
  const named = new Set(map.access.map((a) => a.id));
  const access = [...map.access];
  for (const x of [...map.elements, ...map.taps])
    for (const n of x.needs ?? [])
      if (!named.has(n)) {
        named.add(n);
        access.push({ id: n, name: n, minutes: COVER_MINUTES });
      }
  const feeding = new Set(map.feeds.map((f) => f.from));
  const has = new Set(map.elements.map((e) => e.id));
  const functions = map.functions.filter((f) => has.has(f.output));
  const ends = map.elements.filter((e) => !feeding.has(e.id));
  return {
    ...map,
    access,
    functions: functions.length
      ? functions
      : ends.map((e) => ({ id: e.id, name: `${e.name} works`, output: e.id })),
  };
}

/**
 * A map from its tables. What the tables do not hold (covers, hazards, ladders, variants) comes from
 * the map they belong to, or from what is usual; columns that are not known are kept and go out again.
 *
 * @param tables rows under their headings; a table that is absent leaves that part as it was
 * @param base the map the tables belong to, or only what the unit is called
 * @returns a valid map
 * @throws Refusal naming table and row
 * @example mapFromTables({ elements: [{ id: 'A1', kind: 'board' }] }, { name: 'Bell' }).elements.length // 1
 */
export function mapFromTables(
  tables: Partial<MapTables>,
  base: Partial<UnitMap> & { name: string },
): UnitMap {
  const whole: UnitMap = {
    maker: '',
    model: '',
    elements: [],
    feeds: [],
    taps: [],
    access: [],
    functions: [],
    hazards: [],
    ...base,
  };
  const rows = {
    elements: rowsOf(tables, 'elements'),
    feeds: rowsOf(tables, 'feeds'),
    taps: rowsOf(tables, 'taps'),
  };
  const known = new Map(whole.elements.map((e) => [e.id, e]));
  const map = filled({
    ...whole,
    elements:
      rows.elements?.map((r) => readBack(ELEMENT_FIELDS, r, known.get(r.text('id')))) ?? whole.elements,
    feeds: rows.feeds?.map((r) => readBack(FEED_FIELDS, r, undefined)) ?? whole.feeds,
    taps: rows.taps?.map((r) => readBack(TAP_FIELDS, r, undefined)) ?? whole.taps,
  });
  const columns = { ...((whole.extra?.columns as Record<string, Unknown>) ?? {}) };
  for (const table of TABLE_NAMES) {
    const kept: Unknown = {};
    for (const r of rows[table] ?? []) {
      const unknown = r.unknown(TABLE_COLUMNS[table]);
      const key = table === 'feeds' ? `${r.text('from')} ${r.text('to')}` : r.text('id');
      if (Object.keys(unknown).length) kept[key] = unknown;
    }
    if (rows[table]) columns[table] = kept;
    if (columns[table] && Object.keys(columns[table]).length === 0) delete columns[table];
  }
  const { columns: _, ...rest } = (map.extra ?? {}) as Record<string, unknown>;
  const extra = Object.keys(columns).length ? { ...rest, columns } : rest;
  const { extra: __, ...plain } = map;
  const done: UnitMap = Object.keys(extra).length ? { ...plain, extra } : plain;
  try {
    validateMap(done);
  } catch (error) {
    throw named(error, rows);
  }
  return done;
}

/** A refusal of the map rules, with the row of the table it belongs to. */
function named(error: unknown, rows: Record<TableName, Row[] | null>): unknown {
  if (!(error instanceof Refusal)) return error;
  const m = /^\/(elements|feeds|taps)\/(\d+)/.exec(error.path);
  const row = m ? rows[m[1] as TableName]?.[Number(m[2])] : undefined;
  return row ? row.wrong(error.message) : error;
}
