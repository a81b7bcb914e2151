import { wayBetween } from '../day';
import { type JobState, plansOf, rungsOf, traceRequest } from '../job';
import { kitOf } from '../recipe';
import { placeOf, type StockItem, stockFor } from '../stock';
import { suspicion } from '../trace';
import { type VanItem, van } from '../van';
import type { DayHouse } from './types';

/** A part that one of the day’s jobs wants, or may come to want. */
export interface PartNeed {
  tag: string;
  place: string;
  model: string;
  element: string;
  part: string;
  /** chance that it is needed, 0 to 1; 1 for what is planned */
  chance: number;
  planned: boolean;
}

/** Chances below this are not packed for. Common practice, no source. */
const LEAST = 0.01;

const partsOf = (e: { id: string; name: string }, r: { parts?: string[] }): string[] =>
  r.parts?.length ? r.parts : [`${e.name} ${e.id}`];

/**
 * Parts a job may come to want: those that are planned, then the later rungs of the same ladder where those
 * before them do not last; before a plan, of every suspect by its suspicion.
 *
 * @param state a job
 * @returns one for each part
 * @example partsNeeded(state)[0]?.chance // 1
 */
export function partsNeeded(state: JobState): PartNeed[] {
  if (state.handedOver || state.plan?.kind === 'refer') return [];
  const model = `${state.map.maker} ${state.map.model}`.trim();
  const about = { tag: state.tag, place: state.place ?? '', model };
  const plans = plansOf(state);
  const planned = plans.flatMap((p) =>
    p.parts.map((part) => ({ ...about, element: p.element ?? '', part, chance: 1, planned: true })),
  );
  const suspects = plans.length > 0 ? new Map(plans.map((p) => [p.element ?? '', 1])) : chancesOf(state);
  const maybe = [...suspects].flatMap(([id, p]) => {
    const e = state.map.elements.find((x) => x.id === id);
    const tried = new Set(state.trace.flatMap((t) => (t.tried?.element === id ? [t.tried.remedy] : [])));
    const from = plans.find((x) => x.element === id)?.remedy;
    const rungs = (e ? rungsOf(state, e) : []).filter((r) => !tried.has(r.id));
    const begin = from === undefined ? 0 : rungs.findIndex((r) => r.id === from);
    let reached = p;
    return rungs.slice(Math.max(0, begin)).flatMap((r, k) => {
      const chance = reached;
      reached *= 1 - r.fixes;
      const isPlan = from !== undefined && k === 0;
      return e && r.kind === 'replace' && !isPlan && chance >= LEAST
        ? partsOf(e, r).map((part) => ({ ...about, element: id, part, chance, planned: false }))
        : [];
    });
  });
  return [...planned, ...maybe.filter((m) => !planned.some((x) => x.part === m.part))];
}

/** Suspicion of each element, by what was checked so far. */
function chancesOf(state: JobState): Map<string, number> {
  if (!state.intake || state.map.elements.length === 0) return new Map();
  return new Map(suspicion(traceRequest(state)).belief.map((b) => [b.id, b.p]));
}

/** One line of what goes into the van. */
export interface VanLine {
  /** what it is ticked by */
  key: string;
  what: string;
  /** jobs it is for */
  tags: string[];
  /** of the store */
  item?: string;
  where?: string;
  free?: number;
  litres?: number;
  /** chance that it is needed; 1 for what must go */
  chance: number;
  /** minutes of another trip that it saves, on average */
  gain?: number;
}

export interface VanList {
  tools: VanLine[];
  consumables: VanLine[];
  parts: VanLine[];
  spares: VanLine[];
  /** spares that do not go, the dearest first */
  stays: VanLine[];
  /** parts that nothing in the store does for */
  missing: VanLine[];
  /** jobs of which nobody knows yet what they want: not taken in, nothing planned */
  unknown: string[];
  /** chance that the day’s jobs can all be finished without another trip; null where a planned part is missing, or nothing is known of a job */
  chance: number | null;
  /** litres that go, of those whose room is known */
  litres: number;
  /** things whose room nobody said */
  roomUnknown: number;
}

interface Stocked {
  item: StockItem;
  holding: { free: number; onHand: number; reserved: { tag: string; count: number }[] };
}

const once = (lines: VanLine[]): VanLine[] => {
  const by = new Map<string, VanLine>();
  for (const l of lines) {
    const there = by.get(l.key);
    if (there) there.tags = [...new Set([...there.tags, ...l.tags])];
    else by.set(l.key, { ...l });
  }
  return [...by.values()];
};

function kitLines(jobs: JobState[], kind: 'tools' | 'consumables' | 'own'): VanLine[] {
  return once(
    jobs.flatMap((j) =>
      kitOf(j)[kind].map((what) => ({
        key: `${kind === 'own' ? 'tools' : kind} ${what.toLowerCase()}`,
        what,
        tags: [j.tag],
        chance: 1,
      })),
    ),
  );
}

