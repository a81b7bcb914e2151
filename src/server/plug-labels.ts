import { mixups } from '../core/mixups';
import type { UnitMap } from '../core/unit';
import type { Label } from './labels';

/**
 * One label per plug of a unit that has to be told from another.
 *
 * @param unit its map, and the id under which it is kept
 * @param origin address of this Mulch, for the codes
 */
export function plugLabels({ id, map }: { id: string; map: UnitMap }, origin: string): Label[] {
  const plugs = map.plugs ?? [];
  const { labels, orientationMarks } = mixups({ plugs, headers: map.headers ?? [] });
  return labels.map((plug) => {
    const home = plugs.find((p) => p.id === plug)?.home ?? '';
    const landmark = map.headers?.find((h) => h.id === home)?.landmark;
    return {
      head: plug,
      lines: [
        `goes to ${home}`,
        landmark ?? (orientationMarks.includes(plug) ? 'contact 1 to the dot' : map.name),
        map.name,
      ],
      link: `${origin}/units/${id}/plugs#${encodeURIComponent(plug)}`,
    };
  });
}
