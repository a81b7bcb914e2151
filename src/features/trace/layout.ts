import dagre from '@dagrejs/dagre';
import type { ElementKind, UnitMap } from '../../core/unit';

export interface Box {
  id: string;
  name: string;
  kind: ElementKind;
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface ChainLayout {
  boxes: Box[];
  links: { from: Box; to: Box }[];
  /** elements that feed the chain from beside it: supplies, settings */
  beside: UnitMap['elements'];
  width: number;
  height: number;
}

const WIDTH: Partial<Record<ElementKind, number>> = { board: 116, supply: 104, cable: 74 };
const OTHER = 68;
const GAP = 16;
const LANE_GAP = 12;
const ONE_LANE = 132;
const LANE = 74;

/**
 * Lays the chain out from source to output: columns by rank along the signal, channels as lanes.
 * A column with one element takes the whole height, so that what channels share stands tall.
 */
export function layoutChain(map: UnitMap): ChainLayout {
  const signal = map.feeds.filter((f) => f.carries === 'signal');
  const feeds = signal.length ? signal : map.feeds;
  const inChain = new Set(feeds.flatMap((f) => [f.from, f.to]));
  const members = map.elements.filter((e) => inChain.has(e.id) || map.elements.length === 1);
  const g = new dagre.graphlib.Graph();
  g.setGraph({ rankdir: 'LR', ranksep: 10, nodesep: 10 });
  g.setDefaultEdgeLabel(() => ({}));
  for (const e of members) g.setNode(e.id, { width: 10, height: 10 });
  for (const f of feeds) g.setEdge(f.from, f.to);
  dagre.layout(g);
  const columns = new Map<number, { id: string; y: number }[]>();
  for (const e of members) {
    const { x, y } = g.node(e.id) as { x: number; y: number };
    const at = Math.round(x);
    columns.set(at, [...(columns.get(at) ?? []), { id: e.id, y }]);
  }
  // Dagre may turn the lanes over: the order of the map decides, from the first split on.
  const rank = new Map(map.elements.map((e, i) => [e.id, i]));
  const lanes = Math.max(1, ...[...columns.values()].map((c) => c.length));
  const height = lanes === 1 ? ONE_LANE : lanes * LANE + (lanes - 1) * LANE_GAP;
  const boxes: Box[] = [];
  let x = 0;
  for (const [, column] of [...columns].sort((a, b) => a[0] - b[0])) {
    const ids = column.sort((a, b) => (rank.get(a.id) ?? 0) - (rank.get(b.id) ?? 0));
    const w = Math.max(
      ...ids.map(({ id }) => WIDTH[map.elements.find((e) => e.id === id)?.kind ?? 'board'] ?? OTHER),
    );
    const h = (height - (ids.length - 1) * LANE_GAP) / ids.length;
    ids.forEach(({ id }, i) => {
      const e = map.elements.find((m) => m.id === id);
      if (e) boxes.push({ id, name: e.name, kind: e.kind, x, y: i * (h + LANE_GAP), w, h });
    });
    x += w + GAP;
  }
  const at = new Map(boxes.map((b) => [b.id, b]));
  return {
    boxes,
    links: feeds.flatMap((f) => {
      const from = at.get(f.from);
      const to = at.get(f.to);
      return from && to ? [{ from, to }] : [];
    }),
    beside: map.elements.filter((e) => !at.has(e.id)),
    width: Math.max(0, x - GAP),
    height,
  };
}
