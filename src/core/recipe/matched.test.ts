import { describe, expect, it } from 'vitest';
import { bench } from '../job/bench.test.fixture';
import { readLine } from '../ledger';
import { describeUnit } from '../unit';
import { recipeMove } from '.';

const plain = describeUnit({
  name: 'Gate motor',
  maker: '',
  model: '',
  does: 'Opens',
  cover: 'hood',
  coverMinutes: 2,
  hazards: [],
  rows: [{ id: 'A1', name: 'board', kind: 'board' as const }],
});
const unit = {
  ...plain,
  moves: [
    { id: 'h', text: 'heat hood edge 2 min', tool: null, sideUp: null, minutes: 2 },
    { id: 's', text: '4 x M3x8 PH1 hood > cup 1', tool: 'PH1 driver', sideUp: null, minutes: 1 },
    {
      id: 'l',
      text: 'lift hood',
      tool: null,
      sideUp: null,
      minutes: 1,
      after: ['s'],
      opens: plain.access[0]?.id ?? '',
    },
    { id: 'p', text: 'unplug J7', tool: null, sideUp: null, minutes: 1, after: ['l'] },
  ],
};

describe('a line is the move of the way in that it says', () => {
  const b = bench(unit);
  const of = (text: string) => {
    const [said] = readLine(text).moves;
    return said ? recipeMove(b.state(), said) : undefined;
  };
  it.each([
    ['slide hood > shelf', 'l'],
    ['6 x M3x8 T10 hood > cup 9', 's'],
    ['disconnect J7', 'p'],
    ['heat hood edge 5 min', 'h'],
    ['heat other edge', undefined],
    ['4 x M3x10 hood', undefined],
    ['unplug J8', undefined],
    ['flip bottom', undefined],
  ])('%s is %s', (text, id) => {
    expect(of(text)).toBe(id);
  });
  it('once only', () => {
    b.tell({ type: 'move.skipped', move: 'p' });
    expect(of('unplug J7')).toBeUndefined();
  });
});
