import { BARE_ENDS, BARE_WANTS, type Header, type Plug } from '../../../../core/mixups';
import { Refusal } from '../../../../core/refusal';
import type { UnitMap } from '../../../../core/unit';
import { HarnessFile } from '../HarnessFile';
import { type Column, idsIn, namesIn, numberIn, put, type Sheet, withoutRow, withRow } from '../sheet';
import { free } from './choices';

/** A plug as its home header says, with what is its own kept. */
const athome = (p: Plug, h: Header | undefined): Plug =>
  h
    ? {
        ...p,
        home: h.id,
        family: h.family,
        pitch: h.pitch,
        rows: h.rows,
        positions: h.positions,
        key: h.key,
        exit: h.at,
        lines: h.lines.map((l) => (l.kind === 'nc' ? null : l.name)),
      }
    : p;

const onPlug = (
  head: string,
  width: number,
  read: (p: Plug) => string,
  write: (p: Plug, typed: string, map: UnitMap) => Plug,
  more: Partial<Column> = {},
): Column => ({
  head,
  kind: 'text',
  width,
  read: (map, i) => (map.plugs?.[i] ? read(map.plugs[i] as Plug) : ''),
  write: (map, i, typed) => withRow(map, 'plugs', i, (p) => write(p, typed, map)),
  ...more,
});

/** Reads `screw terminal, ferrule, polarity`. */
function bareIn(typed: string): NonNullable<Plug['bare']> {
  const words = namesIn(typed);
  const end = BARE_ENDS.find((e) => words.includes(e));
  const wants = BARE_WANTS.find((w) => words.includes(w));
  if (!end || !wants)
    throw new Refusal(
      `type what it goes to and what it wants: ${BARE_ENDS.join(', ')}; ${BARE_WANTS.join(', ')}; polarity where it matters`,
    );
  return { end, wants, polarity: words.includes('polarity') };
}

/** Reads `3 of 20`. */
function cyclesIn(typed: string): NonNullable<Plug['cycles']> {
  const m = /^\s*(\d+)\s*(?:of|\/)\s*(\d+)\s*$/.exec(typed);
  if (!m || Number(m[2]) < 1)
    throw new Refusal('type how often it was mated, of how often it may be: 3 of 20');
  return { done: Number(m[1]), rated: Number(m[2]) };
}

export const plugs: Sheet = {
  id: 'plugs',
  title: 'Plugs',
  note: 'The plugs with their own headers. Choosing a home takes over its shape and contacts; colours of the wires do away with most labels.',
  empty: 'No plug is on the map yet. Put the headers in first.',
  count: (map) => map.plugs?.length ?? 0,
  called: (map, i) => map.plugs?.[i]?.id ?? '',
  add: (map) => {
    const taken = new Set((map.plugs ?? []).map((p) => p.home));
    const home = (map.headers ?? []).find((h) => !taken.has(h.id));
    const fresh: Plug = {
      id: free(
        (map.plugs ?? []).map((p) => p.id),
        home ? `P-${home.id}` : 'P1',
      ),
      home: home?.id ?? '',
      family: 'wafer',
      pitch: 2.5,
      rows: 1,
      positions: 1,
      key: null,
      exit: { x: 0, y: 0, board: 'board' },
      freeLength: 100,
      lines: [null],
    };
    return { ...map, plugs: [...(map.plugs ?? []), athome(fresh, home)] };
  },
  remove: (map, i) => withoutRow(map, 'plugs', i),
  below: HarnessFile,
  columns: [
    onPlug(
      'Mark',
      110,
      (p) => p.id,
      (p, t) => ({ ...p, id: t.trim() }),
      { kind: 'mono' },
    ),
    onPlug(
      'Home',
      150,
      (p) => p.home,
      (p, t, map) =>
        athome(
          p,
          map.headers?.find((h) => h.id === t),
        ),
      {
        kind: 'choice',
        options: (map) => (map.headers ?? []).map((h) => ({ value: h.id, words: h.id })),
      },
    ),
    onPlug(
      'Wire colours',
      200,
      (p) => (p.wires ?? []).join(' '),
      (p, t) => put(p, 'wires', idsIn(t.toUpperCase())),
      {
        kind: 'ids',
      },
    ),
    onPlug(
      'Colour',
      100,
      (p) => p.colour ?? '',
      (p, t) => put(p, 'colour', t.trim()),
    ),
    onPlug(
      'Free length, mm',
      120,
      (p) => String(p.freeLength),
      (p, t) => ({ ...p, freeLength: numberIn(t, 'free length') }),
      {
        kind: 'number',
      },
    ),
    onPlug(
      'Key',
      100,
      (p) => p.key ?? '',
      (p, t) => ({ ...p, key: t.trim() || null }),
    ),
    onPlug(
      'Lead runs',
      240,
      (p) => (p.route ?? []).join(', '),
      (p, t) => put(p, 'route', namesIn(t)),
    ),
    onPlug(
      'Latch',
      130,
      (p) => p.latch ?? '',
      (p, t) => put(p, 'latch', t),
    ),
    onPlug(
      'Bare end',
      230,
      (p) => (p.bare ? `${p.bare.end}, ${p.bare.wants}${p.bare.polarity ? ', polarity' : ''}` : ''),
      (p, t) => put(p, 'bare', t.trim() ? bareIn(t) : undefined),
    ),
    onPlug(
      'Mated, of rated',
      130,
      (p) => (p.cycles ? `${p.cycles.done} of ${p.cycles.rated}` : ''),
      (p, t) => put(p, 'cycles', t.trim() ? cyclesIn(t) : undefined),
    ),
    onPlug(
      'Bundle',
      120,
      (p) => p.bundle ?? '',
      (p, t) => put(p, 'bundle', t.trim()),
    ),
  ],
};
