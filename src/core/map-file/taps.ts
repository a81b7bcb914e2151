import type { Tap } from '../unit';
import { type Field, flag, names, words } from './field';
import type { Row } from './row';

const LOOK_MINUTES = 0.5;
const MEASURE_MINUTES = 1;

const howOf = (row: Row) =>
  row.one('how', ['look', 'listen', 'measure'] as const, row.text('nominal') ? 'measure' : 'look');

/** Where a reading may lie when the table does not say: from nothing to twice what it should be. */
function expected(row: Row): Partial<Tap> {
  if (howOf(row) !== 'measure') return {};
  const nominal = row.reading('nominal');
  const tolerance = row.reading('tolerance');
  const reach = 2 * (Math.abs(nominal) + tolerance);
  return {
    expect: {
      nominal,
      tolerance,
      low: row.reading('low', nominal <= 0 ? -reach : 0),
      high: row.reading('high', nominal < 0 ? 0 : reach),
      unit: row.must('unit'),
    },
  };
}

/** Columns of `taps.csv`. */
export const TAP_FIELDS: Field<Tap, undefined>[] = [
  { columns: { id: (t) => t.id }, read: (row) => ({ id: row.must('id') }) },
  {
    columns: { name: (t) => t.name },
    read: (row) => ({ name: row.text('name') || `after ${row.must('after')}` }),
  },
  { columns: { after: (t) => t.after }, read: (row) => ({ after: row.must('after') }) },
  { columns: { how: (t) => t.how }, read: (row) => ({ how: howOf(row) }) },
  {
    columns: { minutes: (t) => String(t.minutes) },
    read: (row) => ({
      minutes: row.figure('minutes', howOf(row) === 'measure' ? MEASURE_MINUTES : LOOK_MINUTES),
    }),
  },
  {
    columns: {
      nominal: (t) => String(t.expect?.nominal ?? ''),
      tolerance: (t) => String(t.expect?.tolerance ?? ''),
      low: (t) => String(t.expect?.low ?? ''),
      high: (t) => String(t.expect?.high ?? ''),
      unit: (t) => t.expect?.unit ?? '',
    },
    read: expected,
  },
  flag('ac'),
  {
    columns: { power: (t) => t.power ?? '' },
    read: (row) => (row.text('power') ? { power: row.one('power', ['on', 'off'] as const) } : {}),
  },
  names('needs'),
  words('note'),
  names('only'),
];
