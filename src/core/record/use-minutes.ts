import { demand } from '../refusal';
import type { UnitMap } from '../unit';
import type { Taught } from './teach';

/** One default of a map and what the record says in its place. */
export interface MinutesLearned {
  what: 'remedy' | 'tap';
  /** element and remedy, or tap, by their ids */
  key: string;
  words: string;
  /** minutes on the map */
  now: number;
  /** the middle of those recorded, to a tenth of a minute */
  learned: number;
  /** how many jobs stand behind it */
  count: number;
}

const tenth = (m: number): number => Math.max(0.1, Math.round(m * 10) / 10);
/** A check of a point of the map: `tap:TP1`. */
const TAP = /^tap:(.+)$/;

/**
 * Minutes of the record that could stand on a map in place of its defaults: those with enough jobs behind
 * them that differ from what the map says.
 *
 * @param map of the model
 * @param taught what the jobs on this model teach
 * @returns one for each default, remedies first
 * @example minutesLearned(map, taught)[0] // { what: 'remedy', key: 'W7/replace', words: 'Replace W7', now: 12, learned: 17.5, count: 9 }
 */
export function minutesLearned(map: UnitMap, taught: Taught): MinutesLearned[] {
  const remedies = taught.remedyMinutes.flatMap(({ element, remedy, words, minutes }): MinutesLearned[] => {
    const r = map.elements.find((e) => e.id === element)?.remedies.find((x) => x.id === remedy);
    return r && minutes.median !== null
      ? [
          {
            what: 'remedy',
            key: `${element}/${remedy}`,
            words,
            now: r.minutes,
            learned: tenth(minutes.median),
            count: minutes.count,
          },
        ]
      : [];
  });
  const taps = taught.checkMinutes.flatMap(({ check, words, minutes }): MinutesLearned[] => {
    const id = TAP.exec(check)?.[1];
    const tap = map.taps.find((t) => t.id === id);
    return tap && minutes.median !== null
      ? [
          {
            what: 'tap',
            key: tap.id,
            words,
            now: tap.minutes,
            learned: tenth(minutes.median),
            count: minutes.count,
          },
        ]
      : [];
  });
  return [...remedies, ...taps].filter((m) => m.now !== m.learned);
}

/**
 * A map with minutes of the record in place of its own.
 *
 * @param map of the model
 * @param chosen which of {@link minutesLearned} are to stand on it
 * @returns the map; all else as it was
 * @throws Refusal when the map has no such remedy or tap any more
 * @example withMinutes(map, minutesLearned(map, taught)).elements[0]?.remedies[0]?.minutes // 17.5
 */
export function withMinutes(map: UnitMap, chosen: MinutesLearned[]): UnitMap {
  const of = new Map(chosen.map((c) => [`${c.what} ${c.key}`, c.learned]));
  const used = new Set<string>();
  const take = (key: string, otherwise: number): number => {
    const minutes = of.get(key);
    if (minutes === undefined) return otherwise;
    used.add(key);
    return minutes;
  };
  const next: UnitMap = {
    ...map,
    elements: map.elements.map((e) => ({
      ...e,
      remedies: e.remedies.map((r) => ({ ...r, minutes: take(`remedy ${e.id}/${r.id}`, r.minutes) })),
    })),
    taps: map.taps.map((t) => ({ ...t, minutes: take(`tap ${t.id}`, t.minutes) })),
  };
  for (const c of chosen)
    demand(used.has(`${c.what} ${c.key}`), `${c.words} is no longer on this map`, '/chosen');
  return next;
}
