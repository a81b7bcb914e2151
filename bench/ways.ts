/** Average minutes to repair: Mulch's advice beside three ways people work by hand, and beside the optimum. */

import type { TraceCheck, TraceLogEntry, TraceRequest } from '../src/core/trace';
import { cone, type Feed, type UnitMap } from '../src/core/unit';
import { advised, fromOneEnd, halving, likeliestFirst, type Way } from './hand-ways';
import { optimum } from './optimum';

/** A small repeatable generator: Mulberry32. */
export function dice(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Shape = (n: number, roll: () => number) => { from: number; to: number }[];
const SHAPES: Record<string, Shape> = {
  chain: (n) => Array.from({ length: n - 1 }, (_, i) => ({ from: i, to: i + 1 })),
  tree: (n, roll) =>
    Array.from({ length: n - 1 }, (_, i) => ({
      from: i,
      to: Math.min(n - 1, i + 1 + Math.floor(roll() * Math.min(4, n - i - 1))),
    })),
  'two channels': (n) => {
    const stem = Math.ceil(n / 3);
    const half = stem + Math.ceil((n - stem) / 2);
    return Array.from({ length: n - 1 }, (_, k) => k + 1).map((i) => ({
      from: i === half ? stem - 1 : i - 1,
      to: i,
    }));
  },
};

/** A random unit as a trace request: a tap after every element, and the symptom at its last. */
export function randomUnit(shape: string, n: number, q: number, roll: () => number): TraceRequest {
  const feeds: Feed[] = (SHAPES[shape]?.(n, roll) ?? []).map(({ from, to }) => ({
    from: `e${from}`,
    to: `e${to}`,
    carries: 'signal',
  }));
  const elements = Array.from({ length: n }, (_, i) => ({
    id: `e${i}`,
    weight: 0.5 + 4 * roll() ** 2,
    repairMinutes: 5 + Math.round(25 * roll()),
    q,
  }));
  const map = { elements, feeds } as unknown as Pick<UnitMap, 'elements' | 'feeds'>;
  const checks: TraceCheck[] = elements.map((e) => ({
    id: `t${e.id}`,
    exercises: cone(map, e.id),
    minutes: 1 + Math.round(3 * roll()),
    sensitivity: 1,
    falseAlarm: 0,
  }));
  const symptom = `te${n - 1}`;
  return {
    elements,
    checks,
    log: [{ check: symptom, outcome: 'bad' }],
    options: { lookahead: n <= 20 ? 2 : 1, top: 1, repeats: 'intermittent only' },
  };
}

/** Plays one repair through: minutes, and whether something whole was ever replaced in the belief that it was the fault. */
export function play(request: TraceRequest, way: Way, fault: string, roll: () => number): number {
  const log: TraceLogEntry[] = [];
  let minutes = 0;
  for (let guard = 0; guard < 400; guard++) {
    const act = way(request, log);
    if ('repair' in act) {
      minutes += request.elements.find((e) => e.id === act.repair)?.repairMinutes ?? 0;
      if (act.repair === fault) return minutes;
      log.push({ repaired: act.repair });
    } else {
      const c = request.checks.find((x) => x.id === act.check);
      const q = request.elements.find((e) => e.id === fault)?.q ?? 1;
      minutes += c?.minutes ?? 0;
      log.push({ check: act.check, outcome: c?.exercises?.includes(fault) && roll() < q ? 'bad' : 'ok' });
    }
  }
  return Number.NaN;
}

const pick = (request: TraceRequest, roll: () => number): string => {
  const reach = new Set(request.checks.at(-1)?.exercises ?? []);
  const pool = request.elements.filter((e) => reach.has(e.id));
  let at = roll() * pool.reduce((a, e) => a + e.weight, 0);
  for (const e of pool) {
    at -= e.weight;
    if (at <= 0) return e.id;
  }
  return pool.at(-1)?.id ?? '';
};

const WAYS: Record<string, Way> = {
  Mulch: advised,
  'from one end': fromOneEnd,
  halving,
  'likeliest part first': likeliestFirst,
};

/** Prints the table of average minutes. */
export function compareWays(say: (line: string) => void): void {
  say(
    `${'unit'.padEnd(34)}${Object.keys(WAYS)
      .map((w) => w.padStart(22))
      .join('')}   under the best by hand`,
  );
  for (const shape of Object.keys(SHAPES)) {
    for (const [n, q] of [
      [8, 1],
      [20, 1],
      [60, 1],
      [20, 0.6],
    ] as const) {
      const sums = Object.keys(WAYS).map(() => 0);
      const units = n === 60 ? 20 : 60;
      for (let u = 0; u < units; u++) {
        const roll = dice(1000 * n + u);
        const request = randomUnit(shape, n, q, roll);
        const fault = pick(request, roll);
        Object.values(WAYS).forEach((way, w) => {
          sums[w] = (sums[w] ?? 0) + play(request, way, fault, dice(u + 7)) / units;
        });
      }
      const best = Math.min(...sums.slice(1));
      const name = `${shape}, ${n} elements${q < 1 ? ', comes and goes' : ''}`;
      say(
        `${name.padEnd(34)}${sums.map((s) => s.toFixed(1).padStart(22)).join('')}   ${(100 * (1 - (sums[0] ?? 0) / best)).toFixed(0)} %`,
      );
    }
  }
  let mine = 0;
  let exact = 0;
  for (let u = 0; u < 40; u++) {
    const roll = dice(u);
    const request = randomUnit(['chain', 'tree', 'two channels'][u % 3] ?? 'chain', 7, 1, roll);
    const open: TraceRequest = { ...request, elements: request.elements.map((e) => ({ ...e })), log: [] };
    const total = open.elements.reduce((a, e) => a + e.weight, 0);
    for (const e of open.elements) mine += (e.weight / total) * play(open, advised, e.id, roll);
    exact += optimum(open);
  }
  say(
    `small units, 7 elements: Mulch ${(mine / 40).toFixed(2)} min, exact optimum ${(exact / 40).toFixed(2)} min, ${(100 * (mine / exact - 1)).toFixed(2)} % over`,
  );
}
