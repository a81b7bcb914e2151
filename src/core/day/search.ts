import { stream } from '../simulate';
import type { Plan } from './exact';
import type { JobRead, Problem, Step } from './problem';
import { atStart, compare, step, type Walk, worthOf } from './walk';

/** How far the end of a job may be parted from its begin when it is put in. */
const PARTED = 7;
/** Jobs taken out at once. */
const MOST_OUT = 5;

/** Counts what was tried, and says when it is enough. */
interface Effort {
  left: number;
  late(): boolean;
}

/** The steps of a job in an order that each may come in. */
function inOrder(p: Problem, job: JobRead): number[] {
  const out: number[] = [];
  const open = new Set(job.steps);
  while (open.size > 0)
    for (const k of open)
      if ((p.steps[k] as Step).before.every((b) => !open.has(b))) {
        out.push(k);
        open.delete(k);
      }
  return out;
}

function walked(p: Problem, from: Walk, order: readonly number[], effort: Effort): Walk | null {
  let w: Walk | null = from;
  for (const n of order) {
    effort.left--;
    w = step(p, w, n);
    if (!w) return null;
  }
  return w;
}

/** The day with one job more, put in where it costs least; null where it fits nowhere. */
function withJob(p: Problem, plan: Plan, job: JobRead, effort: Effort): Plan | null {
  const steps = inOrder(p, job);
  const waits = steps.some((k) => (p.steps[k] as Step).off > 0);
  let best: Plan | null = null;
  let before: Walk | null = atStart(p);
  for (let at = 0; at <= plan.order.length && before; at++) {
    const rest = plan.order.slice(at);
    // In one piece; where it waits, also with its later steps further on.
    for (let cut = steps.length; cut >= (waits ? 1 : steps.length); cut--) {
      const head = walked(p, before, steps.slice(0, cut), effort);
      if (!head) continue;
      const tail = steps.slice(cut);
      for (let gap = tail.length ? 1 : 0; gap <= Math.min(tail.length ? PARTED : 0, rest.length); gap++) {
        const w = walked(p, head, [...rest.slice(0, gap), ...tail, ...rest.slice(gap)], effort);
        const value = w && worthOf(p, w);
        if (value && (!best || compare(value, best.value) < 0))
          best = {
            value,
            order: [
              ...plan.order.slice(0, at),
              ...steps.slice(0, cut),
              ...rest.slice(0, gap),
              ...tail,
              ...rest.slice(gap),
            ],
          };
      }
    }
    if (at < plan.order.length) before = walked(p, before, [plan.order[at] as number], effort);
  }
  return best;
}

function without(p: Problem, plan: Plan, jobs: Set<number>, effort: Effort): Plan | null {
  const order = plan.order.filter((n) => !jobs.has(p.steps[n]?.job ?? -1));
  const w = walked(p, atStart(p), order, effort);
  const value = w && worthOf(p, w);
  return value ? { order, value } : null;
}

/** Puts in what fits, in the order given. */
function filled(p: Problem, plan: Plan, jobs: number[], effort: Effort): Plan {
  let now = plan;
  for (const i of jobs) {
    const more = withJob(p, now, p.jobs[i] as JobRead, effort);
    if (more && compare(more.value, now.value) < 0) now = more;
  }
  return now;
}

/**
 * A good day, found by putting jobs in where they cost least, and then again and again taking a few out and
 * putting them back another way (Shaw, Using constraint programming and local search methods to solve vehicle
 * routing problems, CP 1998). The same question gets the same answer.
 *
 * @param p a day
 * @param empty the day with its appointments alone
 * @param seed of the choices
 * @param budget of steps walked
 * @param late asks whether the time is over
 * @returns the best day met
 */
export function search(p: Problem, empty: Plan, seed: number, budget: number, late: () => boolean): Plan {
  const effort: Effort = { left: budget, late };
  const open = p.jobs.flatMap((j, i) => (j.steps.length ? [i] : []));
  const job = (i: number) => p.jobs[i] as JobRead;
  const dear = [...open].sort(
    (a, b) =>
      Number(job(b).must) - Number(job(a).must) ||
      job(b).worth / (job(b).on + 1) - job(a).worth / (job(a).on + 1) ||
      a - b,
  );
  const soon = [...open].sort(
    (a, b) => Number(job(b).must) - Number(job(a).must) || job(a).until - job(b).until || a - b,
  );
  let best = filled(p, empty, dear, effort);
  const other = filled(p, empty, soon, effort);
  if (compare(other.value, best.value) < 0) best = other;
  if (open.length < 2) return best;
  const next = stream('day', seed);
  let now = best;
  while (effort.left > 0 && !effort.late()) {
    const out = new Set<number>();
    const count = 1 + Math.floor(next() * Math.min(MOST_OUT, open.length - 1));
    const inside = [...new Set(now.order.map((n) => p.steps[n]?.job ?? -1))].filter((i) => i >= 0);
    // Neighbours in time half of the time, any others else.
    const from = Math.floor(next() * Math.max(1, inside.length));
    const near = next() < 0.5;
    for (let k = 0; k < count && inside.length > 0; k++)
      out.add(inside[near ? (from + k) % inside.length : Math.floor(next() * inside.length)] as number);
    const less = without(p, now, out, effort);
    if (!less) {
      effort.left -= 10;
      continue;
    }
    const there = new Set(less.order.map((n) => p.steps[n]?.job ?? -1));
    const again = open.filter((i) => !there.has(i));
    // Shuffled, the musts first (Fisher and Yates).
    for (let i = again.length - 1; i > 0; i--) {
      const k = Math.floor(next() * (i + 1));
      [again[i], again[k]] = [again[k] as number, again[i] as number];
    }
    again.sort((a, b) => Number(job(b).must) - Number(job(a).must));
    const made = filled(p, less, again, effort);
    effort.left -= 10;
    if (compare(made.value, now.value) <= 0 || worseByLittle(made, now, next())) now = made;
    if (compare(now.value, best.value) < 0) best = now;
    else if (next() < 0.02) now = best;
  }
  return best;
}

/** A day that leaves no more and ends a little later may lead on to a better one. */
const worseByLittle = (a: Plan, b: Plan, chance: number): boolean =>
  a.value.mustLeft <= b.value.mustLeft &&
  a.value.worthLeft <= b.value.worthLeft + 1e-9 &&
  a.value.finish <= b.value.finish + 3 &&
  chance < 0.1;
