import { HAIR, type JobRead, type Problem, type Step } from './problem';
import type { DayValue } from './types';
import { allOf, type Walk } from './walk';

interface Open {
  job: JobRead;
  /** minutes of hands left, and its share of the way there */
  cost: number;
}

/** The shortest way into each place from any other. */
function waysIn(p: Problem): number[] {
  return p.places.map((_, to) => {
    let least = Number.POSITIVE_INFINITY;
    for (let from = 0; from < p.places.length; from++)
      if (from !== to)
        least = Math.min(least, ((p.ways.shortest[from] as number[])[to] as number | undefined) ?? least);
    return Number.isFinite(least) ? least : 0;
  });
}

/** Places up to which the shortest way round each set of them is known. */
const MOST_ROUND = 12;

/**
 * The shortest way from a place round some others to the end (Held and Karp, SIAM Journal 10(1), 1962); 0 where
 * the places are too many.
 */
function rounds(p: Problem): (from: number, places: Set<number>) => number {
  const stops = [...new Set([p.start.place, ...p.jobs.map((j) => j.place), ...p.fixed.map((f) => f.place)])];
  if (stops.length > MOST_ROUND) return () => 0;
  const index = new Map(stops.map((place, i) => [place, i]));
  const n = stops.length;
  const known = new Float64Array((1 << n) * n).fill(Number.NaN);
  const way = (a: number, b: number) =>
    (p.ways.shortest[stops[a] as number] as number[])[stops[b] as number] as number;
  const least = (set: number, at: number): number => {
    const key = set * n + at;
    const there = known[key] as number;
    if (!Number.isNaN(there)) return there;
    let best = Number.POSITIVE_INFINITY;
    if (set === 0)
      best =
        p.end.place < 0 ? 0 : ((p.ways.shortest[stops[at] as number] as number[])[p.end.place] as number);
    for (let k = 0; k < n; k++)
      if (set & (1 << k)) best = Math.min(best, way(at, k) + least(set & ~(1 << k), k));
    known[key] = best;
    return best;
  };
  return (from, places) => {
    const at = index.get(from) as number;
    let set = 0;
    for (const place of places) set |= 1 << (index.get(place) as number);
    return least(set & ~(1 << at), at);
  };
}

/**
 * What no day that goes on from here can be better than; null where nothing can come of it. When it ends is
 * bounded for those days alone that leave no more than the best one known.
 */
export type Bound = (w: Walk, known?: DayValue) => DayValue | null;

/**
 * Bounds of a day from any point of it: jobs whose times cannot be met any more are left; of the others, as
 * many as the minutes left hold, the last of them in part (Dantzig, Discrete-variable extremum problems,
 * Operations Research 5(2), 1957), each with the hands it needs and its share of the nearest way there.
 */
