import { demand } from '../refusal';
import { KIND_DEFAULTS, ladderFor } from './ladders';
import type { ElementKind, Feed, MapElement, UnitMap } from './map';

const LETTER: Record<ElementKind, string> = {
  board: 'A',
  cable: 'W',
  connector: 'J',
  battery: 'B',
  supply: 'PS',
  motor: 'M',
  lamp: 'E',
  sensor: 'N',
  setting: 'S',
};
const FEEDERS: ElementKind[] = ['supply', 'battery', 'setting'];

const swapped = (ids: string[] | undefined, from: string, to: string) =>
  ids?.map((id) => (id === from ? to : id));
const without = (ids: string[], id: string) => ids.filter((x) => x !== id);

/**
 * The next free designator of a kind: the usual letter and the lowest number not taken.
 *
 * @param map elements that have theirs
 * @param kind of the new one
 * @returns designator
 * @example freeMark({ elements: [{ id: 'W1' }] }, 'cable') // 'W2'
 */
export function freeMark(map: { elements: { id: string }[] }, kind: ElementKind): string {
  const used = new Set(map.elements.map((e) => e.id));
  for (let n = 1; ; n++) if (!used.has(`${LETTER[kind]}${n}`)) return `${LETTER[kind]}${n}`;
}

/**
 * The map with one more element, with the usual weight and ladder of its kind.
 *
 * @param map as it is
 * @param kind of the new element
 * @param after element that feeds it, if there is one yet
 * @returns the new map; the element is the last
 * @example addElement(map, 'cable', 'A1').feeds.at(-1) // { from: 'A1', to: 'W5', carries: 'signal' }
 */
export function addElement(map: UnitMap, kind: ElementKind, after?: string): UnitMap {
  const id = freeMark(map, kind);
  const element: MapElement = {
    id,
    name: kind,
    kind,
    weight: KIND_DEFAULTS[kind].weight,
    remedies: ladderFor(kind, id, kind),
  };
  const grown = { ...map, elements: [...map.elements, element] };
  return after ? connect(grown, after, id) : grown;
}

/** The element under another designator, in the names of its remedies and parts too. */
function renamed(e: MapElement, from: string, to: string): MapElement {
  const words = (text: string) =>
    text
      .split(' ')
      .map((w) => (w === from ? to : w))
      .join(' ');
  return {
    ...e,
    id: to,
    remedies: e.remedies.map((r) => ({
      ...r,
      name: words(r.name),
      ...(r.parts ? { parts: r.parts.map(words) } : {}),
    })),
  };
}

/**
 * The map with an element of another designator, everywhere it is spoken of.
 *
 * @param map as it is
 * @param from its designator
 * @param to the new one
 * @returns the new map
 * @throws Refusal when the new one is empty or taken
 * @example renameElement(map, 'W1', 'W9').feeds[0].to // 'W9'
 */
export function renameElement(map: UnitMap, from: string, to: string): UnitMap {
  if (from === to) return map;
  const at = `/elements/${map.elements.findIndex((e) => e.id === from)}/id`;
  demand(to.trim() !== '', 'give it a short mark, such as W1', at);
  demand(!map.elements.some((e) => e.id === to), `${to} is taken already`, at);
  const one = (id: string) => (id === from ? to : id);
  const { checks, channels } = map;
  return {
    ...map,
    elements: map.elements.map((e) => (e.id === from ? renamed(e, from, to) : e)),
    feeds: map.feeds.map((f) => ({ ...f, from: one(f.from), to: one(f.to) })),
    taps: map.taps.map((t) => ({ ...t, after: one(t.after) })),
    functions: map.functions.map((f) => ({ ...f, output: one(f.output) })),
    hazards: map.hazards.map((h) => ({
      ...h,
      ...(h.armedBy ? { armedBy: h.armedBy.map(one) } : {}),
      ...(h.on === undefined ? {} : { on: one(h.on) }),
      clear: {
        ...h.clear,
        ...(h.clear.unplugs === undefined ? {} : { unplugs: one(h.clear.unplugs) }),
        ...(h.clear.signals ? { signals: h.clear.signals.map(one) } : {}),
      },
    })),
    ...(map.faces
      ? {
          faces: map.faces.map((f) =>
            f.pins ? { ...f, pins: f.pins.map((p) => ({ ...p, on: one(p.on) })) } : f,
          ),
        }
      : {}),
    ...(map.headers
      ? {
          // A connector and a lead that are elements are their header and their plug.
          headers: map.headers.map((h) => ({ ...h, id: one(h.id), at: { ...h.at, board: one(h.at.board) } })),
        }
      : {}),
    ...(map.plugs
      ? {
          plugs: map.plugs.map((p) => ({
            ...p,
            id: one(p.id),
            home: one(p.home),
            exit: { ...p.exit, board: one(p.exit.board) },
          })),
        }
      : {}),
    ...(channels
      ? { channels: channels.map((c) => ({ ...c, elements: swapped(c.elements, from, to) ?? [] })) }
      : {}),
    ...(checks
      ? {
          checks: checks.map((c) => ({
            ...c,
            exercises: c.exercises.map(one),
            ...(c.answers ? { answers: c.answers.map((a) => ({ ...a, points: a.points.map(one) })) } : {}),
            ...(c.provokes
              ? { provokes: Object.fromEntries(Object.entries(c.provokes).map(([k, q]) => [one(k), q])) }
              : {}),
          })),
        }
      : {}),
  };
}

