import { describe, expect, it } from 'vitest';
import type { Setup } from './problem';
import { changeMinutes, moved, setupNumber } from './setup';

const upTo = (n: number) => Array.from({ length: n + 1 }, (_, i) => i - 1);
const every = (names: number): Setup[] =>
  upTo(names).flatMap((power) =>
    upTo(names).flatMap((side) => upTo(names).map((tool) => ({ tool, side, power }))),
  );

describe('setups', () => {
  it.each([1, 2, 5])('with %s names each have a number of their own, and none is left over', (names) => {
    const numbers = every(names).map((s) => setupNumber(names, s));
    expect(numbers).toEqual(Array.from({ length: (names + 1) ** 3 }, (_, i) => i));
  });
  it('become what a move asks for, and stay in all that it does not ask for', () => {
    for (const was of every(2))
      for (const move of every(2))
        for (const part of ['tool', 'side', 'power'] as const)
          expect(moved(move, was)[part]).toBe(move[part] === -1 ? was[part] : move[part]);
  });
  it('cost what differs between them, each flip its own minutes', () => {
    const p = { toolMinutes: 1, powerMinutes: 10, flip: (a: number, b: number) => 100 * (a + 2) + 1000 * b };
    for (const from of every(2))
      for (const to of every(2))
        expect(changeMinutes(p, from, to)).toBe(
          [
            from.tool !== to.tool && 1,
            from.side !== to.side && 100 * (from.side + 2) + 1000 * to.side,
            from.power !== to.power && 10,
          ].reduce<number>((sum, minutes) => sum + Number(minutes), 0),
        );
  });
});
