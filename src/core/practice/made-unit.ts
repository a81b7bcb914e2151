import type { Header, Plug } from '../mixups';
import { demand } from '../refusal';
import {
  type ElementKind,
  KIND_DEFAULTS,
  ladderFor,
  type MapElement,
  type UnitMap,
  validateMap,
} from '../unit';
import { type Draw, drawing } from './draw';

/** How a made-up unit is built. */
export const SHAPES = ['chain', 'tree', 'two channels', 'shared supply', 'nested covers'] as const;
export type Shape = (typeof SHAPES)[number];
export const FEWEST_ELEMENTS = 4;
export const MOST_ELEMENTS = 40;

const LETTER: Record<ElementKind, string> = {
  board: 'A',
  cable: 'W',
  connector: 'J',
  battery: 'B',
  supply: 'P',
  motor: 'M',
  lamp: 'E',
  sensor: 'S',
  setting: 'Q',
};
const NAMES: Record<ElementKind, readonly string[]> = {
  board: ['input board', 'filter board', 'control board', 'driver board', 'mixer board', 'output board'],
  cable: ['short ribbon', 'long ribbon', 'screened lead', 'twisted pair', 'flat cable', 'side lead'],
  connector: ['panel socket', 'through connector', 'round connector'],
  battery: ['pack'],
  supply: ['supply'],
  motor: ['drive motor'],
  lamp: ['lamp'],
  sensor: ['eye', 'touch strip', 'float switch'],
  setting: ['mode switch'],
};
const COVERS = ['service flap', 'top cover', 'screen plate', 'inner frame', 'base plate'];

/** Elements of a unit in the making, named one after the other. */
class Parts {
  readonly elements: MapElement[] = [];
  private readonly counts = new Map<ElementKind, number>();

  constructor(private readonly draw: Draw) {}

  add(kind: ElementKind, needs: string[]): string {
    const n = (this.counts.get(kind) ?? 0) + 1;
    this.counts.set(kind, n);
    const id = `${LETTER[kind]}${n}`;
    const names = NAMES[kind];
    const name = names[(n - 1) % names.length] as string;
    this.elements.push({
      id,
      name: n > names.length ? `${name} ${n}` : name,
      kind,
      weight: Number((KIND_DEFAULTS[kind].weight * (0.5 + this.draw.below(16) / 10)).toFixed(2)),
      remedies: ladderFor(kind, id, name),
      ...(needs.length ? { needs } : {}),
    });
    return id;
  }
}

/** Kinds along a chain: boards with leads between them. */
const along = (i: number, n: number, draw: Draw): ElementKind =>
  i === 0 ? draw.pick(['sensor', 'connector'] as const) : i % 2 && n > 3 ? 'cable' : 'board';

/** From which element each further one is fed. */
const FED: Record<Shape, (i: number, n: number, draw: Draw) => number> = {
  chain: (i) => i - 1,
  'shared supply': (i) => i - 1,
  'nested covers': (i) => i - 1,
  tree: (i, _n, draw) => Math.max(0, i - 1 - draw.below(Math.min(3, i))),
  'two channels': (i, n) => {
    const stem = Math.max(1, Math.round(n / 3));
    const half = stem + Math.ceil((n - stem) / 2);
    return i === half ? stem - 1 : i - 1;
  },
};

/** Points along the way: most elements have one after them, some from outside and some under the covers. */
function tapsOf(chain: string[], outputs: Set<string>, deepest: string[], draw: Draw): UnitMap['taps'] {
  const along = chain.filter((id) => !outputs.has(id));
  const left = new Set(along.filter(() => draw.chance(0.25)));
  // A unit without any point could not be traced.
  if (left.size === along.length) left.delete(along[0] ?? '');
  return along.flatMap((after, k): UnitMap['taps'] => {
    if (left.has(after)) return [];
    const inside = draw.chance(0.6) && deepest.length > 0;
    const nominal = draw.pick([3.3, 5, 12, 0.775, 24]);
    return [
      {
        id: `TP${k + 1}`,
        name: `after ${after}`,
        after,
        how: 'measure',
        minutes: inside ? 1 : draw.pick([1, 2, 3]),
        power: 'on',
        expect: {
          nominal,
          tolerance: Number((nominal * 0.06).toPrecision(2)),
          low: 0,
          high: nominal * 1.25,
          unit: 'V',
        },
        ...(inside ? { needs: deepest } : {}),
      },
    ];
  });
}

