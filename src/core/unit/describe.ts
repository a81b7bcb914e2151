import { demand } from '../refusal';
import { HAZARDS, type HazardKind, hazardOfKind } from './hazard-kinds';
import { KIND_DEFAULTS, ladderFor } from './ladders';
import type { ElementKind, Hazard, Tap, TapHow, UnitMap } from './map';
import { validateMap } from './validate';

/** One row of a unit described at the bench: an element and, if there is one, the point after it. */
export interface DescribedRow {
  id: string;
  name: string;
  kind: ElementKind;
  tap?: {
    id: string;
    how: TapHow;
    nominal?: number;
    tolerance?: number;
    unit?: string;
    /** the point is only reached with the cover off */
    inside?: boolean;
  };
  /** it is reached without the cover off */
  outside?: boolean;
  /** the cover it lies under, by name; the innermost when absent */
  under?: string;
  /** of a battery: its leads, the one that carries the power first */
  leads?: string[];
  /** of a battery: chemistry row and cells in series, for reading how full it is */
  chemistry?: string;
  cells?: number;
}

export interface Description {
  name: string;
  maker: string;
  model: string;
  /** what it should do, as the user finds it */
  does: string;
  rows: DescribedRow[];
  /** names of what has to come off, the outermost first, parted by commas; empty = nothing to open */
  cover: string;
  /** of each */
  coverMinutes: number;
  hazards: HazardKind[];
}

/** What a lead is called that brings power. Common practice, no source. */
const POWER_LEAD = /\b(?:pack|battery|accu|supply|power|psu|mains|dc|charger|adapter|adaptor)\b/i;

/** Whether a lead brings what a supply or battery gives: by its name, or because the same is read behind both. */
function bringsPower(lead: DescribedRow, from: DescribedRow): boolean {
  if (from.kind === 'setting') return false;
  const words = lead.name.toLowerCase().split(/\s+/);
  const own = from.name.trim().toLowerCase().split(/\s+/).at(-1) ?? '';
  const [a, b] = [lead.tap, from.tap];
  const alike =
    a?.nominal !== undefined &&
    b?.nominal !== undefined &&
    a.unit?.trim() === b.unit?.trim() &&
    Math.abs(a.nominal - b.nominal) <= (b.tolerance ?? 0);
  return POWER_LEAD.test(lead.name) || words.includes(own) || words.includes(from.id.toLowerCase()) || alike;
}

const FEEDERS: ElementKind[] = ['supply', 'battery', 'setting'];
const MINUTES: Record<TapHow, number> = { look: 0.5, listen: 0.5, measure: 1 };

/**
 * A map from what a technician can say in a minute: the chain from source to output in order, what
 * feeds it, one cover, and what can hurt. Everything else is the usual for its kind.
 *
 * @param d rows in signal order; supplies, batteries and settings feed every other row; minutes
 * @returns a valid map
 * @throws Refusal with the path of the row that is wrong
 * @example describeUnit({ name: 'Bell', rows: [{ id: 'S1', name: 'push', kind: 'sensor' }], … }).feeds.length // 0
 */
