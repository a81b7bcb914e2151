import dagre from '@dagrejs/dagre';
import {
  Background,
  type Connection,
  Controls,
  type Edge,
  Handle,
  type Node,
  type NodeProps,
  Position,
  ReactFlow,
} from '@xyflow/react';
import '@xyflow/react/dist/base.css';
import { useMemo } from 'react';
import type { ElementKind, UnitMap } from '../../../core/unit';
import { ElementDrawing } from '../../../ui/ElementDrawing';

const WIDTH = 92;
const HEIGHT = 100;

type ElementNode = Node<{ kind: ElementKind; name: string; chosen: boolean }, 'element'>;

function DrawnElement({ id, data }: NodeProps<ElementNode>) {
  return (
    <div style={{ width: WIDTH }} className="text-center leading-[1.1]">
      <Handle type="target" position={Position.Left} className="map-handle" />
      <svg width={WIDTH} height={54} viewBox={`0 0 116 70`} preserveAspectRatio="none" aria-hidden="true">
        <ElementDrawing kind={data.kind} w={116} h={70} />
        <rect
          width="116"
          height="70"
          fill="none"
          stroke={data.chosen ? 'var(--color-ochre)' : 'var(--color-bark)'}
          strokeWidth={data.chosen ? 6 : 2.5}
        />
      </svg>
      <b className="mono text-[14px] block">{id}</b>
      <span className="text-[13px] text-bark-2 block">{data.name}</span>
      <Handle type="source" position={Position.Right} className="map-handle" />
    </div>
  );
}

const NODES = { element: DrawnElement };

function layout(map: UnitMap): Map<string, { x: number; y: number }> {
  const g = new dagre.graphlib.Graph();
  g.setGraph({ rankdir: 'LR', ranksep: 44, nodesep: 22 });
  g.setDefaultEdgeLabel(() => ({}));
  for (const e of map.elements) g.setNode(e.id, { width: WIDTH, height: HEIGHT });
  const has = new Set(map.elements.map((e) => e.id));
  for (const f of map.feeds) if (has.has(f.from) && has.has(f.to)) g.setEdge(f.from, f.to);
  dagre.layout(g);
  return new Map(
    map.elements.map((e) => {
      const n = g.node(e.id) as { x: number; y: number };
      return [e.id, { x: n.x - WIDTH / 2, y: n.y - HEIGHT / 2 }];
    }),
  );
}

/** The chain while it is being drawn: pull from the right edge of an element to the one it feeds. */
export function Canvas({
  map,
  chosen,
  onConnect,
  onChoose,
  onCut,
}: {
  map: UnitMap;
  chosen: string | null;
  onConnect(from: string, to: string): void;
  onChoose(id: string): void;
  /** feeds are taken away, by their places in the list */
  onCut(feeds: number[]): void;
}) {
  // Only what is connected to what moves the drawing, not what is typed into a name.
  const shape = JSON.stringify([map.elements.map((e) => e.id), map.feeds.map((f) => [f.from, f.to])]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the shape stands for the map
  const places = useMemo(() => layout(map), [shape]);
  const nodes: ElementNode[] = map.elements.map((e) => ({
    id: e.id,
    type: 'element',
    deletable: false,
    position: places.get(e.id) ?? { x: 0, y: 0 },
    data: { kind: e.kind, name: e.name, chosen: e.id === chosen },
    ariaLabel: `${e.id} ${e.name}`,
  }));
  const edges: Edge[] = map.feeds.map((f, i) => ({
    id: String(i),
    source: f.from,
    target: f.to,
    ariaLabel: `${f.from} feeds ${f.to}, ${f.carries}`,
    style: {
      stroke: f.carries === 'power' ? 'var(--color-bark-3)' : 'var(--color-bark)',
      strokeWidth: f.carries === 'power' ? 1.4 : 2.4,
      ...(f.carries === 'power' ? { strokeDasharray: '6 4' } : {}),
    },
  }));
  return (
    <div className="h-[300px] border-y border-rule-strong map-canvas">
      <ReactFlow
        nodes={nodes}
        edges={edges}
        nodeTypes={NODES}
        nodesDraggable={false}
        nodesFocusable
        onlyRenderVisibleElements={map.elements.length > 120}
        fitView
        fitViewOptions={{ padding: 0.08, maxZoom: 1.1 }}
        minZoom={0.1}
        maxZoom={2}
        onConnect={(c: Connection) => onConnect(c.source, c.target)}
        onNodeClick={(_, n) => onChoose(n.id)}
        onEdgesDelete={(gone) => onCut(gone.map((e) => Number(e.id)))}
        deleteKeyCode={['Delete', 'Backspace']}
        proOptions={{ hideAttribution: true }}
        aria-label="Chain of the unit"
      >
        <Background color="var(--color-rule)" gap={22} />
        <Controls showInteractive={false} />
      </ReactFlow>
    </div>
  );
}
