import { openMinutes, powerMinutes } from '../../trace';
import type { Indexed } from '../values';
import type { Stand } from './way';

/** Elements that an answer can point at: those it exercises, or those its answers name. */
export function exercised(stand: Stand, check: number): Set<number> {
  const c = stand.model.request.checks[check];
  const ids = c?.exercises?.length ? c.exercises : (c?.outcomes ?? []).flatMap((o) => o.points);
  return new Set(ids.map((id) => stand.model.indexOf.get(id) as number));
}

/** A check that was not made and exercises some of the suspects, not all. */
export interface Splitting {
  index: number;
  /** how many elements it exercises */
  reach: number;
  /** how many of them are suspected */
  inside: number;
  /** minutes it would take now: itself, what it opens, the power it wants */
  minutes: number;
}

export function splitting(stand: Stand): Splitting[] {
  const { model, suspects, made } = stand;
  return model.request.checks.flatMap((c, index) => {
    if (made[index]) return [];
    const reach = exercised(stand, index);
    const inside = suspects.filter((e) => reach.has(e)).length;
    if (inside === 0 || inside === suspects.length) return [];
    const minutes =
      c.minutes +
      openMinutes(model, stand.opened, model.checkAccess[index] as number[]) +
      powerMinutes(model, stand.power, c.power);
    return [{ index, reach: reach.size, inside, minutes }];
  });
}

/** The first of those that are worth most; nothing where there is none. */
export function first<T>(list: T[], worth: (x: T) => number): T | undefined {
  let best: T | undefined;
  for (const x of list) if (best === undefined || worth(x) > worth(best)) best = x;
  return best;
}

/** The next rung of the suspect that fails most often. */
export function likeliest({ model, suspects, rungs }: Stand): Indexed {
  const index = first(suspects, (e) => model.request.elements[e]?.weight ?? 0) ?? 0;
  return { kind: 'repair', index, rung: rungs[index] ?? 0 };
}

/** Who is suspected after an answer is believed: nobody is cleared where nobody would be left. */
export function believed(stand: Stand, check: number, answer: string): number[] {
  const c = stand.model.request.checks[check];
  const points = c?.outcomes?.find((o) => o.id === answer)?.points;
  const reach = points
    ? new Set(points.map((id) => stand.model.indexOf.get(id) as number))
    : exercised(stand, check);
  const stay = stand.suspects.filter((e) => reach.has(e) === (points !== undefined || answer === 'bad'));
  return stay.length ? stay : stand.suspects;
}
