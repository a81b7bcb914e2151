import type { UnitMap } from './map';

/**
 * The cone of an element: itself and everything upstream of it, by signal or power. A tap after the
 * element exercises exactly these.
 *
 * @param map elements and feeds; loops are allowed and end where they began
 * @param output element id
 * @returns ids in the order of the map
 * @example cone({ elements: [{id:'J1'},{id:'A1'}], feeds: [{from:'J1',to:'A1'}] }, 'A1') // ['J1', 'A1']
 */
export function cone(map: Pick<UnitMap, 'elements' | 'feeds'>, output: string): string[] {
  const feeders = new Map<string, string[]>();
  for (const f of map.feeds) feeders.set(f.to, [...(feeders.get(f.to) ?? []), f.from]);
  const seen = new Set<string>();
  const wait = [output];
  for (let id = wait.pop(); id !== undefined; id = wait.pop()) {
    if (seen.has(id)) continue;
    seen.add(id);
    wait.push(...(feeders.get(id) ?? []));
  }
  return map.elements.map((e) => e.id).filter((id) => seen.has(id));
}
