import type { Named } from '../line';
import type { JobState } from './state';

/**
 * Everything that has a name in a job: covers, elements and their leads, plugs and headers of the map, things in
 * the tray; with what they were called in this job as well.
 *
 * @param state a job
 * @returns names, as the entry line finds them
 * @example namesOf(state).find((n) => n.kind === 'cover')?.name // 'rear cover'
 */
export function namesOf(state: JobState): Named[] {
  const { map, ledger, aliases } = state;
  const called = (id: string) => {
    const list = aliases.filter((a) => a.means === id).map((a) => a.said);
    return list.length ? { aliases: list } : {};
  };
  const known: Named[] = [
    ...map.access.map((a) => ({ id: a.id, name: a.name, kind: 'cover' as const })),
    ...map.elements.map((e) => ({ id: e.id, name: e.name, kind: 'element' as const })),
    ...(map.plugs ?? []).map((p) => ({ id: p.id, name: p.id, kind: 'plug' as const })),
    ...map.elements.flatMap((e) => (e.leads ?? []).map((l) => ({ id: l, name: l, kind: 'plug' as const }))),
    ...(map.headers ?? []).map((h) => ({ id: h.id, name: h.id, kind: 'header' as const })),
    ...map.hazards
      .flatMap((h) => [h.clear.unplugs, ...(h.clear.signals ?? [])])
      .filter((n): n is string => Boolean(n))
      .map((n) => ({ id: n, name: n, kind: 'plug' as const })),
  ];
  const taken = new Set(known.flatMap((n) => [n.id.toLowerCase(), n.name.toLowerCase()]));
  const things = ledger.items
    .filter((i) => i.kind !== 'fastener' && i.kind !== 'change' && !taken.has(i.name.toLowerCase()))
    .map((i) => ({
      id: i.id,
      name: i.name,
      kind: i.kind === 'plug' ? ('plug' as const) : ('thing' as const),
    }));
  return [...known, ...things]
    .filter((n, i, all) => all.findIndex((x) => x.id === n.id && x.kind === n.kind) === i)
    .map((n) => ({ ...n, ...called(n.id) }));
}
