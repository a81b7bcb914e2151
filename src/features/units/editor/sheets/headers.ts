import { type Header, lineText, readLineText } from '../../../../core/mixups';
import { HarnessFile } from '../HarnessFile';
import { type Column, numberIn, put, type Sheet, withoutRow, withRow } from '../sheet';
import { free } from './choices';

const onHeader = (
  head: string,
  width: number,
  read: (h: Header) => string,
  write: (h: Header, typed: string) => Header,
  kind: Column['kind'] = 'number',
): Column => ({
  head,
  kind,
  width,
  read: (map, i) => (map.headers?.[i] ? read(map.headers[i] as Header) : ''),
  write: (map, i, typed) => withRow(map, 'headers', i, (h) => write(h, typed)),
});

export const headers: Sheet = {
  id: 'headers',
  title: 'Headers',
  note: 'What a plug can go into, contact by contact from 1: +12V; GND; CAM_TX max 3.6; nc. No key = it can be turned; open = it can sit one off.',
  empty: 'No header is on the map. With headers and plugs, every wrong mating is worked out.',
  count: (map) => map.headers?.length ?? 0,
  called: (map, i) => map.headers?.[i]?.id ?? '',
  add: (map) => ({
    ...map,
    headers: [
      ...(map.headers ?? []),
      {
        id: free(
          (map.headers ?? []).map((h) => h.id),
          'J1',
        ).replace(' ', '-'),
        family: 'wafer',
        pitch: 2.5,
        rows: 1,
        positions: 2,
        key: 'shroud',
        open: false,
        at: { x: 0, y: 0, board: map.elements[0]?.id ?? 'board' },
        lines: readLineText('+5V; GND'),
      },
    ],
  }),
  remove: (map, i) => {
    const gone = map.headers?.[i]?.id;
    return { ...withoutRow(map, 'headers', i), plugs: (map.plugs ?? []).filter((p) => p.home !== gone) };
  },
  below: HarnessFile,
  columns: [
    onHeader(
      'Mark',
      90,
      (h) => h.id,
      (h, t) => ({ ...h, id: t.trim() }),
      'mono',
    ),
    onHeader(
      'Family',
      120,
      (h) => h.family,
      (h, t) => ({ ...h, family: t.trim() }),
      'text',
    ),
    onHeader(
      'Pitch, mm',
      84,
      (h) => String(h.pitch),
      (h, t) => ({ ...h, pitch: numberIn(t, 'pitch') }),
    ),
    onHeader(
      'Rows',
      64,
      (h) => String(h.rows),
      (h, t) => ({ ...h, rows: numberIn(t, 'rows') }),
    ),
    onHeader(
      'Positions',
      84,
      (h) => String(h.positions),
      (h, t) => ({ ...h, positions: numberIn(t, 'positions') }),
    ),
    onHeader(
      'Key',
      100,
      (h) => h.key ?? '',
      (h, t) => ({ ...h, key: t.trim() || null }),
      'text',
    ),
    onHeader(
      'Open',
      60,
      (h) => (h.open ? 'yes' : ''),
      (h, t) => ({ ...h, open: t === 'yes' }),
      'flag',
    ),
    onHeader(
      'Colour',
      90,
      (h) => h.colour ?? '',
      (h, t) => put(h, 'colour', t.trim()),
      'text',
    ),
    onHeader(
      'Contacts, from 1',
      380,
      (h) => lineText(h.lines),
      (h, t) => ({ ...h, lines: readLineText(t) }),
      'mono',
    ),
    onHeader(
      'Board',
      100,
      (h) => h.at.board,
      (h, t) => ({ ...h, at: { ...h.at, board: t.trim() } }),
      'mono',
    ),
    onHeader(
      'x, mm',
      76,
      (h) => String(h.at.x),
      (h, t) => ({ ...h, at: { ...h.at, x: numberIn(t, 'x') } }),
    ),
    onHeader(
      'y, mm',
      76,
      (h) => String(h.at.y),
      (h, t) => ({ ...h, at: { ...h.at, y: numberIn(t, 'y') } }),
    ),
    onHeader(
      'Landmark',
      200,
      (h) => h.landmark ?? '',
      (h, t) => put(h, 'landmark', t),
      'text',
    ),
    onHeader(
      'Easy to miss',
      70,
      (h) => (h.easyToMiss ? 'yes' : ''),
      (h, t) => put(h, 'easyToMiss', t === 'yes'),
      'flag',
    ),
    onHeader(
      'Leave alone',
      200,
      (h) => h.leave ?? '',
      (h, t) => put(h, 'leave', t),
      'text',
    ),
  ],
};
