import { describe, expect, it } from 'vitest';
import { due } from '../src/features/offline/ahead';

const HOUR = 3_600_000;
const pages = [
  { path: '/', of: '' },
  { path: '/jobs/j1/trace', of: 'two off' },
];
const both = new Set(['/', '/jobs/j1/trace']);

describe('what is fetched ahead of being needed without a network', () => {
  it('nothing that is kept as it is: a bench that is opened ten times fetches once', () => {
    const marks = { '/': { at: 0, of: '' }, '/jobs/j1/trace': { at: 0, of: 'two off' } };
    expect(due(pages, {}, new Set(), 5)).toEqual(['/', '/jobs/j1/trace']);
    expect(due(pages, marks, both, HOUR)).toEqual([]);
  });
  it('what has changed, is an hour old, or is not in the browser any more', () => {
    const marks = { '/': { at: 0, of: '' }, '/jobs/j1/trace': { at: 0, of: 'one off' } };
    expect(due(pages, marks, both, 5)).toEqual(['/jobs/j1/trace']);
    expect(due(pages, marks, both, HOUR + 1)).toEqual(['/', '/jobs/j1/trace']);
    expect(due(pages, marks, new Set(['/jobs/j1/trace']), 5)).toEqual(['/', '/jobs/j1/trace']);
  });
});
