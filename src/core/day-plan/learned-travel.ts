import type { JobFacts } from '../record';
import type { DayHouse } from './types';

/** A gap between two jobs that is no way but a break. Common practice, no source. */
const LONGEST_GAP = 120;
/** Ways that have to be known before they speak. Common practice, no source. */
const FEWEST = 3;

/**
 * How far it is between places, by the record: from handing one job over to opening the next one elsewhere by
 * the same person. Of the gaps the lower quartile stands, since the longer ones hold other things as well.
 *
 * @param facts jobs, in any order
 * @returns minutes from place to place, where three ways are known
 * @example learnedTravel(facts) // [{ from: 'ticket hall', to: 'pier head', minutes: 9 }]
 */
export function learnedTravel(
  facts: Pick<JobFacts, 'place' | 'openedAt' | 'handedOverAt' | 'people'>[],
): DayHouse['travel'] {
  const gaps = new Map<string, { from: string; to: string; minutes: number[] }>();
  const byPerson = new Map<string, typeof facts>();
  for (const f of facts) for (const p of f.people) byPerson.set(p, [...(byPerson.get(p) ?? []), f]);
  for (const list of byPerson.values()) {
    const inOrder = list.filter((f) => f.place !== '').sort((a, b) => (a.openedAt < b.openedAt ? -1 : 1));
    inOrder.forEach((next, i) => {
      const before = inOrder[i - 1];
      if (!before?.handedOverAt || before.place === next.place) return;
      const minutes = (Date.parse(next.openedAt) - Date.parse(before.handedOverAt)) / 60_000;
      if (minutes <= 0 || minutes > LONGEST_GAP) return;
      const key = `${before.place}\n${next.place}`;
      const there = gaps.get(key);
      if (there) there.minutes.push(minutes);
      else gaps.set(key, { from: before.place, to: next.place, minutes: [minutes] });
    });
  }
  return [...gaps.values()].flatMap(({ from, to, minutes }) => {
    if (minutes.length < FEWEST) return [];
    const sorted = [...minutes].sort((a, b) => a - b);
    return [{ from, to, minutes: Math.round(sorted[Math.floor((sorted.length - 1) / 4)] as number) }];
  });
}
