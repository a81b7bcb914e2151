import { demand } from '../refusal';

export interface TightenRequest {
  /** screws with their numbers, in any order; any one unit of length */
  points: { id: string; x: number; y: number }[];
  /** final torque, N·m */
  torque?: number;
  lid?: 'metal' | 'plastic';
}

export interface TightenPass {
  name: string;
  /** share of the final torque, 0 = by hand */
  fraction: number;
  /** N·m, where a final torque was given and the pass is not by hand */
  torque?: number;
  sequence: string[];
}

type Point = TightenRequest['points'][number];

const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

/** Share by which radius and spacing may differ for a ring to count as even. */
const EVEN = 0.05;

/** Whether the points stand evenly on a circle, numbered along it. */
function isRing(points: Point[]): boolean {
  const n = points.length;
  const cx = points.reduce((s, p) => s + p.x, 0) / n;
  const cy = points.reduce((s, p) => s + p.y, 0) / n;
  const radii = points.map((p) => Math.hypot(p.x - cx, p.y - cy));
  const radius = radii.reduce((a, b) => a + b, 0) / n;
  if (radius === 0 || radii.some((r) => Math.abs(r - radius) > EVEN * radius)) return false;
  const step = (2 * Math.PI) / n;
  const turns = points.map((p, i) => {
    const q = points[(i + 1) % n] as Point;
    const turn = Math.atan2(q.y - cy, q.x - cx) - Math.atan2(p.y - cy, p.x - cx);
    return Math.atan2(Math.sin(turn), Math.cos(turn));
  });
  const way = Math.sign(turns[0] as number);
  return turns.every((t) => Math.abs(t * way - step) <= EVEN * step);
}

/**
 * The screws once round, by their angle about the middle: from the one with the least number on, towards
 * its neighbour with the lesser one. The order in which they are listed does not matter.
 */
function around(points: Point[]): Point[] {
  const n = points.length;
  const cx = points.reduce((s, p) => s + p.x, 0) / n;
  const cy = points.reduce((s, p) => s + p.y, 0) / n;
  const named = (a: Point, b: Point) => a.id.localeCompare(b.id, 'en', { numeric: true });
  const round = [...points]
    .map((p) => ({ p, turn: Math.atan2(p.y - cy, p.x - cx), far: Math.hypot(p.x - cx, p.y - cy) }))
    .sort((a, b) => a.turn - b.turn || a.far - b.far || named(a.p, b.p))
    .map(({ p }) => p);
  const first = round.indexOf([...points].sort(named)[0] as Point);
  const turned = [...round.slice(first), ...round.slice(0, first)];
  const [head, ...rest] = turned;
  const [next] = rest;
  const last = rest.at(-1);
  const back = next && last && named(last, next) < 0;
  return head && back ? [head, ...rest.reverse()] : turned;
}

/**
 * Star order of an even ring whose number is a multiple of four: opposite, then across, group by
 * group. Source: ASME PCC-1, legacy cross pattern: 8 is 1-5-3-7-2-6-4-8, 12 is
 * 1-7-4-10-2-8-5-11-3-9-6-12, 16 is 1-9-5-13-3-11-7-15-2-10-6-14-4-12-8-16.
 */
function star(n: number): number[] {
  const quarter = n / 4;
  const all = Array.from({ length: quarter }, (_, i) => i);
  const starts = quarter < 4 ? all : [...all.filter((i) => i % 2 === 0), ...all.filter((i) => i % 2 === 1)];
  return starts.flatMap((s) => [s, s + n / 2, s + n / 4, s + (3 * n) / 4]);
}

/** Any other layout: the next point lies far from the last, and from the one before it. */
function spread(points: Point[]): number[] {
  const order = [0];
  const left = new Set(points.map((_, i) => i).slice(1));
  while (left.size) {
    const last = points[order.at(-1) as number] as Point;
    const before = points[order.at(-2) ?? (order.at(-1) as number)] as Point;
    let best = -1;
    let far = -1;
    for (const i of left) {
      const p = points[i] as Point;
      const score = apart(p, last) + apart(p, before) / 2;
      if (score > far + 1e-12) {
        far = score;
        best = i;
      }
    }
    order.push(best);
    left.delete(best);
  }
  return order;
}

const PASSES: Record<'metal' | 'plastic', { name: string; fraction: number; round?: boolean }[]> = {
  metal: [
    { name: 'seat by hand', fraction: 0 },
    { name: '30 %', fraction: 0.3 },
    { name: '70 %', fraction: 0.7 },
    { name: '100 %', fraction: 1 },
    { name: 'once round', fraction: 1, round: true },
  ],
  // A small plastic lid: common practice, no source.
  plastic: [
    { name: 'seat by hand', fraction: 0 },
    { name: 'quarter turn', fraction: 0.5 },
    { name: 'final', fraction: 1 },
  ],
};

/**
 * Order and passes in which the screws of a lid are tightened: opposite and spread, so that it comes
 * down evenly.
 *
 * @param request screw positions with their numbers, final torque in N·m, what the lid is made of
 * @returns passes with rising share of the torque, each with its sequence of ids
 * @throws Refusal without points, with a double id, two screws in one place, or a torque not over 0
 * @example tighten({ points: square }).passes[0].sequence // 1, 3, 2, 4
 */
export function tighten({ points, torque, lid = 'metal' }: TightenRequest): { passes: TightenPass[] } {
  demand(points.length > 0, 'a lid has at least one screw', '/points');
  demand(torque === undefined || torque > 0, 'torque must be over 0', '/torque');
  points.forEach((p, i) => {
    demand(Number.isFinite(p.x) && Number.isFinite(p.y), `“${p.id}” has no place`, `/points/${i}`);
    const twin = points.findIndex((q) => q.id === p.id);
    demand(twin === i, `screw “${p.id}” is there twice`, `/points/${i}/id`);
    const same = points.findIndex((q) => q.x === p.x && q.y === p.y);
    demand(same === i, `“${p.id}” is where “${points[same]?.id}” is`, `/points/${i}`);
  });
  const round = around(points);
  const n = round.length;
  const order = n % 4 === 0 && isRing(round) ? star(n) : spread(round);
  const ids = (list: number[]) => list.map((i) => round[i]?.id as string);
  return {
    passes: PASSES[lid].map(({ name, fraction, round: goesRound }) => ({
      name,
      fraction,
      ...(torque !== undefined && fraction > 0 ? { torque: torque * fraction } : {}),
      sequence: ids(goesRound ? round.map((_, i) => i) : order),
    })),
  };
}
