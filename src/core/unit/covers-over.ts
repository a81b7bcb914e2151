import type { MapAccess } from './map';

/**
 * Covers that have to be off before something is reached, with everything that lies over them.
 *
 * @param access covers of a map
 * @param ids covers needed; absent = none
 * @returns their closure over `needs`, each once, what lies over a cover before the cover itself;
 * a circle, which a map cannot have, comes to an end
 * @example coversOver([{ id: 'lid' }, { id: 'shield', needs: ['lid'] }], ['shield']) // ['lid', 'shield']
 */
export function coversOver(
  access: Pick<MapAccess, 'id' | 'needs'>[],
  ids: readonly string[] | undefined,
): string[] {
  const byId = new Map(access.map((a) => [a.id, a.needs]));
  const seen = new Set<string>();
  const order: string[] = [];
  const add = (id: string) => {
    if (seen.has(id)) return;
    seen.add(id);
    for (const n of byId.get(id) ?? []) add(n);
    order.push(id);
  };
  for (const id of ids ?? []) add(id);
  return order;
}
