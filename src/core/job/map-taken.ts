import { firstHazards } from '../hazard';
import { deriveChecks, mapFor, type UnitMap } from '../unit';
import type { JobState } from './state';

/** Parts of a map that are counted when a changed one is looked at. */
const PARTS = [
  ['access', 'cover'],
  ['elements', 'element'],
  ['plugs', 'plug'],
  ['headers', 'header'],
  ['hazards', 'hazard'],
  ['parties', 'party to be told'],
  ['powerDown', 'step of powering down'],
  ['moves', 'move of the way in'],
  ['faces', 'side'],
  ['taps', 'point to look or measure at'],
  ['variants', 'variant'],
  ['functions', 'function'],
] as const satisfies readonly (readonly [keyof UnitMap, string])[];

/** What differs in one part of a map. */
export interface MapChange {
  part: string;
  added: string[];
  gone: string[];
  changed: string[];
}

type Row = { id: string; name?: string; who?: string; text?: string };
const called = (r: Row) => r.name ?? r.who ?? r.text ?? r.id;

/**
 * What a changed map has more, less or otherwise than the one a job works with.
 *
 * @param before the job's map, with all variants
 * @param after the map as it is kept now
 * @returns one entry per part that differs, with names
 * @example mapChanges(job.whole, kept)[0] // { part: 'plug', added: ['W9'], gone: [], changed: [] }
 */
export function mapChanges(before: UnitMap, after: UnitMap): MapChange[] {
  return PARTS.flatMap(([key, part]): MapChange[] => {
    const was = (before[key] ?? []) as readonly Row[];
    const is = (after[key] ?? []) as readonly Row[];
    const old = new Map(was.map((r) => [r.id, r]));
    const now = new Set(is.map((r) => r.id));
    const added = is.filter((r) => !old.has(r.id)).map(called);
    const gone = was.filter((r) => !now.has(r.id)).map(called);
    const changed = is
      .filter((r) => old.has(r.id) && JSON.stringify(old.get(r.id)) !== JSON.stringify(r))
      .map(called);
    return added.length + gone.length + changed.length ? [{ part, added, gone, changed }] : [];
  });
}

/**
 * Checks that are recorded and that a map does not have: their answers would hang in the air.
 *
 * @param state a job
 * @param map as it is built
 * @returns ids, each once
 * @example lostChecks(state, map) // ['tap:TP9']
 */
export function lostChecks(state: JobState, map: UnitMap): string[] {
  const there = new Set(deriveChecks(map).map((c) => c.id));
  return [...new Set(state.trace.flatMap((t) => (t.check && !there.has(t.check) ? [t.check] : [])))];
}

/**
 * Things that the job speaks of already and a changed map does not have: it cannot be taken over then.
 *
 * @param state a job
 * @param map as it is kept now
 * @returns what is missed, in words; empty when nothing is
 * @example missedBy(state, map) // ['A1, which is planned for']
 */
export function missedBy(state: JobState, map: UnitMap): string[] {
  const built = mapFor(map, state.intake?.variant);
  const has = (list: readonly { id: string }[] | undefined, id: string) => list?.some((x) => x.id === id);
  const planned = [state.plan, ...state.also].flatMap((p) => p?.element ?? []);
  const fixed = [state.fix, ...state.fixes].flatMap((f) => f?.element ?? []);
  return [
    ...[...new Set([...planned, ...fixed])]
      .filter((id) => !has(built.elements, id))
      .map((id) => `${id}, which is planned for`),
    ...lostChecks(state, built).map((id) => `the check “${id}”, which is recorded`),
    ...(state.intake && !has(built.functions, state.intake.function) ? ['the function that fails'] : []),
  ];
}

/**
 * The job with a changed map of its unit: what was recorded stays; gates that were up stay up; covers met
 * at the bench, hazards and people noted at Take in are kept.
 *
 * @param state a job
 * @param map as it is kept now, with all variants
 * @returns the job on that map
 * @example withMap(state, map).map.plugs?.length // 4
 */
export function withMap(state: JobState, map: UnitMap): JobState {
  const more = <T extends { id: string }>(
    list: readonly T[],
    of: readonly T[],
    wanted: (x: T) => boolean,
  ) => [...list, ...of.filter((x) => wanted(x) && !list.some((y) => y.id === x.id))];
  const off = new Set(state.ledger.covers.map((c) => c.id));
  const noted = (x: { id: string }) => x.id.startsWith('noted ');
  const grown = (now: UnitMap, was: UnitMap): UnitMap => ({
    ...now,
    access: more(now.access, was.access, (a) => off.has(a.id)),
    hazards: more(now.hazards, was.hazards, noted),
    ...(was.parties || now.parties ? { parties: more(now.parties ?? [], was.parties ?? [], noted) } : {}),
  });
  const built = grown(mapFor(map, state.intake?.variant), state.map);
  const had = new Map(state.hazards.map((h) => [h.id, h]));
  return {
    ...state,
    whole: grown(map, state.whole),
    map: built,
    hazards: firstHazards(built.hazards).map((h) => had.get(h.id) ?? h),
  };
}
