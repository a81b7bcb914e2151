import type { Header, MixupsAnswer, Plug } from '.';

/** Plugs and headers of one shape between which a mating that changes something is possible. */
export interface MixupGroup {
  shape: string;
  plugs: string[];
  headers: string[];
}

const shapeOf = (x: Plug | Header) => `${x.family}, ${x.pitch} mm, ${x.rows === 2 ? 'two rows' : 'one row'}`;

/**
 * Plugs that can be taken for one another, as small groups: of one shape, joined by wrong headers that
 * would change something. A plug that only its own header tempts stands in none.
 *
 * @param plugs plugs of a unit
 * @param headers its headers
 * @param answer from `mixups` of the same
 * @returns groups, the largest first, each with at least two headers; names in the order given
 * @example mixupGroups(plugs, headers, answer)[0].plugs // ['W4', 'W7']
 */
export function mixupGroups(
  plugs: Plug[],
  headers: Header[],
  answer: Pick<MixupsAnswer, 'risks'>,
): MixupGroup[] {
  const of = new Map<string, string>(headers.map((h) => [h.id, h.id]));
  const root = (id: string): string => {
    const up = of.get(id) ?? id;
    return up === id ? id : root(up);
  };
  const home = new Map(plugs.map((p) => [p.id, p.home]));
  for (const r of answer.risks) {
    const own = home.get(r.plug);
    if (r.how !== 'wrong header' || r.severity === 0 || own === undefined || !of.has(own)) continue;
    of.set(root(r.header), root(own));
  }
  const groups = new Map<string, MixupGroup>();
  for (const h of headers) {
    const at = root(h.id);
    const group = groups.get(at) ?? { shape: shapeOf(h), plugs: [], headers: [] };
    group.headers.push(h.id);
    groups.set(at, group);
  }
  for (const p of plugs) if (of.has(p.home)) groups.get(root(p.home))?.plugs.push(p.id);
  return [...groups.values()]
    .filter((g) => g.headers.length > 1 && g.plugs.length > 0)
    .sort((a, b) => b.headers.length - a.headers.length);
}
