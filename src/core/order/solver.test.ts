import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { order } from '.';

const TOOLS = ['PH1', 'T20', 'pry card'];
const SIDES = ['top', 'rear'];

interface Move {
  id: string;
  minutes: number;
  tool: string | null;
  sideUp: string | null;
  after: string[];
}

/**
 * The same question as a mixed-integer programme: which move stands at which place, which tool is in
 * the hand and which side is up there, and where they change.
 */
function programme(moves: Move[], toolMinutes: number, flipMinutes: number): string {
  const places = moves.map((_, p) => p);
  const cost: string[] = [];
  const rows: string[] = [];
  const binary: string[] = [];
  const bin = (name: string) => {
    if (!binary.includes(name)) binary.push(name);
    return name;
  };
  moves.forEach((_, i) => {
    rows.push(`${places.map((p) => bin(`x${i}_${p}`)).join(' + ')} = 1`);
  });
  for (const p of places) rows.push(`${moves.map((_, i) => `x${i}_${p}`).join(' + ')} = 1`);
  const setup = (names: string[], of: (m: Move) => string | null, mark: string, minutes: number) => {
    for (const p of places) {
      rows.push(`${['none', ...names].map((_, k) => bin(`${mark}${k}_${p}`)).join(' + ')} = 1`);
      names.forEach((name, k) => {
        moves.forEach((m, i) => {
          if (of(m) === name) rows.push(`${mark}${k + 1}_${p} - x${i}_${p} >= 0`);
        });
        // A setup that was not there at the place before costs a change; at the first place, always.
        cost.push(`${minutes} ${bin(`c${mark}${k + 1}_${p}`)}`);
        rows.push(
          p === 0
            ? `c${mark}${k + 1}_0 - ${mark}${k + 1}_0 >= 0`
            : `c${mark}${k + 1}_${p} - ${mark}${k + 1}_${p} + ${mark}${k + 1}_${p - 1} >= 0`,
        );
      });
      if (p > 0) rows.push(`${mark}0_${p - 1} - ${mark}0_${p} >= 0`);
    }
  };
  setup(TOOLS, (m) => m.tool, 't', toolMinutes);
  setup(SIDES, (m) => m.sideUp, 's', flipMinutes);
  const place = (i: number, sign: string) => places.map((p) => `${sign} ${p} x${i}_${p}`).join(' ');
  moves.forEach((m, i) => {
    for (const a of m.after)
      rows.push(
        `${place(i, '+')} ${place(
          moves.findIndex((x) => x.id === a),
          '-',
        )} >= 1`,
      );
  });
  return `Minimize\n obj: ${cost.join(' + ')}\nSubject To\n${rows.map((r, k) => ` r${k}: ${r}`).join('\n')}\nBinary\n ${binary.join(' ')}\nEnd\n`;
}

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
          const theirs = highs.solve(programme(moves, toolMinutes, flipMinutes));
          const minutes = moves.reduce((s, m) => s + m.minutes, 0);
          expect(mine.optimal).toBe(true);
          expect(mine.minutes - minutes).toBeCloseTo(theirs.ObjectiveValue, 6);
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  });
});
