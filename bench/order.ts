import { type OrderRequest, order } from '../src/core/order';
import { plainBeam } from './beam';
import { spread } from './figures';
import { dice } from './ways';

const TOOLS = 8;
const SIDES = 4;

/** A unit of many moves: chains of a few, tools and sides as they come. */
export function manyMoves(n: number, seed: number): OrderRequest {
  const roll = dice(seed);
  const below = (k: number) => Math.floor(roll() * k);
  const moves = Array.from({ length: n }, (_, i) => ({
    id: `m${i}`,
    minutes: 1 + below(4),
    tool: roll() < 0.25 ? null : `t${below(TOOLS)}`,
    sideUp: roll() < 0.5 ? null : `s${below(SIDES)}`,
    after: i === 0 ? [] : [...new Set([`m${below(i)}`, ...(roll() < 0.4 ? [`m${below(i)}`] : [])])],
  }));
  return { moves, goal: moves.map((m) => m.id), toolMinutes: 0.5, flipMinutes: 2 };
}

/** The answer of `order` beside a plain beam of width 10, on 20 units of 60 to 300 moves. */
export function compareOrders(say: (line: string) => void): void {
  const gains: number[] = [];
  const times: number[] = [];
  let dearer = 0;
  let same = 0;
  for (let k = 0; k < 20; k++) {
    const request = manyMoves(60 + Math.round((240 * k) / 19), 100 + k);
    const t = performance.now();
    const mine = order(request);
    times.push(performance.now() - t);
    const beam = plainBeam(request, 10);
    if (mine.minutes > beam + 1e-9) dearer++;
    gains.push(100 * (1 - mine.minutes / beam));
    if (order(request).order.join() === mine.order.join()) same++;
  }
  say(
    `order beside a beam, 20 units of 60 to 300 moves: dearer ${dearer} times, ${spread(gains).p50.toFixed(1)} % under it in the middle, same answer twice ${same} of 20; p50 ${spread(times).p50.toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms`,
  );
}
