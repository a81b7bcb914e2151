import loadHighs from 'highs';
import { order } from '../src/core/order';
import { drawnUnit, stagedProgramme } from '../src/core/order/solver.test.fixture';

const SECONDS = 3;
const COSTS = { tool: 0.5, flip: 1, power: 4 };

/** The answer of `order` beside what a mixed-integer solver comes to in a few seconds, up to 50 moves. */
export async function compareSolver(say: (line: string) => void): Promise<void> {
  const highs = await loadHighs();
  let same = 0;
  let cheaper = 0;
  let dearer = 0;
  let refused = 0;
  for (const n of [10, 12, 15, 20, 25, 30, 40, 50])
    for (const seed of [n, n + 100]) {
      const { moves, keep } = drawnUnit(n, seed);
      const mine = (() => {
        try {
          return order({
            moves,
            goal: moves.map((m) => m.id),
            toolMinutes: COSTS.tool,
            flipMinutes: COSTS.flip,
            powerMinutes: COSTS.power,
            keep,
          });
        } catch {
          refused++;
          return null;
        }
      })();
      if (!mine) continue;
      const stages = Math.min(n, mine.toolChanges + mine.flips + (mine.powerChanges ?? 0) + 2);
      const theirs = highs.solve(stagedProgramme(moves, COSTS, keep, stages), { time_limit: SECONDS });
      const changes = mine.minutes - moves.reduce((s, m) => s + m.minutes, 0);
      const gap = theirs.ObjectiveValue - changes;
      if (Math.abs(gap) < 1e-5) same++;
      else if (gap > 0) cheaper++;
      else dearer++;
    }
  say(
    `order beside a solver package, 16 units of 10 to 50 moves, ${SECONDS} s each for the solver: the same ${same} times, cheaper ${cheaper}, dearer ${dearer}, refused ${refused}`,
  );
}
