import { HAIR, type JobRead, type Problem, type Step } from './problem';
import type { DayValue } from './types';

/** Where a technician stands after some of a day. */
export interface Walk {
  place: number;
  /** the hands are free */
  at: number;
  /** until when something here asks for staying */
  stay: number;
  /** minutes travelled */
  travel: number;
  /** steps done of each job */
  counts: number[];
  /** jobs that ask for staying and are not over */
  held: number;
  /** minute at which each step and its wait are over; NaN where it was not done */
  ends: number[];
  /** appointments kept */
  kept: number;
  /** the place of the start was left */
  gone: boolean;
  /** highest place of the asked order that was begun */
  rank: number;
  worth: number;
  musts: number;
}

/** The first minute from which a span of work or travel lies clear of what is busy. */
export function clear(p: Problem, from: number, minutes: number): number {
  let t = from;
  for (const b of p.busy) {
    if (b.from >= t + minutes - HAIR) break;
    if (t < b.until - HAIR && t + minutes > b.from + HAIR) t = b.until;
  }
  return t;
}

export const atStart = (p: Problem): Walk => ({
  place: p.start.place,
  at: p.start.at,
  stay: p.start.stay,
  travel: 0,
  counts: p.jobs.map(() => 0),
  held: 0,
  ends: p.steps.map(() => Number.NaN),
  kept: 0,
  gone: false,
  rank: -1,
  worth: 0,
  musts: 0,
});

/** The minute of arrival at a place as early as may be, or null where one may not go. */
function arrival(p: Problem, w: Walk, place: number): number | null {
  if (place === w.place) return w.at;
  if (w.held > 0) return null;
  const minutes = (p.ways.minutes[w.place] as number[])[place] as number;
  return clear(p, Math.max(w.at, w.stay), minutes) + minutes;
}

/** Whether there is time left from here: to the next appointment, and home. */
function inTime(p: Problem, w: Walk): boolean {
  const next = p.fixed[w.kept];
  const near = p.ways.shortest[w.place] as number[];
  const leave = Math.max(w.at, w.stay);
  if (next) {
    const from = next.place === w.place ? w.at : leave;
    if (from + (near[next.place] as number) > next.from + HAIR) return false;
  }
  return leave + (p.end.place < 0 ? 0 : (near[p.end.place] as number)) <= p.end.at + HAIR;
}

/** Minutes travelled by the time one is at a place. */
const travelled = (p: Problem, w: Walk, place: number): number =>
  place === w.place ? w.travel : w.travel + ((p.ways.minutes[w.place] as number[])[place] as number);

/**
 * One thing more, as early as it may: a step, or the next appointment (its number lies behind those of the
 * steps). Null where it may not come next, or is too late.
 */
export function step(p: Problem, w: Walk, n: number): Walk | null {
  return n < p.steps.length ? work(p, w, n) : appointment(p, w, n - p.steps.length);
}

function appointment(p: Problem, w: Walk, k: number): Walk | null {
  const f = p.fixed[k];
  if (!f || k !== w.kept) return null;
  const there = arrival(p, w, f.place);
  if (there === null || there > f.from + HAIR) return null;
  const stays = f.place === w.place;
  const next: Walk = {
    place: f.place,
    at: f.until,
    stay: stays ? w.stay : Number.NEGATIVE_INFINITY,
    travel: travelled(p, w, f.place),
    counts: w.counts,
    held: w.held,
    ends: w.ends,
    kept: k + 1,
    gone: w.gone || !stays,
    rank: w.rank,
    worth: w.worth,
    musts: w.musts,
  };
  return inTime(p, next) ? next : null;
}

function work(p: Problem, w: Walk, n: number): Walk | null {
  const s = p.steps[n] as Step;
  const j = p.jobs[s.job] as JobRead;
  if (!Number.isNaN(w.ends[n] as number)) return null;
  const first = w.counts[s.job] === 0;
  if (j.heldHere && w.gone) return null;
  if (first && j.rank >= 0 && j.rank < w.rank) return null;
  const there = arrival(p, w, j.place);
  if (there === null) return null;
  let ready = Math.max(there, j.from, s.ready);
  for (const b of s.before) {
    const over = w.ends[b] as number;
    if (Number.isNaN(over)) return null;
    if (over > ready) ready = over;
  }
  const begin = clear(p, ready, s.on);
  const end = begin + s.on + s.off;
  if (end > j.until + HAIR || j.runs > j.until + HAIR) return null;
  const counts = w.counts.slice();
  const count = (counts[s.job] as number) + 1;
  counts[s.job] = count;
  const ends = w.ends.slice();
  ends[n] = end;
  const last = count === j.steps.length;
  const same = j.place === w.place;
  const stay = same ? w.stay : Number.NEGATIVE_INFINITY;
  // Written out: one shape of walk, made millions of times.
  const next: Walk = {
    place: j.place,
    at: begin + s.on,
    stay: j.stays ? Math.max(stay, end, j.runs) : stay,
    travel: travelled(p, w, j.place),
    counts,
    held: j.stays ? w.held + (first ? 1 : 0) - (last ? 1 : 0) : w.held,
    ends,
    kept: w.kept,
    gone: w.gone || !same,
    rank: first && j.rank >= 0 ? j.rank : w.rank,
    worth: last ? w.worth + j.worth : w.worth,
    musts: last && j.must ? w.musts + 1 : w.musts,
  };
  return inTime(p, next) ? next : null;
}

/** Where a day ends if nothing more is done; null where something is half done, or an appointment is not kept. */
export function finish(p: Problem, w: Walk): { finish: number; travel: number } | null {
  if (w.kept < p.fixed.length || w.held > 0) return null;
  for (const [i, j] of p.jobs.entries()) {
    const count = w.counts[i] as number;
    if (count > 0 && count < j.steps.length) return null;
  }
  const leave = Math.max(w.at, w.stay);
  if (p.end.place < 0) return leave <= p.end.at + HAIR ? { finish: leave, travel: w.travel } : null;
  const minutes = (p.ways.minutes[w.place] as number[])[p.end.place] as number;
  const home = clear(p, leave, minutes) + minutes;
  return home <= p.end.at + HAIR ? { finish: home, travel: w.travel + minutes } : null;
}

/** Worth and musts of all that is still to be done. */
export const allOf = (p: Problem) => {
  const open = p.jobs.filter((j) => j.steps.length > 0);
  return {
    worth: open.reduce((sum, j) => sum + j.worth, 0),
    musts: open.filter((j) => j.must).length,
  };
};

/** What a day comes to if it ends here; null where it may not. */
export function worthOf(p: Problem, w: Walk): DayValue | null {
  const end = finish(p, w);
  if (!end) return null;
  const all = allOf(p);
  return { mustLeft: all.musts - w.musts, worthLeft: all.worth - w.worth, ...end };
}

const ORDER = ['mustLeft', 'worthLeft', 'finish', 'travel'] as const;

/** Under 0 where the first is the better day. */
export function compare(a: DayValue, b: DayValue): number {
  for (const k of ORDER) {
    const d = a[k] - b[k];
    if (Math.abs(d) > 1e-7) return d;
  }
  return 0;
}
