import type { Feed } from '../unit';
import { type Field, names } from './field';

/** Columns of `feeds.csv`. */
export const FEED_FIELDS: Field<Feed, undefined>[] = [
  { columns: { from: (f) => f.from }, read: (row) => ({ from: row.must('from') }) },
  { columns: { to: (f) => f.to }, read: (row) => ({ to: row.must('to') }) },
  {
    columns: { carries: (f) => f.carries },
    read: (row) => ({ carries: row.one('carries', ['signal', 'power'] as const, 'signal') }),
  },
  names('only'),
];