/**
 * The map without an element, and without what hung on it alone: its feeds, taps and places in
 * channels and checks. What fed it and what it fed are not joined: that would be a guess.
 *
 * @param map as it is
 * @param id designator
 * @returns the new map
 * @example removeElement(map, 'W1').taps.some((t) => t.after === 'W1') // false
 */
export function removeElement(map: UnitMap, id: string): UnitMap {
  const { checks, channels } = map;
  return {
    ...map,
    elements: map.elements.filter((e) => e.id !== id),
    feeds: map.feeds.filter((f) => f.from !== id && f.to !== id),
    taps: map.taps.filter((t) => t.after !== id),
    functions: map.functions.filter((f) => f.output !== id),
    hazards: map.hazards.map((h) => {
      const { on, ...rest } = h;
      return on === undefined || on === id ? rest : h;
    }),
    ...(map.faces
      ? {
          faces: map.faces.map((f) => (f.pins ? { ...f, pins: f.pins.filter((p) => p.on !== id) } : f)),
        }
      : {}),
    ...(channels
      ? {
          channels: channels
            .map((c) => ({ ...c, elements: without(c.elements, id) }))
            .filter((c) => c.elements.length >= 2),
        }
      : {}),
    ...(checks
      ? {
          checks: checks.map((c) => ({
            ...c,
            exercises: without(c.exercises, id),
            ...(c.answers
              ? { answers: c.answers.map((a) => ({ ...a, points: without(a.points, id) })) }
              : {}),
            ...(c.provokes
              ? { provokes: Object.fromEntries(Object.entries(c.provokes).filter(([k]) => k !== id)) }
              : {}),
          })),
        }
      : {}),
  };
}

/** Whether one element is fed by another, however far back. */
function reaches(map: Pick<UnitMap, 'feeds'>, from: string, to: string): boolean {
  const seen = new Set<string>();
  const wait = [from];
  for (let id = wait.pop(); id !== undefined; id = wait.pop()) {
    if (id === to) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    for (const f of map.feeds) if (f.from === id) wait.push(f.to);
  }
  return false;
}

/**
 * The map with a feed more. Supplies, batteries and settings give power, everything else signal.
 *
 * @param map as it is
 * @param from element that feeds
 * @param to element that is fed
 * @param carries what runs along it; by the kind of `from` when absent
 * @returns the new map, or the same when the feed is there already
 * @throws Refusal when an element is unknown, or the feed would run in a circle
 * @example connect(map, 'PS1', 'A1').feeds.at(-1).carries // 'power'
 */
export function connect(map: UnitMap, from: string, to: string, carries?: Feed['carries']): UnitMap {
  const source = map.elements.find((e) => e.id === from);
  demand(source, `${from} is not an element`, '/feeds');
  demand(
    map.elements.some((e) => e.id === to),
    `${to} is not an element`,
    '/feeds',
  );
  demand(from !== to, `${from} cannot feed itself`, '/feeds');
  if (map.feeds.some((f) => f.from === from && f.to === to)) return map;
  demand(!reaches(map, to, from), `${to} feeds ${from} already: this would run in a circle`, '/feeds');
  const feed: Feed = {
    from,
    to,
    carries: carries ?? (FEEDERS.includes(source.kind) ? 'power' : 'signal'),
  };
  return { ...map, feeds: [...map.feeds, feed] };
}

/** A weakness of a map that does not make it wrong, and where to mend it. */
export interface MapGap {
  path: string;
  says: string;
}

/**
 * What would make tracing on a map better: no tap, a function nothing feeds, elements out of every
 * function's way.
 *
 * @param map a valid map
 * @returns gaps, the weightiest first
 * @example gapsOf(mapWithoutTaps)[0].says // 'There is no point to look or measure at: …'
 */
export function gapsOf(map: UnitMap): MapGap[] {
  const gaps: MapGap[] = [];
  if (map.taps.length === 0)
    gaps.push({
      path: '/taps',
      says: 'There is no point to look or measure at: Trace can only try the function, flex, reseat and swap. Add one.',
    });
  const inWay = new Set<string>();
  for (const f of map.functions) {
    const seen = new Set<string>();
    const wait = [f.output];
    for (let id = wait.pop(); id !== undefined; id = wait.pop()) {
      if (seen.has(id)) continue;
      seen.add(id);
      for (const x of map.feeds) if (x.to === id) wait.push(x.from);
    }
    for (const id of seen) inWay.add(id);
    if (seen.size === 1 && map.elements.length > 1)
      gaps.push({ path: '/feeds', says: `Nothing feeds ${f.output}, where “${f.name}” is seen.` });
  }
  const idle = map.elements.filter((e) => !inWay.has(e.id)).map((e) => e.id);
  if (idle.length)
    gaps.push({
      path: '/feeds',
      says: `${idle.slice(0, 6).join(', ')}${idle.length > 6 ? ` and ${idle.length - 6} more` : ''}: no function needs ${idle.length === 1 ? 'it' : 'them'}, so ${idle.length === 1 ? 'it is' : 'they are'} never suspect.`,
    });
  return gaps;
}
