import type { Payload } from '../job';
import { demand } from '../refusal';
import type { Hidden, HiddenPattern } from '../simulate';
import { cone, deriveChecks, type UnitMap } from '../unit';
import { drawing } from './draw';
import type { Skill } from './skills';

/** How often a hidden fault comes and goes: one in so many. Common practice, no source. */
const COMES_AND_GOES = 0.25;

/** A fault to be found, and how the unit comes in with it. */
export interface HiddenFault {
  hidden: Hidden;
  intake: Payload<'intake.recorded'>;
  practises: Skill[];
}

/** What a hidden fault should be. */
export interface Wish {
  element?: string;
  /** the one that its map says fails most often */
  likeliest?: boolean;
  pattern?: HiddenPattern;
  /** how many at once; one when absent */
  faults?: 1 | 2;
}

/** Elements whose fault some function shows, with the functions that fail with each. */
function showing(map: UnitMap): Map<string, UnitMap['functions']> {
  const all = new Map<string, UnitMap['functions']>();
  for (const f of map.functions)
    for (const id of cone(map, f.output)) all.set(id, [...(all.get(id) ?? []), f]);
  return all;
}

/** What finding a fault on this unit practises. */
function practisedBy(map: UnitMap, pattern: HiddenPattern): Skill[] {
  const powered = map.feeds.filter((f) => f.carries === 'power');
  const most = Math.max(0, ...map.elements.map((e) => powered.filter((f) => f.from === e.id).length));
  const forks = map.elements.some(
    (e) => map.feeds.filter((f) => f.carries === 'signal' && f.from === e.id).length > 1,
  );
  return [
    forks ? 'two channels' : 'halving a chain',
    ...(most > 2 ? (['shared supply'] as const) : []),
    ...(pattern === 'always' ? [] : (['faults that come and go'] as const)),
    ...(map.access.length ? (['covers'] as const) : []),
    ...(map.access.length && map.taps.some((t) => t.power === 'on') ? (['powered and dead'] as const) : []),
    'cheap things first',
    'when to stop looking',
  ];
}

/**
 * Hides a fault in a unit: by the weights of its map, among what has a remedy and shows at some function.
 *
 * @param map any unit
 * @param seed a whole number
 * @param wish what it should be, where that was asked for
 * @returns the fault, how the unit is taken in with it, and what it practises
 * @throws Refusal in words where the map has no function, no check, no remedy, or cannot show that fault
 * @example hide(map, 7).hidden.faults // [{ id: 'W4', pattern: 'always' }]
 */
export function hide(map: UnitMap, seed: number, wish: Wish = {}): HiddenFault {
  demand(
    map.functions.length > 0,
    `${map.name} has no function on its map: say first what it should do`,
    '/unit',
  );
  demand(
    deriveChecks(map).some((c) => !c.id.startsWith('symptom:')),
    `${map.name} has no check on its map: give it a point to measure or to look at`,
    '/unit',
  );
  const shows = showing(map);
  const wished = wish.element;
  if (wished !== undefined) {
    const e = map.elements.find((x) => x.id === wished);
    demand(e, `${wished} is no element of ${map.name}`, '/element');
    demand(
      e.remedies.length > 0,
      `${wished} has no remedy on the map: its fault could not be mended`,
      '/element',
    );
    demand(
      shows.has(wished),
      `no function of ${map.name} needs ${wished}: no check can show its fault`,
      '/element',
    );
  }
  const candidates = map.elements.filter(
    (e) => e.remedies.length > 0 && shows.has(e.id) && (wished === undefined || e.id === wished),
  );
  demand(
    candidates.length > 0,
    `no element of ${map.name} has a remedy and is needed by a function: nothing can be found on it`,
    '/unit',
  );
  const draw = drawing(seed, 'hide');
  const most = Math.max(...candidates.map((e) => e.weight));
  const first = wish.likeliest
    ? (candidates.find((e) => e.weight === most) as (typeof candidates)[number])
    : draw.weighted(candidates, (e) => e.weight);
  const drawn: HiddenPattern = draw.chance(COMES_AND_GOES)
    ? draw.pick(['now and then', 'rarely'] as const)
    : 'always';
  const pattern = wish.pattern ?? drawn;
  const faults = [first];
  if (wish.faults === 2) {
    const others = candidates.filter((e) => e !== first);
    demand(others.length > 0, `${map.name} has no second element that could be at fault`, '/faults');
    faults.push(draw.weighted(others, (e) => e.weight));
  }
  const failing = map.functions.filter((f) => faults.some((e) => shows.get(e.id)?.includes(f)));
  const [complained, ...rest] = failing;
  demand(complained, `no function of ${map.name} needs ${first.id}`, '/unit');
  return {
    hidden: { faults: faults.map((e) => ({ id: e.id, pattern })) },
    intake: {
      function: complained.id,
      ...(rest.length ? { alsoFails: rest.map((f) => f.id) } : {}),
      symptom: `${complained.name}: fails ${pattern}`.slice(0, 200),
      pattern,
      keep: [],
    },
    practises: practisedBy(map, pattern),
  };
}
