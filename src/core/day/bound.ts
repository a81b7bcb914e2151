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

/** What no day that goes on from here can be better than; null where nothing can come of it. */
export type Bound = (w: Walk) => DayValue | null;

/**
 * Bounds of a day from any point of it: jobs whose times cannot be met any more are left; of the others, as
 * many as the minutes left hold, the last of them in part (Dantzig, Discrete-variable extremum problems,
 * Operations Research 5(2), 1957), each with the hands it needs and its share of the nearest way there.
 */
export function bounds(p: Problem): Bound {
  const into = waysIn(p);
  const all = allOf(p);
  const fixedLeft = (k: number) => p.fixed.slice(k).reduce((sum, f) => sum + f.until - f.from, 0);
  const homeFrom = (place: number): number =>
    p.end.place < 0 ? 0 : ((p.ways.shortest[place] as number[])[p.end.place] as number);
  return (w) => {
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
      let end = used + wanted + home;
      let way = w.travel + home;
      for (const { job, cost } of open) {
        const begin = Math.max(w.at + (near[job.place] as number), job.from);
        end = Math.max(end, begin + job.chain + homeFrom(job.place));
        way += cost - job.on;
        worth += job.worth;
        musts += job.must ? 1 : 0;
      }
      return {
        mustLeft: all.musts - musts,
        worthLeft: all.worth - worth,
        finish: Math.max(end, floor),
        travel: way,
      };
    }
    let left = Math.max(0, room);
    for (const o of open.filter((x) => x.job.must).sort((a, b) => a.cost - b.cost)) {
      if (o.cost > left + HAIR) break;
      left -= o.cost;
      musts++;
    }
    left = Math.max(0, room);
    for (const o of [...open].sort((a, b) => b.job.worth * a.cost - a.job.worth * b.cost)) {
      const part = o.cost <= left ? 1 : left / o.cost;
      worth += part * o.job.worth;
      left -= part * o.cost;
      if (left <= 0) break;
    }
    return { mustLeft: all.musts - musts, worthLeft: all.worth - worth, finish: floor, travel: w.travel };
  };
}
