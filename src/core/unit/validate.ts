import { demand } from '../refusal';
import type { UnitMap } from './map';

/**
 * Checks what a schema cannot: that every name in the map points at something, that there is
 * something to see, and that no cover needs itself.
 *
 * @param map as read or typed
 * @throws Refusal with the path of the first thing that is wrong
 * @example validateMap(demoAmplifier) // returns
 */
export function validateMap(map: UnitMap): void {
  const once = (list: { id: string }[], what: string, at: string) => {
    const ids = new Set<string>();
    list.forEach((x, i) => {
      demand(!ids.has(x.id), `${what} ${x.id} is there twice`, `${at}/${i}/id`);
      ids.add(x.id);
    });
    return ids;
  };
  demand(map.elements.length > 0, 'a unit needs at least one element', '/elements');
  const elements = once(map.elements, 'element', '/elements');
  const access = once(map.access, 'access', '/access');
  once(map.taps, 'tap', '/taps');
  once(map.hazards, 'hazard', '/hazards');
  const known = (ids: string[] | undefined, at: string) =>
    ids?.forEach((id, k) => {
      demand(access.has(id), `access ${id} is not on the map`, `${at}/${k}`);
    });
  map.elements.forEach((e, i) => {
    demand(e.remedies.length > 0, `${e.id} has no remedy`, `/elements/${i}/remedies`);
    known(e.needs, `/elements/${i}/needs`);
    known(e.touch, `/elements/${i}/touch`);
  });
  map.feeds.forEach((f, i) => {
    demand(elements.has(f.from), `${f.from} is not an element`, `/feeds/${i}/from`);
    demand(elements.has(f.to), `${f.to} is not an element`, `/feeds/${i}/to`);
    demand(f.from !== f.to, `${f.from} cannot feed itself`, `/feeds/${i}/to`);
  });
  map.taps.forEach((t, i) => {
    demand(elements.has(t.after), `${t.after} is not an element`, `/taps/${i}/after`);
    known(t.needs, `/taps/${i}/needs`);
    demand(
      t.how !== 'measure' || t.expect,
      `${t.id} is measured and needs an expected value`,
      `/taps/${i}/expect`,
    );
    if (t.expect) {
      demand(t.expect.tolerance > 0, `tolerance at ${t.id} must be over 0`, `/taps/${i}/expect/tolerance`);
      demand(t.expect.low < t.expect.high, `low must lie under high at ${t.id}`, `/taps/${i}/expect/low`);
    }
  });
  demand(map.functions.length > 0, 'say at least one thing the unit should do', '/functions');
  map.functions.forEach((f, i) => {
    demand(elements.has(f.output), `${f.output} is not an element`, `/functions/${i}/output`);
  });
  map.hazards.forEach((h, i) => {
    known(h.exposedBy, `/hazards/${i}/exposedBy`);
  });
  map.access.forEach((a, i) => {
    known(a.needs, `/access/${i}/needs`);
  });
  const needs = new Map(map.access.map((a) => [a.id, a.needs ?? []]));
  const walk = (id: string, path: string[]) => {
    demand(!path.includes(id), `cover ${id} needs itself`, '/access');
    for (const n of needs.get(id) ?? []) walk(n, [...path, id]);
  };
  for (const a of map.access) walk(a.id, []);
}