/** A board with plugs, some of which can be taken for one another. */
function harnessOf(board: string, draw: Draw): { headers: Header[]; plugs: Plug[] } {
  const count = 4 + draw.below(3);
  const headers: Header[] = [];
  const plugs: Plug[] = [];
  for (let i = 0; i < count; i++) {
    const positions = draw.pick([2, 3, 3, 4]);
    const volts = draw.pick([5, 12, 24]);
    const keyed = draw.chance(0.4);
    const shape = {
      family: draw.pick(['post 2.5', 'post 2.5', 'post 2.0']),
      pitch: 2.5,
      rows: 1,
      positions,
      key: keyed ? draw.pick(['left rib', 'right rib']) : null,
    };
    const lines: Header['lines'] = Array.from({ length: positions }, (_, k) =>
      k === 0
        ? { name: `+${volts}V`, kind: 'supply', volts, maxVolts: volts * 1.1 }
        : k === positions - 1
          ? { name: 'GND', kind: 'ground' }
          : { name: `S${i}${k}`, kind: 'signal', maxVolts: 3.6 },
    );
    headers.push({
      id: `X${i + 1}`,
      ...shape,
      open: draw.chance(0.2),
      at: { x: 12 + (i % 3) * 34, y: 12 + Math.floor(i / 3) * 30, board },
      lines,
    });
    plugs.push({
      id: `L${i + 1}`,
      home: `X${i + 1}`,
      ...shape,
      colour: draw.pick(['white', 'white', 'black']),
      exit: { x: 20 + (i % 3) * 30, y: 70, board },
      freeLength: draw.pick([60, 90, 120]),
      lines: lines.map((l) => l.name),
    });
  }
  return { headers, plugs };
}

/**
 * A made-up unit to practise on.
 *
 * @param shape how it is built
 * @param size elements, 4 to 40
 * @param seed a whole number: the same one makes the same unit
 * @returns a valid map
 * @throws Refusal when the size is out of bounds
 * @example madeUnit('two channels', 9, 4).elements.length // 9
 */
export function madeUnit(shape: Shape, size: number, seed: number): UnitMap {
  demand(
    Number.isInteger(size) && size >= FEWEST_ELEMENTS && size <= MOST_ELEMENTS,
    `a made-up unit has ${FEWEST_ELEMENTS} to ${MOST_ELEMENTS} elements, not ${size}`,
    '/size',
  );
  const draw = drawing(seed, 'unit', shape, size);
  const depth = shape === 'nested covers' ? 3 : 1 + draw.below(2);
  const access = COVERS.slice(0, depth).map((name, i) => ({
    id: name,
    name,
    minutes: 1 + draw.below(4),
    ...(i > 0 ? { needs: [COVERS[i - 1] as string] } : {}),
  }));
  const deepest = access.slice(-1).map((a) => a.id);
  const parts = new Parts(draw);
  const inside = () => (draw.chance(0.85) ? [draw.pick(access).id] : []);
  const n = size - 1;
  const chain: string[] = [];
  const feeds: UnitMap['feeds'] = [];
  for (let i = 0; i < n; i++) {
    const last = i === n - 1 && shape !== 'tree' && shape !== 'two channels';
    const id = parts.add(
      last ? draw.pick(['lamp', 'motor'] as const) : along(i, n, draw),
      i === 0 ? [] : i < 3 ? deepest : inside(),
    );
    chain.push(id);
    if (i > 0) feeds.push({ from: chain[FED[shape](i, n, draw)] as string, to: id, carries: 'signal' });
  }
  const supply = parts.add('supply', [access[0]?.id ?? '']);
  const fed = parts.elements.filter((e) => e.kind === 'board' || e.kind === 'motor' || e.kind === 'lamp');
  const share = shape === 'shared supply' ? fed : fed.slice(0, Math.max(1, Math.ceil(fed.length / 2)));
  for (const e of share) feeds.push({ from: supply, to: e.id, carries: 'power' });
  const ends = chain.filter((id) => !feeds.some((f) => f.from === id));
  const board = parts.elements.find((e) => e.kind === 'board')?.id;
  const map: UnitMap = {
    name: `Practice unit, ${shape}, ${size} elements`,
    maker: '',
    model: '',
    elements: parts.elements,
    feeds,
    taps: tapsOf(chain, new Set(ends), deepest, draw),
    access,
    functions: ends.map((output, i) => ({
      id: `f${i + 1}`,
      name: `What comes out at ${output}`,
      output,
    })),
    hazards: [
      {
        id: 'mains',
        kind: 'mains',
        name: 'Mains',
        detail: `230 V under the ${access[0]?.name}`,
        on: supply,
        exposedBy: [access[0]?.id ?? ''],
        armedBy: ['power'],
        clear: {
          act: 'Switch off and pull the plug at the outlet',
          reading: { at: 'the inlet terminals', unit: 'V', max: 5 },
          caution:
            'Prove the meter on a live point before and after. Local codes and licensed practice come first.',
        },
      },
    ],
    ...(board ? harnessOf(board, draw) : {}),
  };
  validateMap(map);
  return map;
}