/** What is in the store for a need: what was set aside for the job, or is free. */
function inStore(n: PartNeed, stock: Stocked[]): Stocked | undefined {
  const found = stockFor(
    stock.map((s) => s.item),
    { model: n.model, element: n.element, part: n.part },
  );
  return found
    .flatMap((f) => stock.filter((s) => s.item.id === f.item.id))
    .find((s) => s.holding.free > 0 || s.holding.reserved.some((r) => r.tag === n.tag));
}

const lineOf = (n: PartNeed, s: Stocked | undefined): VanLine => ({
  key: s ? `item ${s.item.id}` : `part ${n.part.toLowerCase()}`,
  what: s?.item.what ?? n.part,
  tags: [n.tag],
  chance: n.chance,
  ...(s ? { item: s.item.id, where: placeOf(s.item), free: s.holding.free } : {}),
  ...(s?.item.litres === undefined ? {} : { litres: s.item.litres }),
});

/**
 * What goes into the van for the jobs of a day: tools and what is used up, parts that are planned, and of the
 * spares those that save most minutes of another trip within the room there is.
 *
 * The chance that no other trip is needed takes the needs as apart from each other; what saves a trip for two
 * parts at once is counted twice, so that the minutes are at most that.
 *
 * @param jobs of the day
 * @param stock of the store, with what is held
 * @param house minutes between places, room in the van in litres
 * @param base where the store is
 * @returns lines to tick
 * @example vanList([state], stock, house, 'workshop').parts[0]?.what // 'pack 7.2 V 2-way plug'
 */
export function vanList(jobs: JobState[], stock: Stocked[], house: DayHouse, base: string): VanList {
  const needs = jobs.flatMap(partsNeeded);
  const unknown = jobs.filter((j) => !j.handedOver && !j.intake && !j.plan).map((j) => j.tag);
  const trip = (place: string): number =>
    (wayBetween(house.travel, base, place) ?? 0) + (wayBetween(house.travel, place, base) ?? 0);
  const planned: VanLine[] = [];
  const missing: VanLine[] = [];
  const maybe = new Map<string, VanLine & { none: number }>();
  for (const n of needs) {
    const s = inStore(n, stock);
    const line = lineOf(n, s);
    if (!s) missing.push(line);
    else if (n.planned) planned.push(line);
    else {
      const there = maybe.get(line.key);
      const gain = n.chance * trip(n.place);
      if (there) {
        there.tags = [...new Set([...there.tags, n.tag])];
        there.none *= 1 - n.chance;
        there.gain = (there.gain ?? 0) + gain;
        there.chance = 1 - there.none;
      } else maybe.set(line.key, { ...line, gain, none: 1 - n.chance });
    }
  }
  const parts = once(planned);
  const spares = [...maybe.values()]
    .filter((l) => !parts.some((p) => p.key === l.key))
    .map(({ none: _none, ...l }) => l);
  const room = (l: VanLine) => l.litres ?? 0;
  const items: VanItem[] = [
    ...parts.map((l) => ({ id: l.key, size: room(l), gain: 0, mustHave: true })),
    ...spares.map((l) => ({ id: l.key, size: room(l), gain: l.gain ?? 0, pNeeded: l.chance })),
  ];
  const must = parts.reduce((sum, l) => sum + room(l), 0);
  // What must go, goes; the room it takes beyond the van is told, and no spare goes then.
  const space = Math.max(must, house.litres ?? items.reduce((sum, i) => sum + i.size, 0));
  const { take, chance = 1 } = van({ space, items });
  const taken = new Set(take);
  const byGain = (a: VanLine, b: VanLine) => (b.gain ?? 0) - (a.gain ?? 0) || (a.what < b.what ? -1 : 1);
  const going = spares.filter((l) => taken.has(l.key)).sort(byGain);
  const goes = [...parts, ...going];
  return {
    tools: once([...kitLines(jobs, 'tools'), ...kitLines(jobs, 'own')]),
    consumables: kitLines(jobs, 'consumables'),
    parts,
    spares: going,
    stays: spares.filter((l) => !taken.has(l.key)).sort(byGain),
    missing: once(missing.sort((a, b) => b.chance - a.chance)),
    unknown,
    chance:
      unknown.length > 0 || missing.some((m) => m.chance === 1)
        ? null
        : missing.reduce((c, m) => c * (1 - m.chance), chance),
    litres: Math.round(goes.reduce((sum, l) => sum + room(l), 0) * 100) / 100,
    roomUnknown: goes.filter((l) => l.litres === undefined).length,
  };
}
