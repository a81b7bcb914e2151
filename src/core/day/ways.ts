import { demand, Refusal } from '../refusal';
import type { DayRequest } from './types';

/** Minutes from place to place. */
export interface Ways {
  /** as given, else the shortest way round */
  minutes: number[][];
  /** the shortest way round, whatever was given: nothing is nearer */
  shortest: number[][];
}

const key = (from: string, to: string) => `${from}\n${to}`;

function given({ travel }: DayRequest): Map<string, number> {
  const map = new Map<string, number>();
  travel.forEach(({ from, to, minutes }, i) => {
    demand(
      Number.isFinite(minutes) && minutes >= 0,
      `from ${from} to ${to}: minutes must not be under 0`,
      `/travel/${i}/minutes`,
    );
    demand(from !== to, `from ${from} to itself takes no minutes`, `/travel/${i}/to`);
    demand(!map.has(key(from, to)), `from ${from} to ${to} is there twice`, `/travel/${i}`);
    map.set(key(from, to), minutes);
  });
  for (const { from, to, minutes } of travel) if (!map.has(key(to, from))) map.set(key(to, from), minutes);
  return map;
}

/**
 * Minutes between all places of a day. An entry holds both ways unless the other is given; a missing pair goes
 * the shortest way round (Floyd, Algorithm 97, Communications of the ACM 5(6), 1962).
 *
 * @param request a day
 * @returns places in the order they are met, their numbers, minutes between them
 * @throws Refusal for minutes under 0, a pair that is there twice, a place that cannot be reached
 * @example ways(day).ways.minutes[0]?.[1] // 12
 */
export function ways(request: DayRequest): {
  places: string[];
  number(name: string): number;
  ways: Ways;
} {
  const { jobs, travel, start, end, busy = [] } = request;
  const pairs = given(request);
  const wanted: [name: string, path: string][] = [
    [start.place, '/start/place'],
    ...(end.place === undefined ? [] : [[end.place, '/end/place'] as [string, string]]),
    ...jobs.map((j, i): [string, string] => [j.place, `/jobs/${i}/place`]),
    ...busy.flatMap((b, i): [string, string][] =>
      b.place === undefined ? [] : [[b.place, `/busy/${i}/place`]],
    ),
  ];
  const places = [...new Set([...wanted.map(([name]) => name), ...travel.flatMap((t) => [t.from, t.to])])];
  const index = new Map(places.map((name, i) => [name, i]));
  const shortest = places.map((a) =>
    places.map((b) => (a === b ? 0 : (pairs.get(key(a, b)) ?? Number.POSITIVE_INFINITY))),
  );
  for (const [k, via] of shortest.entries())
    for (const row of shortest) {
      const there = row[k] as number;
      for (let j = 0; j < row.length; j++) row[j] = Math.min(row[j] as number, there + (via[j] as number));
    }
  const from = shortest[0] as number[];
  for (const [name, path] of wanted)
    demand(
      Number.isFinite(from[index.get(name) as number]),
      `no way is given from ${start.place} to ${name}: write the minutes between them, or by way of another place`,
      path,
    );
  const minutes = places.map((a, i) =>
    places.map((b, j) => (a === b ? 0 : (pairs.get(key(a, b)) ?? (shortest[i]?.[j] as number)))),
  );
  return { places, number: (name) => index.get(name) as number, ways: { minutes, shortest } };
}

/**
 * Minutes from one place to another, the shortest way round where no entry says them.
 *
 * @param travel minutes between places
 * @param from a place
 * @param to another, or the same
 * @returns minutes; null where no way is known
 * @example wayBetween([{ from: 'shop', to: 'kiosk', minutes: 5 }], 'kiosk', 'shop') // 5
 */
export function wayBetween(travel: DayRequest['travel'], from: string, to: string): number | null {
  if (from === to) return 0;
  try {
    const { number, ways: all } = ways({
      jobs: [],
      travel,
      start: { place: from, at: 0 },
      end: { place: to, at: 0 },
    });
    return all.minutes[number(from)]?.[number(to)] ?? null;
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}
