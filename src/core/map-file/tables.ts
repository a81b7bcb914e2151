import { demand, Refusal } from '../refusal';
import {
  ELEMENT_KINDS,
  type ElementKind,
  type Feed,
  KIND_DEFAULTS,
  ladderFor,
  type MapElement,
  readAs,
  type Tap,
  type UnitMap,
  validateMap,
} from '../unit';

/** One table: a row per thing, cells as text under their headings. */
export type Table = Record<string, string>[];

/** The three tables a map is exchanged as. */
export interface MapTables {
  elements: Table;
  feeds: Table;
  taps: Table;
}

export const TABLE_COLUMNS = {
  elements: ['id', 'name', 'kind', 'weight', 'needs', 'touch', 'spare', 'only'],
  feeds: ['from', 'to', 'carries', 'only'],
  taps: [
    'id',
    'name',
    'after',
    'how',
    'minutes',
    'nominal',
    'tolerance',
    'low',
    'high',
    'unit',
    'ac',
    'power',
    'needs',
    'note',
    'only',
  ],
} as const;
export type TableName = keyof typeof TABLE_COLUMNS;
export const TABLE_NAMES = Object.keys(TABLE_COLUMNS) as TableName[];

const MOST_ROWS = 1000;
const LOOK_MINUTES = 0.5;
const MEASURE_MINUTES = 1;
const COVER_MINUTES = 3;

const list = (ids: string[] | undefined) => ids?.join(' | ') ?? '';
const listOf = (text: string) =>
  text
    .split('|')
    .map((x) => x.trim())
    .filter(Boolean);
const yes = (flag: boolean | undefined) => (flag ? 'yes' : '');

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
    elements: map.elements.map((e) => ({
      id: e.id,
      name: e.name,
      kind: e.kind,
      weight: String(e.weight),
      needs: list(e.needs),
      touch: list(e.touch),
      spare: yes(e.spare),
      only: list(e.only),
      ...more('elements', e.id),
    })),
    feeds: map.feeds.map((f) => ({
      from: f.from,
      to: f.to,
      carries: f.carries,
      only: list(f.only),
      ...more('feeds', `${f.from} ${f.to}`),
    })),
    taps: map.taps.map((t) => ({
      id: t.id,
      name: t.name,
      after: t.after,
      how: t.how,
      minutes: String(t.minutes),
      nominal: t.expect ? String(t.expect.nominal) : '',
      tolerance: t.expect ? String(t.expect.tolerance) : '',
      low: t.expect ? String(t.expect.low) : '',
      high: t.expect ? String(t.expect.high) : '',
      unit: t.expect?.unit ?? '',
      ac: yes(t.ac),
      power: t.power ?? '',
      needs: list(t.needs),
      note: t.note ?? '',
      only: list(t.only),
      ...more('taps', t.id),
    })),
  };
}

/** One row being read: its cells by heading, and a way to say where it is wrong. */
class Row {
  constructor(
    readonly table: TableName,
    readonly number: number,
    private readonly cells: Record<string, string>,
  ) {}
  text(column: string): string {
    return (this.cells[column] ?? '').trim();
  }
  wrong(reason: string): Refusal {
    return new Refusal(`${this.table}.csv, row ${this.number}: ${reason}`, `/${this.table}/${this.number}`);
  }
  must(column: string): string {
    const t = this.text(column);
    if (!t) throw this.wrong(`${column} is empty`);
    return t;
  }
  reading(column: string, otherwise?: number): number {
    const t = this.text(column);
    if (!t && otherwise !== undefined) return otherwise;
    try {
      return readAs(t, this.text('unit')).value;
    } catch (error) {
      throw this.wrong(`${column}: ${error instanceof Refusal ? error.message : String(error)}`);
    }
  }
  plain(column: string, otherwise: number): number {
    const t = this.text(column);
    if (!t) return otherwise;
    const n = Number(t.replace(',', '.'));
    if (!Number.isFinite(n)) throw this.wrong(`${column} “${t}” is not a number`);
    return n;
  }
  one<T extends string>(column: string, words: readonly T[], otherwise?: T): T {
    const t = this.text(column).toLowerCase();
    if (!t && otherwise !== undefined) return otherwise;
    const found = words.find((w) => w === t);
    if (!found) throw this.wrong(`${column} “${t}” is none of ${words.join(', ')}`);
    return found;
  }
  flag(column: string): boolean {
    return /^(y|yes|true|1|x)$/i.test(this.text(column));
  }
  list(column: string): string[] {
    return listOf(this.text(column));
  }
  unknown(): Record<string, string> {
    const known: readonly string[] = TABLE_COLUMNS[this.table];
    return Object.fromEntries(
      Object.entries(this.cells).filter(([k, v]) => k.trim() && !known.includes(k) && v.trim()),
    );
  }
}

