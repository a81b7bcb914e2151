import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { order } from '.';

const TOOLS = ['PH1', 'T20', 'pry card'];
const SIDES = ['top', 'rear'];
const POWERS = ['on', 'off'] as const;

interface Move {
  id: string;
  minutes: number;
  tool: string | null;
  sideUp: string | null;
  after: string[];
  afterAny?: string[][];
  power?: 'on' | 'off' | null;
}
interface Keep {
  from: string;
  until: string;
  sides: string[];
}
interface Costs {
  tool: number;
  flip: number;
  power: number;
}

/**
 * The same question as a mixed-integer programme: which move stands at which place, which tool is in
 * the hand, which side is up and whether the power is on there, and where they change; of each choice of
 * groups one comes before; between two moves of a keep no other side is up.
 */
function programme(moves: Move[], costs: Costs, keep: Keep[] = []): string {
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
  setup(TOOLS, (m) => m.tool, 't', costs.tool);
  setup(SIDES, (m) => m.sideUp, 's', costs.flip);
  setup([...POWERS], (m) => m.power ?? null, 'w', costs.power);
  const at = (id: string) => moves.findIndex((m) => m.id === id);
  const place = (i: number, sign: string) => places.map((p) => `${sign} ${p} x${i}_${p}`).join(' ');
  moves.forEach((m, i) => {
    for (const a of m.after) rows.push(`${place(i, '+')} ${place(at(a), '-')} >= 1`);
    (m.afterAny ?? []).forEach((group, k) => {
      for (const a of group)
        rows.push(
          `${place(i, '+')} ${place(at(a), '-')} - ${moves.length + 1} ${bin(`g${i}_${k}`)} >= ${-moves.length}`,
        );
    });
    if (m.afterAny?.length) rows.push(`${m.afterAny.map((_, k) => bin(`g${i}_${k}`)).join(' + ')} = 1`);
  });
  // From the place of its first move to that of its last no other side is up.
  for (const { from, until, sides } of keep)
    SIDES.forEach((name, k) => {
      if (sides.includes(name)) return;
      for (const p of places) {
        const begun = places.filter((q) => q <= p).map((q) => `+ x${at(from)}_${q}`);
        const over = places.filter((q) => q < p).map((q) => `- x${at(until)}_${q}`);
        rows.push(`s${k + 1}_${p} ${begun.join(' ')} ${over.join(' ')} <= 1`);
      }
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
  }, 120_000);
});
