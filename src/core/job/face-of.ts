import { type Item, tally } from '../ledger';
import { tighten } from '../tighten';
import { type Face, type FacePin, type FaceShape, holesOf, type UnitMap } from '../unit';
import { openAccess } from './open';
import { outsOf, plansOf } from './opening';
import type { JobState } from './state';

/** What a designator of the map stands for, in words. */
export interface Designated {
  kind: 'element' | 'tap' | 'plug' | 'header' | 'hazard' | 'cover' | 'words';
  words: string;
}

/**
 * Looks a designator up: what a pin is on.
 *
 * @param map a unit's map
 * @param on designator, or words of one's own
 * @returns its kind and what it is called
 * @example designated(map, 'A2') // { kind: 'element', words: 'A2 control board' }
 */
export function designated(map: UnitMap, on: string): Designated {
  const same = (x: { id: string }) => x.id.toLowerCase() === on.trim().toLowerCase();
  const hazard = map.hazards.find(same);
  if (hazard) return { kind: 'hazard', words: `${hazard.name}, ${hazard.detail}` };
  const element = map.elements.find(same);
  if (element) return { kind: 'element', words: `${element.id} ${element.name}` };
  const tap = map.taps.find(same);
  if (tap) return { kind: 'tap', words: `${tap.id} ${tap.name}` };
  const plug = map.plugs?.find(same);
  if (plug) return { kind: 'plug', words: `${plug.id}, goes to ${plug.home}` };
  const header = map.headers?.find(same);
  if (header)
    return { kind: 'header', words: header.landmark ? `${header.id}, ${header.landmark}` : header.id };
  const cover = map.access.find(same);
  if (cover) return { kind: 'cover', words: cover.name };
  return { kind: 'words', words: on };
}

/** How a pin looks: wanted by the plan, off, live, made safe, or simply there. */
export type PinTone = 'plain' | 'wanted' | 'off' | 'live' | 'cleared';

export interface FaceNow {
  face: Face;
  /** the cover over it is off, or it is a side of the closed unit */
  seen: boolean;
  shapes: { shape: FaceShape; off: boolean }[];
  pins: { number: number; pin: FacePin; what: Designated; tone: PinTone }[];
}

/** Pieces of a cover's screws that are home, the tightening order deciding which holes those are. */
function holesHome(state: JobState, cover: string): Set<number> | 'all' {
  const access = state.map.access.find((a) => a.id === cover);
  const names = [cover, access?.name ?? cover].map((n) => n.toLowerCase());
  const screws = state.ledger.items.filter(
    (i) => i.kind === 'fastener' && names.includes(i.from?.trim().toLowerCase() ?? ''),
  );
  if (screws.length === 0) {
    const off = state.ledger.covers.some((c) => c.id === cover && c.state !== 'final');
    return off ? new Set() : 'all';
  }
  const off = screws.reduce((n, i) => n + tally(i).off, 0);
  if (off === 0) return 'all';
  const holes = holesOf(state.map.faces, cover);
  const back = Math.max(0, holes.length - off);
  if (back === 0 || holes.length === 0) return new Set();
  const { passes } = tighten({ points: holes.map(({ x, y }, i) => ({ id: String(i), x, y })) });
  return new Set((passes[0]?.sequence ?? []).slice(0, back).map(Number));
}

const plugOff = (items: Item[], name: string) =>
  items.some((i) => i.kind === 'plug' && i.name.toLowerCase() === name.toLowerCase() && tally(i).off > 0);

function toneOf(state: JobState, pin: FacePin, what: Designated): PinTone {
  const on = pin.on.trim().toLowerCase();
  if (what.kind === 'hazard') {
    const id = state.map.hazards.find((h) => h.id.toLowerCase() === on)?.id;
    return state.hazards.find((h) => h.id === id)?.status === 'made safe' ? 'cleared' : 'live';
  }
  if (what.kind === 'plug' && plugOff(state.ledger.items, pin.on)) return 'off';
  if (what.kind === 'header') {
    const plug = state.map.plugs?.find((p) => p.home.toLowerCase() === on);
    if (plug && plugOff(state.ledger.items, plug.id)) return 'off';
  }
  if (what.kind === 'cover' && state.ledger.covers.some((c) => c.id === pin.on && c.state !== 'final'))
    return 'off';
  if (outsOf(state).some((o) => o.element.toLowerCase() === on)) return 'off';
  if (plansOf(state).some((p) => p.element?.toLowerCase() === on)) return 'wanted';
  return 'plain';
}

/**
 * The faces of the unit as they stand now: what is off shows as off, what is live as live.
 *
 * @param state a job
 * @returns one entry per face of the map, those that can be seen now first in their order
 * @example facesNow(state)[0].pins[0].tone // 'wanted'
 */
export function facesNow(state: JobState): FaceNow[] {
  const open = new Set(openAccess(state));
  const homes = new Map<string, Set<number> | 'all'>();
  const homeOf = (cover: string) => {
    const known = homes.get(cover) ?? holesHome(state, cover);
    homes.set(cover, known);
    return known;
  };
  return (state.map.faces ?? []).map((face) => {
    const nth = new Map<string, number>();
    return {
      face,
      seen: face.under === undefined || open.has(face.under),
      shapes: (face.shapes ?? []).map((shape) => {
        if (shape.of === undefined) return { shape, off: false };
        if (shape.kind !== 'hole') return { shape, off: open.has(shape.of) };
        const k = nth.get(shape.of) ?? 0;
        nth.set(shape.of, k + 1);
        const home = homeOf(shape.of);
        return { shape, off: home !== 'all' && !home.has(k) };
      }),
      pins: (face.pins ?? []).map((pin, i) => {
        const what = designated(state.map, pin.on);
        return { number: i + 1, pin, what, tone: toneOf(state, pin, what) };
      }),
    };
  });
}

/**
 * The face worth looking at now: the one that shows what the plan wants, under the covers that are
 * off; otherwise the side with the next cover's screws; otherwise the first.
 *
 * @param faces as they stand now
 * @param next cover about to come off, or to go on
 * @returns the id of a face, or undefined when there is none
 * @example faceToShow(facesNow(state), 'rear cover') // 'rear'
 */
export function faceToShow(faces: FaceNow[], next?: string): string | undefined {
  const seen = faces.filter((f) => f.seen);
  const holds = seen.find(
    (f) => next && f.shapes.some((s) => s.shape.kind === 'hole' && s.shape.of === next),
  );
  const panel = seen.find((f) => next && f.shapes.some((s) => s.shape.of === next));
  const wanted = seen.find((f) => f.pins.some((p) => p.tone === 'wanted'));
  return (holds ?? panel ?? wanted ?? seen.at(-1) ?? faces[0])?.face.id;
}
