import { describe, expect, it } from 'vitest';
import { fold } from '../job';
import { bench as begin } from '../job/bench.test.fixture';
import { ladderFor, mapFor, type UnitMap, validateMap } from '../unit';
import { recipeOf, wayIn, withWayIn } from '.';

const unit: UnitMap = {
  name: 'Tide bell',
  maker: 'Hapstock',
  model: 'TB',
  elements: [
    {
      id: 'A1',
      name: 'board',
      kind: 'board',
      weight: 1,
      needs: ['lid', 'shield'],
      remedies: ladderFor('board', 'A1', 'board'),
    },
  ],
  feeds: [],
  taps: [],
  access: [
    { id: 'lid', name: 'lid', minutes: 3 },
    { id: 'shield', name: 'shield', minutes: 2, needs: ['lid'] },
  ],
  functions: [{ id: 'rings', name: 'Rings', output: 'A1' }],
  hazards: [],
};

function bench(map: UnitMap) {
  const b = begin(map);
  b.planned('A1');
  return b;
}

describe('a way in that writes itself', () => {
  const b = bench(unit);
  b.line('flip rear');
  b.line('4 x M3x8 PH1 lid > cup 1', 2);
  b.line('lift lid > shelf', 0.5);
  b.line('unplug J7 6p', 1);
  b.line('2 x M3x6 T10 shield > cup 2', 90);
  b.line('lift shield > shelf', 1);
  b.tell({ type: 'part.removed', name: 'old board' });
  b.line('peel tape W4', 1);
  const moves = recipeOf(b.state(), b.events());

  it('one move per thing that came off before the remedy, with its tool, side and minutes', () => {
    expect(moves.map((m) => m.text)).toEqual([
      '4 x M3x8 PH1 lid > cup 1',
      'lift lid > shelf',
      'unplug J7 6p',
      '2 x M3x6 T10 shield > cup 2',
      'lift shield > shelf',
    ]);
    expect(moves.map((m) => m.tool)).toEqual(['PH1 driver', null, null, 'T10 driver', null]);
    expect(moves.every((m) => m.sideUp === 'rear')).toBe(true);
    expect(moves[0]?.minutes).toBe(2);
    // Ninety minutes were not two screws: the usual is taken.
    expect(moves[3]?.minutes).toBe(0.5);
  });
  it('a cover comes after its own screws, and what lies under it after the cover', () => {
    expect(moves.map((m) => m.after ?? [])).toEqual([[], ['m1'], ['m2'], ['m2'], ['m2', 'm4']]);
    expect(moves.map((m) => m.opens)).toEqual([undefined, 'lid', undefined, undefined, 'shield']);
    validateMap({ ...unit, moves });
  });
  it('leads the next one to the same place, move by move, without what was not needed', () => {
    const next = bench({ ...unit, moves });
    const done: string[] = [];
    for (let guard = 0; guard < 10; guard++) {
      const step = wayIn(next.state())?.steps[0];
      if (!step) break;
      done.push(step.id);
      next.line(step.text, 1, step.id);
    }
    expect(done).toEqual(['m1', 'm2', 'm4', 'm5']);
    expect(wayIn(next.state())?.steps).toEqual([]);
  });
  it('what is open already is not asked for again, however it was opened', () => {
    const next = bench({ ...unit, moves });
    next.line('lift lid');
    expect(wayIn(next.state())?.steps.map((m) => m.id)).toEqual(['m4', 'm5']);
  });
});

describe('a way in that is kept', () => {
  /** A unit of which somebody knew one part and no cover. */
  const bare: UnitMap = {
    ...unit,
    hazards: [],
    access: [],
    moves: [],
    elements: ['A1', 'A2'].map((id) => ({
      id,
      name: `board ${id}`,
      kind: 'board' as const,
      weight: 1,
      remedies: ladderFor('board', id, 'board'),
    })),
  };
  const first = () => {
    const b = bench(bare);
    b.line('heat rear lid edge 2 min');
    b.line('4 x M3x8 PH1 rear lid > cup 1');
    b.line('lift rear lid > shelf');
    b.line('2 x M2x4 PH0 shield can > cup 2');
    b.line('lift shield can cover > shelf');
    b.line('unplug fan lead');
    b.line('3 x M3x6 PH1 bracket > cup 3');
    b.line('lift bracket > shelf');
    return b;
  };
  it('brings its covers with it, and loses no move the next time, past the last cover to the part itself', () => {
    const b = first();
    const moves = recipeOf(b.state(), b.events());
    expect(moves).toHaveLength(8);
    const kept = withWayIn(bare, b.state(), moves);
    validateMap(kept);
    expect(kept.access.map((a) => a.name)).toEqual(['rear lid', 'shield can cover']);
    expect(kept.elements[0]?.needs).toEqual(['rear lid', 'shield can cover']);
    const next = bench(kept);
    const done: string[] = [];
    for (let guard = 0; guard < 20; guard++) {
      const step = wayIn(next.state())?.steps[0];
      if (!step) break;
      done.push(step.text);
      next.line(step.text, 1, step.id);
    }
    expect([...done].sort()).toEqual(moves.map((m) => m.text).sort());
    // Heat comes before the lid it was for, the part's own fixings after the last cover.
    expect(done.indexOf('heat rear lid edge 2 min')).toBeLessThan(done.indexOf('lift rear lid > shelf'));
    expect(done.indexOf('lift bracket > shelf')).toBeGreaterThan(
      done.indexOf('lift shield can cover > shelf'),
    );
  });
  it('for another part it leads through the covers alone', () => {
    const b = first();
    const kept = withWayIn(bare, b.state(), recipeOf(b.state(), b.events()));
    const elements = kept.elements.map((e) => (e.id === 'A2' ? { ...e, needs: ['rear lid'] } : e));
    const next = begin({ ...kept, elements });
    next.planned('A2');
    const texts = wayIn(next.state())?.steps.map((m) => m.text) ?? [];
    expect(texts).not.toContain('unplug fan lead');
    expect(texts).toContain('lift rear lid > shelf');
  });
});

