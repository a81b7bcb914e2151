import type { MapAccess, UnitMap } from './map';

/** One cover in the tree of what lies under what. */
export interface AccessRow {
  cover: MapAccess;
  depth: number;
  /** nothing else hangs on its parent after it */
  last: boolean;
  /** for each step above it: whether the line beside it goes on */
  lines: boolean[];
  /** covers that must be off as well, beside the one it hangs under */
  also: string[];
  /** elements reached once it is off, and not before */
  reaches: string[];
}

/** How deep a cover lies: the longest chain of covers over it. */
function depths(map: UnitMap): Map<string, number> {
  const byId = new Map(map.access.map((a) => [a.id, a]));
  const known = new Map<string, number>();
  const depth = (id: string): number => {
    const had = known.get(id);
    if (had !== undefined) return had;
    // A circle is refused when the map is checked; here it must only come to an end.
    known.set(id, 0);
    const needs = byId.get(id)?.needs ?? [];
    const d = needs.length ? 1 + Math.max(...needs.map(depth)) : 0;
    known.set(id, d);
    return d;
  };
  for (const a of map.access) depth(a.id);
  return known;
}

/** The one of several covers that lies deepest, the later on a tie. */
const deepest = (ids: string[], depth: Map<string, number>): string | undefined =>
  ids.reduce<string | undefined>(
    (best, id) => (best === undefined || (depth.get(id) ?? 0) >= (depth.get(best) ?? 0) ? id : best),
    undefined,
  );

/**
 * Covers, shields, brackets and trays as a tree: each under the deepest of those that must be off
 * before it, with the elements that it is the last cover over.
 *
 * @param map a unit's map
 * @returns rows from the top, each followed by what lies under it
 * @example accessTree(photoPrinter).map((r) => `${r.depth} ${r.cover.id}`) // ['0 top cover', '0 rear cover', '1 shield plate']
 */
export function accessTree(map: UnitMap): AccessRow[] {
  const depth = depths(map);
  const parent = new Map(map.access.map((a) => [a.id, deepest(a.needs ?? [], depth)]));
  const children = (id: string | undefined) => map.access.filter((a) => parent.get(a.id) === id);
  const over = new Map(map.elements.map((e) => [e.id, deepest(e.needs ?? [], depth)]));
  const rows: AccessRow[] = [];
  const walk = (list: MapAccess[], lines: boolean[]) => {
    list.forEach((cover, i) => {
      const last = i === list.length - 1;
      rows.push({
        cover,
        depth: lines.length,
        last,
        lines,
        also: (cover.needs ?? []).filter((n) => n !== parent.get(cover.id)),
        reaches: map.elements.filter((e) => over.get(e.id) === cover.id).map((e) => e.id),
      });
      walk(children(cover.id), [...lines, !last]);
    });
  };
  walk(children(undefined), []);
  return rows;
}
