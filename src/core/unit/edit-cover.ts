import { demand } from '../refusal';
import type { UnitMap } from './map';

/** A property put in, or left out when the list is empty. */
const list = <R extends object, K extends keyof R>(
  row: R,
  key: K,
  change: (ids: string[]) => string[],
): R => {
  const had = row[key] as string[] | undefined;
  if (!had) return row;
  const { [key]: _, ...rest } = row;
  const ids = change(had);
  return (ids.length ? { ...rest, [key]: ids } : rest) as R;
};

/** The map with every mention of a cover changed; a mention that becomes nothing is left out. */
function mentions(map: UnitMap, one: (id: string) => string | null): UnitMap {
  const all = (ids: string[]) => ids.flatMap((id) => one(id) ?? []);
  const { moves, checks, faces } = map;
  return {
    ...map,
    access: map.access.map((a) => list(a, 'needs', all)),
    elements: map.elements.map((e) => list(list(e, 'needs', all), 'touch', all)),
    taps: map.taps.map((t) => list(t, 'needs', all)),
    hazards: map.hazards.map((h) => list(h, 'exposedBy', all)),
    ...(checks ? { checks: checks.map((c) => list(c, 'needs', all)) } : {}),
    ...(moves
      ? {
          moves: moves.map((m) => {
            if (m.opens === undefined) return m;
            const { opens, ...rest } = m;
            const to = one(opens);
            return to === null ? rest : { ...rest, opens: to };
          }),
        }
      : {}),
    ...(faces
      ? {
          faces: faces.flatMap((f) => {
            const under = f.under === undefined ? undefined : one(f.under);
            // What is seen only under a cover that is not there any more is a side of the unit now.
            const { under: _, ...rest } = f;
            return {
              ...rest,
              ...(under ? { under } : {}),
              ...(f.pins
                ? {
                    pins: f.pins.flatMap((p) => {
                      const on = one(p.on);
                      return on === null ? [] : [{ ...p, on }];
                    }),
                  }
                : {}),
              ...(f.shapes
                ? {
                    shapes: f.shapes.map((s) => {
                      if (s.of === undefined) return s;
                      const { of, ...shape } = s;
                      const to = one(of);
                      return to === null ? shape : { ...shape, of: to };
                    }),
                  }
                : {}),
            };
          }),
        }
      : {}),
  };
}

/**
 * Gives a cover another short name, wherever it is spoken of.
 *
 * @param map before
 * @param from its short name now
 * @param to the new one
 * @returns the map with it
 * @throws Refusal when the name is empty
 * @example renameCover(map, 'lid', 'top').elements[1].needs // ['top']
 */
export function renameCover(map: UnitMap, from: string, to: string): UnitMap {
  demand(to.trim() !== '', 'give the cover a name');
  const name = to.trim();
  const next = mentions(map, (id) => (id === from ? name : id));
  return {
    ...next,
    access: next.access.map((a) =>
      a.id === from ? { ...a, id: name, name: a.name === from ? name : a.name } : a,
    ),
  };
}

/**
 * Takes a cover away, and every mention of it.
 *
 * @param map before
 * @param id its short name
 * @returns the map without it
 * @example removeCover(map, 'lid').access.length
 */
export function removeCover(map: UnitMap, id: string): UnitMap {
  const next = mentions(map, (n) => (n === id ? null : n));
  return { ...next, access: next.access.filter((a) => a.id !== id) };
}
