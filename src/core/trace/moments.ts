import type { Belief } from './belief';
import type { AnswerTable } from './likelihood';
import type { Model, Step } from './model';

/** Moments up to which every way on is looked at. */
export const MOST_MOMENTS = 100_000;
/** Under this share of its mass a fault set is taken for cleared. */
export const GONE = 1e-12;

/** For each check the elements it exercises that it may not show: what makes it worth a second time. */
export function hidingFrom(model: Model): number[][] {
  const { checks, elements } = model.request;
  return checks.map((check) =>
    (check.exercises ?? []).flatMap((id) => {
      const i = model.indexOf.get(id) as number;
      return (check.provokes?.[id] ?? elements[i]?.q ?? 1) < 1 ? [i] : [];
    }),
  );
}

/**
 * How often a check may still be made: once, and once more while something may hide from it.
 *
 * @param hiding what may hide from it, see {@link hidingFrom}
 * @param one suspicion of each element
 * @param made how often it was made
 * @returns 0, 1 or 2
 * @example timesLeft([], one, 1) // 0
 */
export const timesLeft = (hiding: number[], one: ArrayLike<number>, made: number): number =>
  Math.max(0, (hiding.some((i) => (one[i] as number) > GONE) ? 2 : 1) - made);

export const madeSoFar = (model: Model): number[] =>
  model.request.checks.map(
    (c) => (model.request.log ?? []).filter((e) => 'check' in e && e.check === c.id).length,
  );

/** Every answer is certain under every fault: what it said is told by who is still suspect. */
export const isCertain = (t: AnswerTable): boolean =>
  t.one.every((chances) => chances.every((x) => x === 0 || x === 1));

/**
 * How many moments a full look at every way on may meet: for a check that may be made once one more than
 * its answers, for one that may be made twice the pairs of that, 1 where its answers are certain; 2 for
 * every remedy.
 *
 * @param model a checked model
 * @param belief the present belief
 * @param ladders rungs still to try, per element
 * @returns a number of moments, never too small
 * @example moments(model, belief, ladders) // 3 ** 4 * 2 ** 5
 */
export function moments(model: Model, belief: Belief, ladders: Step[][]): number {
  const made = madeSoFar(model);
  const hiding = hidingFrom(model);
  let all = 1;
  model.tables.forEach((t, c) => {
    const k = t.answers.length;
    const times = isCertain(t) ? 0 : timesLeft(hiding[c] as number[], belief.one, made[c] as number);
    all *= times === 0 ? 1 : times === 1 ? 1 + k : ((k + 1) * (k + 2)) / 2;
  });
  for (const l of ladders) all *= 2 ** l.length;
  return all;
}
