import { ulid } from 'ulid';
import { drawing } from '../core/practice';
import type { Movement, StockCell, StockItem } from '../core/stock';
import { DEMO_UNITS, TECHNICIAN } from './jobs';

const DAY = 86_400_000;
const SUPPLIERS = ['Tern Electrics', 'Harbour Cable Works', 'Gannet & Co'];

/** Consumables, with their minimum, their price and how long they keep. */
const USED_UP: [what: string, unit: string, minimum: number, price: number, keepsDays?: number][] = [
  ['sealant', 'pieces', 2, 690, 320],
  ['contact glue', 'ml', 50, 12, 30],
  ['thread lock', 'ml', 10, 95, 400],
  ['foam tape', 'm', 3, 140],
  ['cable tie', 'pieces', 100, 4],
  ['ferrule 0.5 mm²', 'pieces', 100, 5],
  ['ferrule 1.5 mm²', 'pieces', 100, 6],
  ['solder', 'm', 5, 60],
  ['isopropyl alcohol', 'ml', 250, 2, 700],
  ['heat paste', 'ml', 5, 180, 500],
  ['heat-shrink sleeve 6 mm', 'm', 2, 90],
  ['contact cleaner', 'ml', 100, 4, 900],
];
/** Packs of the store, as they were looked at last. */
const CELLS: Record<string, StockCell> = {
  'pack 7.2 V 2-way plug': { chemistry: 'NiMH cell', series: 6, dateCode: '2608', restVolts: 7.86 },
};
const dayOf = (now: Date, days: number) => new Date(now.getTime() + days * DAY).toISOString().slice(0, 10);
const SCREWS = [
  'M2×4',
  'M2.5×6',
  'M3×6',
  'M3×8',
  'M3×10',
  'M3×12',
  'M4×6',
  'M4×8',
  'M4×10',
  'M4×14',
  'M4×16',
  'M5×16',
];

/** The store of the pier: parts of its units, screws, and what is used up; with its ledger. */
export function demoStore(now: Date): { item: StockItem; movements: Movement[] }[] {
  const draw = drawing(1871, 'store');
  const parts = DEMO_UNITS.flatMap(({ map }) =>
    map.elements.flatMap((e) =>
      e.remedies.flatMap((r) =>
        r.kind === 'replace'
          ? [{ what: r.parts?.[0] ?? `${e.name} ${e.id}`, model: `${map.maker} ${map.model}`, element: e.id }]
          : [],
      ),
    ),
  );
  const same = new Map<string, typeof parts>();
  for (const p of parts) same.set(p.what, [...(same.get(p.what) ?? []), p]);
  const stamp = (days: number) => {
    const at = now.getTime() - days * DAY;
    return { id: ulid(at), at: new Date(at).toISOString(), by: TECHNICIAN };
  };
  let n = 0;
  const made = (
    more: Omit<StockItem, 'id' | 'place'>,
    moved: { received: number; used: number },
  ): { item: StockItem; movements: Movement[] } => {
    n++;
    const kind = n % 6 === 0 ? ('van' as const) : ('shelf' as const);
    const item: StockItem = {
      id: ulid(now.getTime() - 700 * DAY + n),
      place: { kind, label: kind === 'van' ? `box ${1 + (n % 4)}` : `${'ABCD'[n % 4]}${1 + (n % 9)}` },
      ...more,
    };
    const movements: Movement[] = [
      { ...stamp(400 - n), item: item.id, kind: 'received', count: moved.received, why: `order ${2500 + n}` },
    ];
    if (moved.used > 0)
      movements.push({ ...stamp(60 - (n % 50)), item: item.id, kind: 'used', count: moved.used });
    return { item, movements };
  };
  const first = [...same].slice(0, 41).map(([what, of]) => {
    const received = 1 + draw.below(5);
    return made(
      {
        what,
        unit: 'pieces',
        models: [...new Set(of.map((o) => o.model))],
        elements: [...new Set(of.map((o) => o.element))],
        minimum: 1,
        price: 400 + 50 * draw.below(120),
        supplier: draw.pick(SUPPLIERS),
        reference: `${draw.pick(['TE', 'HC', 'GC'])}-${1000 + draw.below(9000)}`,
        litres: (1 + draw.below(12)) / 4,
        ...(CELLS[what] ? { cell: { ...CELLS[what], lookedAt: dayOf(now, -50) } } : {}),
      },
      { received, used: draw.below(received + 1) },
    );
  });
  const screws = SCREWS.map((what) =>
    made(
      { what, unit: 'pieces', models: [], elements: [], minimum: 20, price: 3 },
      { received: 100, used: draw.below(90) },
    ),
  );
  const used = USED_UP.map(([what, unit, minimum, price, keeps]) =>
    made(
      {
        what,
        unit,
        models: [],
        elements: [],
        minimum,
        price,
        supplier: draw.pick(SUPPLIERS),
        ...(keeps ? { useBy: dayOf(now, keeps) } : {}),
      },
      { received: minimum * 3, used: draw.below(minimum * 2 + 1) },
    ),
  );
  return [...first, ...screws, ...used];
}
