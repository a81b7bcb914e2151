import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { order } from '.';
import {
  drawnUnit,
  type Move,
  POWERS,
  programme,
  SIDES,
  stagedProgramme,
  TOOLS,
} from './solver.test.fixture';

const problem = fc.integer({ min: 2, max: 6 }).chain((n) =>
  fc.tuple(
    ...Array.from({ length: n }, (_, i) =>
      fc.record({
        id: fc.constant(`m${i}`),
        minutes: fc.integer({ min: 1, max: 9 }),
        tool: fc.constantFrom(null, ...TOOLS),
        sideUp: fc.constantFrom(null, ...SIDES),
        after: fc.subarray(
          Array.from({ length: i }, (__, k) => `m${k}`),
          { maxLength: Math.min(2, i) },
        ),
      }),
    ),
  ),
);

describe('order beside a solver package', () => {
  // Outside reference: HiGHS, a mixed-integer solver, on the programme above.
  it('costs what the solver finds least, on random moves with tools, sides and precedence', async () => {
    const highs = await loadHighs();
    fc.assert(
      fc.property(
        problem,
        fc.constantFrom(0.5, 2),
        fc.constantFrom(1, 3),
        (moves, toolMinutes, flipMinutes) => {
          const mine = order({ moves, goal: moves.map((m) => m.id), toolMinutes, flipMinutes });
          const theirs = highs.solve(programme(moves, { tool: toolMinutes, flip: flipMinutes, power: 0 }));
          const minutes = moves.reduce((s, m) => s + m.minutes, 0);
          expect(mine.optimal).toBe(true);
          expect(mine.minutes - minutes).toBeCloseTo(theirs.ObjectiveValue, 6);
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  });
  it('and with groups to choose from, a side to keep and the power, on 200 units', async () => {
    const highs = await loadHighs();
    let kept = 0;
    let refused = 0;
    fc.assert(
      fc.property(
        problem,
        fc.array(fc.constantFrom(null, ...POWERS), { minLength: 6, maxLength: 6 }),
        fc.array(fc.nat(), { minLength: 8, maxLength: 8 }),
        fc.constantFrom(0.5, 2),
        fc.constantFrom(1, 3),
        fc.constantFrom(0.25, 4),
        (plain, powers, pick, toolMinutes, flipMinutes, powerMinutes) => {
          const moves: Move[] = plain.map((m, i) => ({
            ...m,
            power: powers[i] ?? null,
            ...(i >= 2 && (pick[i] ?? 0) % 3 === 0
              ? { afterAny: [[`m${(pick[i] ?? 0) % i}`], [`m${(pick[i + 1] ?? 0) % i}`]] }
              : {}),
          }));
          const from = (pick[6] ?? 0) % moves.length;
          const until = (pick[7] ?? 0) % moves.length;
          const keep = from < until ? [{ from: `m${from}`, until: `m${until}`, sides: ['top'] }] : [];
          const theirs = highs.solve(
            programme(moves, { tool: toolMinutes, flip: flipMinutes, power: powerMinutes }, keep),
          );
          const mine = (() => {
            try {
              return order({
                moves,
                goal: moves.map((m) => m.id),
                toolMinutes,
                flipMinutes,
                powerMinutes,
                keep,
              });
            } catch (error) {
              return String(error);
            }
          })();
          if (theirs.Status !== 'Optimal') {
            refused++;
            expect(mine).toContain('no order keeps what must be kept');
            return;
          }
          if (keep.length) kept++;
          const minutes = moves.reduce((s, m) => s + m.minutes, 0);
          expect(mine).toMatchObject({ optimal: true });
          expect((mine as { minutes: number }).minutes - minutes).toBeCloseTo(theirs.ObjectiveValue, 6);
        },
      ),
      { numRuns: 200, endOnFailure: true },
    );
    expect(kept).toBeGreaterThan(20);
    expect(refused).toBeGreaterThanOrEqual(0);
  });
  it('and on units of seven to nine moves, by stages', async () => {
    const highs = await loadHighs();
    const costs = { tool: 0.5, flip: 1, power: 4 };
    let kept = 0;
    for (const [n, seed] of [
      [7, 1],
      [7, 2],
      [8, 3],
      [8, 4],
      [9, 5],
      [9, 6],
    ] as const) {
      const { moves, keep } = drawnUnit(n, seed);
      const minutes = moves.reduce((s, m) => s + m.minutes, 0);
      const theirs = highs.solve(stagedProgramme(moves, costs, keep, n));
      const mine = () =>
        order({
          moves,
          goal: moves.map((m) => m.id),
          toolMinutes: costs.tool,
          flipMinutes: costs.flip,
          powerMinutes: costs.power,
          keep,
        });
      if (theirs.Status === 'Infeasible') {
        expect(mine).toThrow('no order keeps what must be kept');
        continue;
      }
      kept += keep.length;
      expect(theirs.Status).toBe('Optimal');
      expect(mine()).toMatchObject({ optimal: true });
      expect(mine().minutes - minutes).toBeCloseTo(theirs.ObjectiveValue, 5);
    }
    expect(kept).toBeGreaterThan(0);
  });
});