describe('the way in', () => {
  const moves: UnitMap['moves'] = [
    { id: 'a', text: '2 x M3x6 PH1 lid > cup 1', tool: 'PH1 driver', sideUp: 'top', minutes: 1 },
    { id: 'b', text: '2 x M3x6 T10 lid > cup 2', tool: 'T10 driver', sideUp: 'under', minutes: 1 },
    { id: 'c', text: '2 x M3x8 PH1 lid > cup 3', tool: 'PH1 driver', sideUp: 'top', minutes: 1 },
    {
      id: 'd',
      text: 'lift lid',
      tool: null,
      sideUp: null,
      minutes: 0.5,
      after: ['a', 'b', 'c'],
      opens: 'lid',
    },
    { id: 'e', text: 'lift shield', tool: null, sideUp: null, minutes: 0.5, after: ['d'], opens: 'shield' },
  ];
  it('saves the flips and changes of tool that the order it was found in would cost', () => {
    const way = wayIn(bench({ ...unit, moves }).state());
    expect(way?.optimal).toBe(true);
    expect(way?.flips).toBe(2);
    expect(way?.toolChanges).toBe(2);
    // 4 minutes of moves, two tools, two sides.
    expect(way?.minutes).toBeCloseTo(4 + 2 * 0.3 + 2 * 1, 9);
    expect(way?.asFound).toBeCloseTo(4 + 3 * 0.3 + 3 * 1, 9);
    expect(way?.tools).toEqual(expect.arrayContaining(['PH1 driver', 'T10 driver']));
  });
  it('is followed as far as it is known, and is none where no cover has its move', () => {
    const known = wayIn(bench({ ...unit, moves: moves.slice(0, 4) }).state());
    expect(known?.steps.map((m) => m.id).sort()).toEqual(['a', 'b', 'c', 'd']);
    expect(wayIn(bench({ ...unit, moves: moves.slice(0, 3) }).state())).toBeNull();
    expect(wayIn(bench(unit).state())).toBeNull();
  });
  it('moves that wait for each other are refused, named move by move', () => {
    const loop = moves.map((m) => (m.id === 'a' ? { ...m, after: ['d'] } : m));
    expect(() => validateMap({ ...unit, moves: loop })).toThrow('in a circle: a after d after a');
    expect(() =>
      validateMap({ ...unit, moves: [{ ...(moves[0] as (typeof moves)[number]), after: ['z'] }] } as UnitMap),
    ).toThrow('no move');
    expect(() =>
      validateMap({
        ...unit,
        moves: [{ ...(moves[3] as (typeof moves)[number]), after: [], opens: 'x' }],
      } as UnitMap),
    ).toThrow('no cover');
  });
  it('follows the variant', () => {
    const map: UnitMap = {
      ...unit,
      variants: [
        { id: 'old', name: 'old', tell: 'no shield' },
        { id: 'new', name: 'new', tell: 'a shield' },
      ],
      access: unit.access.map((a) => (a.id === 'shield' ? { ...a, only: ['new'] } : a)),
      moves: moves.map((m) => (m.id === 'e' ? { ...m, only: ['new'] } : m)),
    };
    validateMap(map);
    expect(mapFor(map, 'old').moves?.map((m) => m.id)).toEqual(['a', 'b', 'c', 'd']);
    expect(wayIn(bench(mapFor(map, 'old')).state())?.steps).toHaveLength(4);
  });
  it('a move of another unit is refused', () => {
    const b = bench({ ...unit, moves });
    expect(() => b.line('lift lid', 1, 'zz')).toThrow('no move of this unit');
  });
});

describe('timers', () => {
  it('run several at once, survive as events, and end once', () => {
    const b = bench(unit);
    b.tell({ type: 'timer.started', what: 'glue cures', minutes: 30 });
    b.tell({ type: 'timer.started', what: 'charges', minutes: 60 });
    const [glue] = b.state().timers;
    expect(b.state().timers).toHaveLength(2);
    b.tell({ type: 'timer.ended', timer: glue?.id ?? '' });
    expect(
      b
        .state()
        .timers.filter((t) => !t.endedAt)
        .map((t) => t.what),
    ).toEqual(['charges']);
    expect(() => b.tell({ type: 'timer.ended', timer: glue?.id ?? '' })).toThrow('no such timer');
    expect(() => b.tell({ type: 'timer.started', what: ' ', minutes: 1 })).toThrow('what it is for');
    expect(() => b.tell({ type: 'timer.started', what: 'x', minutes: 0 })).toThrow('over 0');
    expect(fold(b.events()).state.timers).toEqual(b.state().timers);
  });
});