export function bounds(p: Problem): Bound {
  const into = waysIn(p);
  const round = rounds(p);
  const all = allOf(p);
  const fixedLeft = (k: number) => p.fixed.slice(k).reduce((sum, f) => sum + f.until - f.from, 0);
  const homeFrom = (place: number): number =>
    p.end.place < 0 ? 0 : ((p.ways.shortest[place] as number[])[p.end.place] as number);
  const whole = p.jobs.every((j) => Number.isInteger(j.worth));
  return (w, known) => {
    const leave = Math.max(w.at, w.stay);
    const near = p.ways.shortest[w.place] as number[];
    const open: Open[] = [];
    let last = w.at;
    let onLeft = 0;
    const perPlace = new Map<number, number>();
    let home = homeFrom(w.place);
    for (const f of p.fixed.slice(w.kept)) home = Math.min(home, homeFrom(f.place));
    let worth = w.worth;
    let musts = w.musts;
    const visited = new Set([w.place]);
    for (const f of p.fixed.slice(w.kept)) visited.add(f.place);
    for (const [i, job] of p.jobs.entries()) {
      const count = w.counts[i] as number;
      if (count === job.steps.length) continue;
      const away = job.place !== w.place;
      if (count > 0) {
        // Begun is to be ended.
        let on = 0;
        let end = w.at;
        for (const k of job.steps) {
          if (!Number.isNaN(w.ends[k] as number)) continue;
          const s = p.steps[k] as Step;
          on += s.on;
          const begin = Math.max(
            w.at,
            ...s.before.map((b) => (Number.isNaN(w.ends[b] as number) ? 0 : (w.ends[b] as number))),
          );
          end = Math.max(end, begin + s.on + (job.stays ? s.off : 0));
          if (begin + s.on + s.off > job.until + HAIR) return null;
        }
        onLeft += on;
        last = Math.max(last, end);
        home = Math.min(home, homeFrom(job.place));
        visited.add(job.place);
        worth += job.worth;
        musts += job.must ? 1 : 0;
        continue;
      }
      if (job.heldHere && w.gone) continue;
      if (job.rank >= 0 && job.rank < w.rank) continue;
      const begin = Math.max((away ? leave : w.at) + (near[job.place] as number), job.from);
      const over = begin + job.chain;
      if (over > job.until + HAIR || over + homeFrom(job.place) > p.end.at + HAIR) continue;
      // What is worth nothing is done for nothing.
      if (job.worth === 0 && !job.must) continue;
      home = Math.min(home, homeFrom(job.place));
      open.push({ job, cost: job.on });
      if (away) perPlace.set(job.place, (perPlace.get(job.place) ?? 0) + 1);
    }
    for (const o of open) {
      const n = perPlace.get(o.job.place);
      if (n) o.cost += (into[o.job.place] as number) / n;
    }
    const busy = p.busy.reduce(
      (sum, b) => sum + (b.from >= w.at && b.until <= p.end.at ? b.until - b.from : 0),
      0,
    );
    const used = w.at + onLeft + fixedLeft(w.kept);
    const room = p.end.at - used - busy - home + HAIR;
    if (room < 0 && (onLeft > 0 || busy === 0)) return null;
    const wanted = open.reduce((sum, o) => sum + o.cost, 0);
    const floor = Math.max(used + home, last + home, p.fixed.at(-1)?.until ?? 0);
    if (wanted <= room) {
      let on = 0;
      let ways = home;
      for (const { job, cost } of open) {
        visited.add(job.place);
        on += job.on;
        ways += cost - job.on;
      }
      ways = Math.max(ways, round(w.place, visited));
      let end = used + on + ways;
      for (const { job } of open) {
        const begin = Math.max(w.at + (near[job.place] as number), job.from);
        end = Math.max(end, begin + job.chain + homeFrom(job.place));
        worth += job.worth;
        musts += job.must ? 1 : 0;
      }
      return {
        mustLeft: all.musts - musts,
        worthLeft: all.worth - worth,
        finish: Math.max(end, floor),
        travel: w.travel + ways,
      };
    }
    const took = worth;
    let left = Math.max(0, room);
    for (const o of open.filter((x) => x.job.must).sort((a, b) => a.cost - b.cost)) {
      if (o.cost > left + HAIR) break;
      left -= o.cost;
      musts++;
    }
    left = Math.max(0, room);
    const byWorth = [...open].sort((a, b) => b.job.worth * a.cost - a.job.worth * b.cost);
    for (const o of byWorth) {
      const part = o.cost <= left ? 1 : left / o.cost;
      worth += part * o.job.worth;
      left -= part * o.cost;
      if (left <= 0) break;
    }
    // Whole worths leave a whole worth.
    const worthLeft = whole ? Math.ceil(all.worth - worth - 1e-6) : all.worth - worth;
    let end = floor;
    if (known) {
      // What the jobs take at the least that such a day has to hold.
      let missing = all.worth - known.worthLeft - took;
      let least = 0;
      for (const o of byWorth) {
        if (missing <= HAIR) break;
        const part = o.job.worth <= missing ? 1 : missing / o.job.worth;
        least += part * o.cost;
        missing -= part * o.job.worth;
      }
      end = Math.max(end, used + least + home);
    }
    return { mustLeft: all.musts - musts, worthLeft, finish: end, travel: w.travel };
  };
}