const optional = <K extends string, V>(key: K, value: V, there: boolean) =>
  (there ? { [key]: value } : {}) as Partial<Record<K, V>>;

function elementOf(row: Row, base: MapElement | undefined): MapElement {
  const id = row.must('id');
  const kind = row.one<ElementKind>('kind', ELEMENT_KINDS, base?.kind);
  const name = row.text('name') || base?.name || kind;
  const needs = row.list('needs');
  const touch = row.list('touch');
  const only = row.list('only');
  return {
    id,
    name,
    kind,
    weight: row.plain('weight', base?.weight ?? KIND_DEFAULTS[kind].weight),
    ...optional('needs', needs, needs.length > 0),
    ...optional('touch', touch, touch.length > 0),
    remedies: base?.remedies ?? ladderFor(kind, id, name),
    ...optional('spare', true, row.flag('spare')),
    ...(base?.hearsay ? { hearsay: base.hearsay } : {}),
    ...optional('only', only, only.length > 0),
  } as MapElement;
}

function feedOf(row: Row): Feed {
  const only = row.list('only');
  return {
    from: row.must('from'),
    to: row.must('to'),
    carries: row.one('carries', ['signal', 'power'] as const, 'signal'),
    ...optional('only', only, only.length > 0),
  };
}

function tapOf(row: Row): Tap {
  const how = row.one(
    'how',
    ['look', 'listen', 'measure'] as const,
    row.text('nominal') ? 'measure' : 'look',
  );
  const needs = row.list('needs');
  const only = row.list('only');
  const power = row.text('power') ? row.one('power', ['on', 'off'] as const) : undefined;
  const measured = how === 'measure';
  const nominal = measured ? row.reading('nominal') : 0;
  const tolerance = measured ? row.reading('tolerance') : 0;
  const reach = 2 * (Math.abs(nominal) + tolerance);
  const tap: Tap = {
    id: row.must('id'),
    name: row.text('name') || `after ${row.must('after')}`,
    after: row.must('after'),
    how,
    minutes: row.plain('minutes', measured ? MEASURE_MINUTES : LOOK_MINUTES),
  };
  if (measured)
    tap.expect = {
      nominal,
      tolerance,
      low: row.reading('low', nominal < 0 ? -reach : nominal === 0 ? -reach : 0),
      high: row.reading('high', nominal < 0 ? 0 : reach),
      unit: row.must('unit'),
    };
  if (row.flag('ac')) tap.ac = true;
  if (needs.length) tap.needs = needs;
  if (power) tap.power = power;
  if (row.text('note')) tap.note = row.text('note');
  if (only.length) tap.only = only;
  return tap;
}

function rowsOf(tables: Partial<MapTables>, table: TableName): Row[] | null {
  const rows = tables[table];
  if (!rows) return null;
  demand(
    rows.length <= MOST_ROWS * 4,
    `${table}.csv has ${rows.length} rows; ${MOST_ROWS * 4} are read at most`,
  );
  // Row 1 holds the headings.
  return rows.map((cells, i) => new Row(table, i + 2, cells));
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
    elements: rows.elements?.map((r) => elementOf(r, known.get(r.text('id')))) ?? whole.elements,
    feeds: rows.feeds?.map(feedOf) ?? whole.feeds,
    taps: rows.taps?.map(tapOf) ?? whole.taps,
  });
  const columns = { ...((whole.extra?.columns as Record<string, Unknown>) ?? {}) };
  for (const table of TABLE_NAMES) {
    const kept: Unknown = {};
    for (const r of rows[table] ?? []) {
      const unknown = r.unknown();
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
