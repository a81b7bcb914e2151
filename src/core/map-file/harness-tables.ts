import { type Header, lineText, type Plug, readLineText } from '../mixups';
import { demand, Refusal } from '../refusal';
import type { UnitMap } from '../unit';
import { validateMap } from '../unit';
import type { Table } from './tables';

export const HARNESS_COLUMNS = {
  headers: [
    'id',
    'family',
    'pitch',
    'rows',
    'positions',
    'key',
    'open',
    'colour',
    'board',
    'x',
    'y',
    'lines',
    'landmark',
    'easyToMiss',
    'leave',
  ],
  plugs: [
    'id',
    'home',
    'wires',
    'colour',
    'freeLength',
    'key',
    'bundle',
    'route',
    'latch',
    'cyclesRated',
    'cyclesDone',
  ],
} as const;
export type HarnessTable = keyof typeof HARNESS_COLUMNS;
export const MOST_HARNESS_ROWS = 400;

const list = (text: string, by: RegExp) =>
  text
    .split(by)
    .map((x) => x.trim())
    .filter(Boolean);
const yes = (text: string) => /^(y|yes|true|1|x)$/i.test(text);

/** Reads one row; whatever is wrong is said with its table, row and column. */
function reader(table: HarnessTable, number: number, cells: Record<string, string>) {
  const folded = Object.fromEntries(Object.entries(cells).map(([k, v]) => [k.trim().toLowerCase(), v]));
  const wrong = (reason: string) => new Refusal(`${table}, row ${number}: ${reason}`, `/${table}/${number}`);
  const text = (column: string) => (folded[column.toLowerCase()] ?? '').trim();
  const must = (column: string) => {
    const t = text(column);
    if (!t) throw wrong(`${column} is empty`);
    return t;
  };
  const figure = (column: string, otherwise?: number): number => {
    const t = text(column).replace(',', '.');
    if (!t && otherwise !== undefined) return otherwise;
    const n = Number(t);
    if (!t || !Number.isFinite(n)) throw wrong(`${column} “${text(column)}” is not a number`);
    return n;
  };
  return { wrong, text, must, figure };
}

function headerOf(number: number, cells: Record<string, string>): Header {
  const { wrong, text, must, figure } = reader('headers', number, cells);
  let lines: Header['lines'];
  try {
    lines = readLineText(must('lines'));
  } catch (error) {
    if (error instanceof Refusal && !/row \d/.test(error.message)) throw wrong(`lines: ${error.message}`);
    throw error;
  }
  const positions = figure('positions', lines.length);
  if (positions !== lines.length) throw wrong(`${positions} positions and ${lines.length} lines`);
  return {
    id: must('id'),
    family: text('family') || 'wafer',
    pitch: figure('pitch', 2.5),
    rows: figure('rows', 1),
    positions,
    key: text('key') || null,
    open: yes(text('open')),
    ...(text('colour') ? { colour: text('colour') } : {}),
    at: { x: figure('x', 0), y: figure('y', 0), board: text('board') || 'board' },
    lines,
    ...(text('landmark') ? { landmark: text('landmark') } : {}),
    ...(yes(text('easyToMiss')) ? { easyToMiss: true } : {}),
    ...(text('leave') ? { leave: text('leave') } : {}),
  };
}

function plugOf(number: number, cells: Record<string, string>, headers: Map<string, Header>): Plug {
  const { wrong, text, must, figure } = reader('plugs', number, cells);
  const home = headers.get(must('home'));
  if (!home) throw wrong(`${text('home')}, its home, is no header`);
  const wires = list(text('wires').toUpperCase(), /[\s,|]+/);
  const route = list(text('route'), /[|;>]/);
  const rated = text('cyclesRated');
  return {
    id: must('id'),
    home: home.id,
    family: home.family,
    pitch: home.pitch,
    rows: home.rows,
    positions: home.positions,
    key: text('key') || home.key,
    ...(text('colour') ? { colour: text('colour') } : {}),
    ...(wires.length ? { wires } : {}),
    exit: home.at,
    freeLength: figure('freeLength', 100),
    lines: home.lines.map((l) => (l.kind === 'nc' ? null : l.name)),
    ...(text('bundle') ? { bundle: text('bundle') } : {}),
    ...(route.length ? { route } : {}),
    ...(text('latch') ? { latch: text('latch') } : {}),
    ...(rated ? { cycles: { rated: figure('cyclesRated'), done: figure('cyclesDone', 0) } } : {}),
  };
}

/**
 * Headers and plugs of a map as tables, to be written as CSV.
 *
 * @param map a unit's map
 * @param table which
 * @returns rows of text under the headings of {@link HARNESS_COLUMNS}
 * @example harnessTable(map, 'plugs')[0].home // 'J1'
 */
export function harnessTable(map: UnitMap, table: HarnessTable): Table {
  if (table === 'headers')
    return (map.headers ?? []).map((h) => ({
      id: h.id,
      family: h.family,
      pitch: String(h.pitch),
      rows: String(h.rows),
      positions: String(h.positions),
      key: h.key ?? '',
      open: h.open ? 'yes' : '',
      colour: h.colour ?? '',
      board: h.at.board,
      x: String(h.at.x),
      y: String(h.at.y),
      lines: lineText(h.lines).replaceAll('; ', ' | '),
      landmark: h.landmark ?? '',
      easyToMiss: h.easyToMiss ? 'yes' : '',
      leave: h.leave ?? '',
    }));
  return (map.plugs ?? []).map((p) => ({
    id: p.id,
    home: p.home,
    wires: p.wires?.join(' ') ?? '',
    colour: p.colour ?? '',
    freeLength: String(p.freeLength),
    key: p.key ?? '',
    bundle: p.bundle ?? '',
    route: p.route?.join(' | ') ?? '',
    latch: p.latch ?? '',
    cyclesRated: p.cycles ? String(p.cycles.rated) : '',
    cyclesDone: p.cycles ? String(p.cycles.done) : '',
  }));
}

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
  const next: UnitMap =
    table === 'headers'
      ? { ...map, headers: rows.map((cells, i) => headerOf(i + 2, cells)) }
      : {
          ...map,
          plugs: rows.map((cells, i) =>
            plugOf(i + 2, cells, new Map((map.headers ?? []).map((h) => [h.id, h]))),
          ),
        };
  try {
    validateMap(next);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const m = /^\/(headers|plugs)\/(\d+)/.exec(error.path);
    throw m ? new Refusal(`${m[1]}, row ${Number(m[2]) + 2}: ${error.message}`, error.path) : error;
  }
  return next;
}
