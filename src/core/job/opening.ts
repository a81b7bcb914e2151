import { folded } from '../hazard';
import { coversOver } from '../unit';
import { callsOf } from './called';
import { firstLooksFound } from './first-looks';
import { openAccess } from './open';
import type { Fix, JobState, Out, Plan } from './state';

/**
 * Remedies planned for one opening: the one in hand first, then those that wait for it.
 *
 * @param state a job
 * @returns plans, empty when nothing is planned or it is referred
 * @example plansOf(state).map((p) => p.element) // ['W4', 'B1']
 */
export const plansOf = (state: JobState): Plan[] =>
  state.plan?.kind === 'remedy' ? [state.plan, ...state.also] : state.also;

/**
 * Everything that was mended in this opening.
 *
 * @param state a job
 * @returns remedies in the order in which they were done
 * @example fixesOf(state).map((f) => f.element) // ['W4', 'B1']
 */
export const fixesOf = (state: JobState): Fix[] => [...state.fixes, ...(state.fix ? [state.fix] : [])];

/** What mended the unit, in words: "new ribbon and new pack", or what a first look put right. */
export const fixWords = (state: JobState): string =>
  (fixesOf(state).length
    ? fixesOf(state).map((f) => f.name)
    : firstLooksFound(state).flatMap((l) => l.mends ?? [])
  ).join(' and ');

/** Old parts that are out and not replaced yet: the one in hand first. */
export const outsOf = (state: JobState): Out[] => [...(state.out ? [state.out] : []), ...state.outBeside];

/** A plan comes into hand; its old part may be out already. */
function inHand(state: JobState, plan: Plan, also: Plan[]): JobState {
  const out = state.outBeside.find((o) => o.element === plan.element) ?? null;
  return { ...state, plan, also, out, outBeside: state.outBeside.filter((o) => o !== out) };
}

/**
 * After a remedy is done: the next one of the same opening comes into hand; with the last, all are done.
 *
 * @param state a job whose fix was just made
 * @returns the job
 * @example nextRemedy(state).plan?.element // 'B1'
 */
export function nextRemedy(state: JobState): JobState {
  const [next, ...rest] = state.also;
  const { fix, plan } = state;
  if (!next || !fix || !plan) return state;
  return {
    ...inHand(state, next, rest),
    fixes: [...state.fixes, { ...fix, plan }],
    fix: null,
    stop: 'swap',
  };
}

/**
 * A remedy of this opening is planned no longer: the next one comes into hand, or the last that was done
 * is the end of it.
 *
 * @param state a job
 * @param element whose remedy is dropped
 * @returns the job
 * @example dropped(state, 'B1').also // []
 */
export function dropped(state: JobState, element: string): JobState {
  if (state.plan?.element !== element)
    return { ...state, also: state.also.filter((p) => p.element !== element) };
  const [next, ...rest] = state.also;
  if (next) return inHand(state, next, rest);
  const fix = state.fixes.at(-1);
  if (!fix) return { ...state, plan: null };
  return { ...state, plan: fix.plan ?? null, fix, fixes: state.fixes.slice(0, -1), stop: 'close up' };
}

/**
 * The planned element that a thing is, by its mark or by what it is.
 *
 * @param state a job
 * @param name of a part, as it was said
 * @returns its plan, or undefined
 * @example planNamed(state, 'old battery')?.element // 'B1'
 */
export function planNamed(state: JobState, name: string): Plan | undefined {
  const said = folded(name).replace(/^old /, '');
  return plansOf(state).find((plan) => {
    const e = state.map.elements.find((x) => x.id === plan.element);
    return e !== undefined && plan.remedyKind === 'replace' && callsOf(e).includes(said);
  });
}

/**
 * Covers that have to be off for what is planned, with everything that lies over them: one opening for
 * all remedies.
 *
 * @param state a job
 * @returns access ids
 * @example coversNeeded(state) // ['lid', 'shield']
 */
export function coversNeeded(state: JobState): string[] {
  const needs = plansOf(state).flatMap(
    (p) => state.map.elements.find((x) => x.id === p.element)?.needs ?? [],
  );
  return coversOver(state.map.access, needs);
}

/**
 * Whether the element that is mended next can be got at: a plan, every cover over it off.
 *
 * @param state a job
 * @returns true from when hands reach it
 * @example isReached(state) // false while the lid is on
 */
export function isReached(state: JobState): boolean {
  const open = openAccess(state);
  return Boolean(state.plan?.element) && coversNeeded(state).every((c) => open.includes(c));
}

/**
 * Whether there is something to be proven: a remedy is done, a first look put something right, or the
 * unit was put together.
 *
 * @param state a job
 * @returns true from when a proof means something
 * @example isDone(state) // false, before anything went in
 */
export const isDone = (state: JobState): boolean =>
  state.fix !== null ||
  (state.fixes.length === 0 &&
    state.out === null &&
    (state.ledger.items.some((i) => i.assembly) ||
      (state.plan === null && firstLooksFound(state).some((l) => l.mends))));
