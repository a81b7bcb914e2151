import loadHighs from 'highs';
import { type DayRequest, day } from '../src/core/day';
import { asProgram } from '../src/core/day/day.test.fixture';
import { spread } from './figures';
import { dice } from './ways';

const SECONDS = 20;
const PLACES = [
  'workshop',
  'ticket hall',
  'north arcade',
  'pier head',
  'landing stage',
  'turnstile',
  'slipway',
];

/** A day of so many jobs, drawn: half of them may be left alone, a third have times of their own. */
function drawnDay(jobs: number, tasks: number, seed: number, hours: number): DayRequest {
  const roll = dice(seed);
  const below = (n: number) => Math.floor(roll() * n);
  const at = PLACES.map(() => [below(20), below(20)] as const);
  return {
    jobs: Array.from({ length: jobs }, (_, i) => ({
      id: `j${i}`,
      place: PLACES[1 + below(PLACES.length - 1)] as string,
      mayLeave: roll() < 0.5,
      worth: 1 + below(3),
      ...(roll() < 0.3 ? { from: 500 + below(200) } : {}),
      tasks: Array.from({ length: tasks }, (_, k) => ({
        id: `t${k}`,
        handsOn: 5 + below(30),
        handsOff: k < tasks - 1 ? below(60) : 0,
        ...(k > 0 ? { after: [`t${k - 1}`] } : {}),
      })),
    })),
    travel: PLACES.flatMap((from, i) =>
      PLACES.slice(i + 1).map((to, k) => {
        const [a, b] = [at[i], at[i + 1 + k]] as [readonly [number, number], readonly [number, number]];
        return { from, to, minutes: Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]) };
      }),
    ),
    start: { place: 'workshop', at: 480 },
    end: { place: 'workshop', at: 480 + hours * 60 },
  };
}

/** Prints how long a day of 8 jobs takes, and how near one of 20 comes to what a solver finds. */
export async function compareDays(say: (line: string) => void): Promise<void> {
  const took: number[] = [];
  let sure = 0;
  for (let seed = 1; seed <= 20; seed++) {
    const q = drawnDay(8, 2, seed, seed % 2 ? 9 : 5);
    const begin = performance.now();
    if (day(q).optimal) sure++;
    took.push(performance.now() - begin);
  }
  const { p50, p95 } = spread(took);
  say(
    `day of 8 jobs with 16 tasks, 20 drawn: p50 ${p50.toFixed(0)} ms, worst ${p95.toFixed(0)} ms, surely the best ${sure} times`,
  );
  const highs = await loadHighs();
  for (const seed of [101, 102, 103]) {
    const q = drawnDay(20, 1, seed, 24);
    const begin = performance.now();
    const mine = day(q);
    const ms = performance.now() - begin;
    const theirs = highs.solve(asProgram(q), { time_limit: SECONDS });
    const end = (theirs.Columns.finish as { Primal?: number } | undefined)?.Primal;
    const left = q.jobs.filter((_, i) => {
      const u = (theirs.Columns[`u${i}`] as { Primal?: number } | undefined)?.Primal;
      return u === undefined || u < 0.5;
    });
    say(
      `day of 20 jobs, ${ms.toFixed(0)} ms: ${mine.left.length} left, done after ${mine.finish - 480} min; a solver package in ${SECONDS} s (${theirs.Status}): ${left.length} left, ${end === undefined ? 'no day' : `after ${Math.round(end - 480)} min`}`,
    );
  }
}