export function describeUnit(d: Description): UnitMap {
  demand(d.name.trim() !== '', 'give the unit a name', '/name');
  demand(d.does.trim() !== '', 'say what the unit should do', '/does');
  const ids = new Map<string, number>();
  d.rows.forEach((r, i) => {
    demand(r.id.trim() !== '', 'give it a short mark, such as W1', `/rows/${i}/id`);
    demand(!ids.has(r.id), `${r.id} is there twice`, `/rows/${i}/id`);
    ids.set(r.id, i);
    demand(r.name.trim() !== '', `say what ${r.id} is`, `/rows/${i}/name`);
    demand(
      r.cells === undefined || (Number.isInteger(r.cells) && r.cells >= 1 && r.cells <= 400),
      `cells of ${r.id} in series: a whole number from 1`,
      `/rows/${i}/cells`,
    );
    if (r.tap) {
      demand(r.tap.id.trim() !== '', 'give the point a short mark, such as TP1', `/rows/${i}/tap/id`);
      if (r.tap.how === 'measure') {
        demand(Number.isFinite(r.tap.nominal), `say what ${r.tap.id} should read`, `/rows/${i}/tap/nominal`);
        demand(
          (r.tap.tolerance ?? 0) > 0,
          `the tolerance at ${r.tap.id} must be over 0`,
          `/rows/${i}/tap/tolerance`,
        );
        demand(r.tap.unit?.trim(), `say in which unit ${r.tap.id} reads`, `/rows/${i}/tap/unit`);
      }
    }
  });
  const chain = d.rows.filter((r) => !FEEDERS.includes(r.kind));
  demand(chain.length > 0, 'name at least one element between source and output', '/rows');
  const covers = d.cover
    .split(',')
    .map((c) => c.trim())
    .filter(Boolean)
    .map((name, i, all) => ({
      id: i === 0 ? COVER : name.toLowerCase(),
      name,
      minutes: d.coverMinutes,
      ...(i > 0 ? { needs: [i === 1 ? COVER : (all[i - 1] as string).toLowerCase()] } : {}),
    }));
  const cover = covers.length > 0;
  const outermost = cover ? [COVER] : [];
  /** the cover a row lies under */
  const over = (r: DescribedRow): string[] => {
    if (r.outside || !cover) return [];
    const named = covers.find((c) => c.name.toLowerCase() === r.under?.trim().toLowerCase());
    return [(named ?? covers.at(-1) ?? { id: COVER }).id];
  };
  const tapOf = (r: DescribedRow): Tap[] => {
    if (!r.tap) return [];
    const { id, how, nominal = 0, tolerance = 0, unit = '', inside } = r.tap;
    return [
      {
        id,
        name: `after ${r.id}`,
        after: r.id,
        how,
        minutes: MINUTES[how],
        power: 'on',
        ...(how === 'measure'
          ? { expect: { nominal, tolerance, unit: unit.trim(), ...span(nominal, tolerance) } }
          : {}),
        ...(inside && cover ? { needs: over({ ...r, outside: false }) } : {}),
      },
    ];
  };
  const gated = d.hazards.some((k) => HAZARDS[k].isPack);
  const map: UnitMap = {
    name: d.name.trim(),
    maker: d.maker.trim(),
    model: d.model.trim(),
    elements: d.rows.map((r) => ({
      id: r.id,
      name: r.name.trim(),
      kind: r.kind,
      weight: KIND_DEFAULTS[r.kind].weight,
      remedies: ladderFor(r.kind, r.id, r.name.trim()),
      ...(over(r).length ? { needs: over(r) } : {}),
      // With a gate its leads stand there, in the order in which they are parted.
      ...(!gated && leadsIn(r).length ? { leads: leadsIn(r) } : {}),
    })),
    feeds: [
      ...chain
        .slice(1)
        .map((r, i) => ({ from: (chain[i] as DescribedRow).id, to: r.id, carries: 'signal' as const })),
      ...d.rows
        .filter((r) => FEEDERS.includes(r.kind))
        .flatMap((f) =>
          chain
            // A lead is fed by what it is plugged into; the first of all brings the power in, where it is called so.
            .filter((r, i) => !KIND_DEFAULTS[r.kind].lead || (i === 0 && bringsPower(r, f)))
            .map((r) => ({ from: f.id, to: r.id, carries: 'power' as const })),
        ),
    ],
    taps: d.rows.flatMap(tapOf),
    access: covers,
    functions: [{ id: 'works', name: d.does.trim(), output: (chain.at(-1) as DescribedRow).id }],
    hazards: d.hazards.flatMap((k) => hazardsOfKind(d, k, outermost, over)),
  };
  validateMap(map);
  return map;
}

/** The leads of a row, as they were typed. */
const leadsIn = (r: DescribedRow): string[] => (r.leads ?? []).map((l) => l.trim()).filter(Boolean);

/** The hazards of one kind: of a pack one for each battery that was described, with its leads and its cells. */
function hazardsOfKind(
  d: Description,
  k: HazardKind,
  outermost: string[],
  over: (r: DescribedRow) => string[],
): Hazard[] {
  const packs = HAZARDS[k].isPack ? d.rows.filter((r) => r.kind === 'battery') : [];
  if (packs.length === 0) return [hazardOfKind(k, k, outermost)];
  return packs.map((r, i) => {
    const h = hazardOfKind(k, i === 0 ? k : `${k} ${r.id}`, over(r));
    const [power, ...signals] = leadsIn(r);
    return {
      ...h,
      name: packs.length > 1 ? `${h.name} ${r.id}` : h.name,
      on: r.id,
      armedBy: [r.id],
      clear: {
        ...h.clear,
        ...(power
          ? { act: `Part ${[...signals, power].join(', then ')} and tape over the contacts`, unplugs: power }
          : {}),
        ...(signals.length ? { signals } : {}),
      },
      ...(h.charge
        ? {
            charge: {
              ...h.charge,
              ...(r.chemistry ? { chemistry: r.chemistry } : {}),
              series: r.cells ?? h.charge.series,
            },
          }
        : {}),
    };
  });
}

const COVER = 'cover';

/** The span in which a reading can lie at all: from 0, or its mirror, to twice the nominal and its tolerance. */
function span(nominal: number, tolerance: number): { low: number; high: number } {
  const reach = 2 * Math.abs(nominal) + 2 * tolerance;
  return nominal < 0 ? { low: -reach, high: 0 } : { low: nominal === 0 ? -reach : 0, high: reach };
}
