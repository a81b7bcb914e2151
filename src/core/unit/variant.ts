import type { Only, UnitMap } from './map';

/**
 * The map of one way the unit is built: parts that other variants have are left out, and with them
 * whatever hangs on them alone.
 *
 * @param map the whole map
 * @param variant id of the variant; the map is left whole when absent
 * @returns a map with the elements, feeds, taps, covers, functions, hazards and checks of that variant
 * @example mapFor(map, 'one loop').elements.map((e) => e.id) // without W8, A5 and L2
 */
export function mapFor(map: UnitMap, variant: string | undefined): UnitMap {
  if (variant === undefined) return map;
  const here = (x: { only?: Only }) => !x.only || x.only.includes(variant);
  const elements = map.elements.filter(here);
  const has = new Set(elements.map((e) => e.id));
  const access = map.access.filter(here);
  const covers = new Set(access.map((a) => a.id));
  const reach = <T extends { needs?: string[] }>(x: T): T =>
    x.needs ? { ...x, needs: x.needs.filter((n) => covers.has(n)) } : x;
  const checks = map.checks
    ?.filter(here)
    .map((c) => ({
      ...reach(c),
      exercises: c.exercises.filter((id) => has.has(id)),
      ...(c.answers
        ? {
            answers: c.answers
              .map((a) => ({
                ...a,
                points: a.points.filter((id) => has.has(id)),
                all: a.points.length === 0,
              }))
              .filter((a) => a.all || a.points.length > 0)
              .map(({ all: _, ...a }) => a),
          }
        : {}),
      ...(c.provokes
        ? { provokes: Object.fromEntries(Object.entries(c.provokes).filter(([id]) => has.has(id))) }
        : {}),
    }))
    .filter((c) => (c.answers ? c.answers.length >= 2 : c.exercises.length > 0));
  const moves = map.moves?.filter(here);
  const doable = new Set(moves?.map((m) => m.id));
  const faces = map.faces
    ?.filter((f) => here(f) && (f.under === undefined || covers.has(f.under)))
    .map((f) =>
      f.shapes ? { ...f, shapes: f.shapes.filter((x) => x.of === undefined || covers.has(x.of)) } : f,
    );
  const channels = map.channels?.filter((c) => c.elements.every((id) => has.has(id)));
  return {
    ...map,
    elements: elements.map((e) => {
      const touch = e.touch?.filter((n) => covers.has(n));
      return { ...reach(e), ...(touch ? { touch } : {}) };
    }),
    feeds: map.feeds.filter((f) => here(f) && has.has(f.from) && has.has(f.to)),
    taps: map.taps.filter((t) => here(t) && has.has(t.after)).map(reach),
    access: access.map(reach),
    functions: map.functions.filter((f) => here(f) && has.has(f.output)),
    hazards: map.hazards.filter(here).map(({ on, ...h }) => ({
      ...h,
      ...(on !== undefined && has.has(on) ? { on } : {}),
      ...(h.exposedBy ? { exposedBy: h.exposedBy.filter((id) => covers.has(id)) } : {}),
    })),
    ...(channels ? { channels } : {}),
    ...(faces ? { faces } : {}),
    ...(checks ? { checks } : {}),
    ...(moves
      ? {
          moves: moves.map((m) => ({
            ...m,
            ...(m.after ? { after: m.after.filter((id) => doable.has(id)) } : {}),
            ...(m.afterAny
              ? { afterAny: m.afterAny.filter((group) => group.every((id) => doable.has(id))) }
              : {}),
          })),
        }
      : {}),
  };
}

/**
 * What a variant is built without, beside the whole map.
 *
 * @param map the whole map
 * @param variant id of the variant
 * @returns ids of elements and covers it does not have, in the order of the map
 * @example missingIn(map, 'one loop') // ['W8', 'A5', 'L2']
 */
export function missingIn(map: UnitMap, variant: string): string[] {
  return [...map.elements, ...map.access].filter((x) => x.only && !x.only.includes(variant)).map((x) => x.id);
}
