import { describe, expect, it } from 'vitest';
import { bench } from '../job/bench.test.fixture';
import { ladderFor, type MapMove, type UnitMap } from '../unit';
import { alternatives, wayIn } from '.';

const move = (id: string, text: string, minutes: number, more: Partial<MapMove> = {}): MapMove => ({
  id,
  text,
  tool: null,
  sideUp: null,
  minutes,
  ...more,
});

const unit: UnitMap = {
  name: 'Box',
  maker: '',
  model: '',
  elements: [
    {
      id: 'A1',
      name: 'board',
      kind: 'board',
      weight: 1,
      needs: ['shield'],
      remedies: ladderFor('board', 'A1', ''),
    },
  ],
  feeds: [],
  taps: [],
  access: [{ id: 'shield', name: 'shield', minutes: 2 }],
  functions: [{ id: 'works', name: 'works', output: 'A1' }],
  hazards: [],
  moves: [
    move('back', 'lift back > shelf', 4),
    move('top', '6 x M3x8 PH1 top > cup 1', 1.5, { tool: 'PH1 driver' }),
    move('fan', 'lift fan > shelf', 1, { after: ['top'] }),
    move('shield', 'lift shield > shelf', 1, { afterAny: [['back'], ['fan']], opens: 'shield' }),
  ],
};

describe('ways in side by side', () => {
  const b = bench(unit);
  b.planned('A1');
  it('out through the back or up through the top, the quickest first, as the planner takes it', () => {
    const ways = alternatives(b.state());
    expect(ways.map((w) => w.by)).toEqual(['lift fan', 'lift back']);
    // Through the top: 1.5 + 1 + 1 and one tool; through the back: 4 + 1.
    expect(ways[0]?.minutes).toBeCloseTo(3.8, 9);
    expect(ways[1]?.minutes).toBeCloseTo(5, 9);
    expect(ways.map((w) => w.chosen)).toEqual([true, false]);
    expect(wayIn(b.state())?.minutes).toBeCloseTo(ways[0]?.minutes ?? 0, 9);
  });
  it('where the quickest is begun, the others count what is done already', () => {
    const c = bench(unit);
    c.planned('A1');
    c.line('lift back > shelf', 4, 'back');
    expect(wayIn(c.state())?.steps.map((s) => s.id)).toEqual(['shield']);
  });
  it('one way in is not laid beside itself', () => {
    const single = bench({ ...unit, moves: [move('x', 'lift shield > shelf', 1, { opens: 'shield' })] });
    single.planned('A1');
    expect(alternatives(single.state())).toEqual([]);
    const circle = bench({
      ...unit,
      moves: [
        move('a', 'lift a > shelf', 1, { afterAny: [['b'], ['c']], opens: 'shield' }),
        move('b', 'lift b > shelf', 1, { afterAny: [['a'], ['c']] }),
        move('c', 'lift c > shelf', 1),
      ],
    });
    circle.planned('A1');
    // a after b after a goes round in a circle and is no way in.
    expect(alternatives(circle.state()).every((w) => w.by !== 'lift b, lift a')).toBe(true);
  });
});
