import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minutesOf } from '../../recipe';
import { Refusal } from '../../refusal';
import type { TearDownMove } from '../tear-down';
import { type WayBackQuestion, wayBackOrder } from './way-back';

const move = (id: string, text: string, more: Partial<TearDownMove> = {}): TearDownMove => ({
  id,
  text,
  tool: null,
  sideUp: null,
  minutes: 1,
  after: [],
  ...more,
});
/** A cover with its screws; under it a plug and a board on two screws of another drive. */
const question: WayBackQuestion = {
  access: [{ id: 'lid', name: 'lid' }],
  moves: [
    move('a', '4 x M3x8 PH1 lid > cup 1', { tool: 'PH1' }),
    move('b', 'lift lid > shelf', { after: ['a'] }),
    move('c', 'unplug J7', { after: ['b'] }),
    move('d', '2 x M3x6 T10 board > cup 2', { tool: 'T10', after: ['b'] }),
    move('e', 'lift board > shelf', { after: ['c', 'd'] }),
  ],
  laid: ['a', 'b', 'c', 'd', 'e'],
};
const judged = (...order: string[]) => wayBackOrder.judge(question, { order });
const refusal = (...order: string[]) => {
  try {
    judged(...order);
  } catch (error) {
    if (error instanceof Refusal) return `${error.path}: ${error.message}`;
    throw error;
  }
  return 'taken';
};

describe('the order of the way back, judged', () => {
  it('last off, first on is whole, and every move stands in its place', () => {
    const got = judged('e', 'd', 'c', 'b', 'a');
    expect(got.score).toBe(1);
    expect(got.lines.map((l) => [l.text, l.right, l.why])).toEqual([
      ['back: lift board > shelf', true, 'in its place'],
      ['back: 2 x M3x6 T10 board > cup 2', true, 'in its place'],
      ['back: unplug J7', true, 'in its place'],
      ['back: lift lid > shelf', true, 'in its place'],
      ['back: 4 x M3x8 PH1 lid > cup 1', true, 'in its place'],
    ]);
    expect(got.remember).toMatch(/each tool picked up as seldom/);
  });
  it('what goes on too early is named with what came off after it, and so is what a cover would shut in', () => {
    const lid = judged('b', 'e', 'd', 'c', 'a');
    expect(lid.lines.map((l) => l.right)).toEqual([false, true, true, true, true]);
    expect(lid.lines[0]?.why).toBe('would close over J7, M3×6 T10, board');
    expect(lid.score).toBe(0.5);
    expect(lid.remember).toMatch(/^Before a cover goes on/);
    const plug = judged('c', 'e', 'd', 'b', 'a');
    expect(plug.lines.map((l) => l.right)).toEqual([false, true, true, true, true]);
    expect(plug.lines[0]?.why).toBe('too early: lift board > shelf came off after it and goes on before it');
    expect(plug.remember).toMatch(/^Last off, first on: what came off after it/);
    expect(plug.score).toBe(0.5);
    // Two that go on too early are two faults, however many they precede.
    expect(judged('d', 'c', 'e', 'b', 'a').score).toBe(0.25);
    expect(judged('a', 'e', 'd', 'c', 'b').lines[0]).toMatchObject({
      right: false,
      why: 'too early: lift lid > shelf came off after it and goes on before it',
    });
  });
  it('every order costs what it costs beside the best of all, from the tool in hand and the side that is up', () => {
    const drives = fc.constantFrom('PH1', 'T10', null);
    const sides = fc.constantFrom('bottom', 'top', null);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(drives, sides, fc.integer({ min: 1, max: 4 })), { minLength: 2, maxLength: 5 }),
        fc.infiniteStream(fc.nat()),
        (kinds, keys) => {
          const moves = kinds.map(([tool, sideUp, minutes], i) =>
            move(`m${i}`, `lift part ${i} > shelf`, { tool, sideUp, minutes }),
          );
          const last = moves.at(-1) as TearDownMove;
          const start = { tool: last.tool, sideUp: last.sideUp };
          const cost = (list: TearDownMove[]) => minutesOf(list, start);
          const all = (left: TearDownMove[]): TearDownMove[][] =>
            left.length === 0
              ? [[]]
              : left.flatMap((m) => all(left.filter((x) => x !== m)).map((rest) => [m, ...rest]));
          const best = Math.min(...all(moves).map(cost));
          const mine = moves
            .map((m) => ({ m, k: keys.next().value }))
            .sort((a, b) => a.k - b.k)
            .map(({ m }) => m);
          const got = wayBackOrder.judge({ access: [], moves, laid: [] }, { order: mine.map((m) => m.id) });
          expect(got.score).toBeCloseTo(best / cost(mine), 9);
          const lost = cost(mine) - best;
          expect(/(\d+\.\d) minutes longer/.exec(got.remember)?.[1]).toBe(
            lost > 0.05 ? lost.toFixed(1) : undefined,
          );
        },
      ),
      { numRuns: 150 },
    );
  });
  it('says what is not laid, laid twice, or no move of it, and where', () => {
    expect(refusal('e', 'd')).toBe('/order: 3 of 5 moves are not laid yet');
    expect(refusal('e', 'd', 'd', 'c', 'b')).toBe('/order/2: “2 x M3x6 T10 board > cup 2” is laid twice');
    expect(refusal('e', 'x')).toBe('/order/1: “x” is no move of this tear-down');
  });
});
