import { type Header, lineText, readLineText } from '../mixups';
import { Refusal } from '../refusal';
import { type Field, flag, words } from './field';
import type { Row } from './row';

function linesOf(row: Row): Header['lines'] {
  try {
    return readLineText(row.must('lines'));
  } catch (error) {
    if (error instanceof Refusal && !/row \d/.test(error.message)) throw row.wrong(`lines: ${error.message}`);
    throw error;
  }
}

function positionsOf(row: Row): number {
  const { length } = linesOf(row);
  const positions = row.figure('positions', length);
  if (positions !== length) throw row.wrong(`${positions} positions and ${length} lines`);
  return positions;
}

/** Columns of the table of headers. */
export const HEADER_FIELDS: Field<Header, undefined>[] = [
  { columns: { id: (h) => h.id }, read: (row) => ({ id: row.must('id') }) },
  { columns: { family: (h) => h.family }, read: (row) => ({ family: row.text('family') || 'wafer' }) },
  { columns: { pitch: (h) => String(h.pitch) }, read: (row) => ({ pitch: row.figure('pitch', 2.5) }) },
  { columns: { rows: (h) => String(h.rows) }, read: (row) => ({ rows: row.figure('rows', 1) }) },
  { columns: { positions: (h) => String(h.positions) }, read: (row) => ({ positions: positionsOf(row) }) },
  { columns: { key: (h) => h.key ?? '' }, read: (row) => ({ key: row.text('key') || null }) },
  { columns: { open: (h) => (h.open ? 'yes' : '') }, read: (row) => ({ open: row.flag('open') }) },
  words('colour'),
  {
    columns: { board: (h) => h.at.board, x: (h) => String(h.at.x), y: (h) => String(h.at.y) },
    read: (row) => ({
      at: { x: row.figure('x', 0), y: row.figure('y', 0), board: row.text('board') || 'board' },
    }),
  },
  {
    columns: { lines: (h) => lineText(h.lines).replaceAll('; ', ' | ') },
    read: (row) => ({ lines: linesOf(row) }),
  },
  words('landmark'),
  flag('easyToMiss'),
  words('leave'),
];
