import { BARE_ENDS, BARE_WANTS, type Header, type Plug } from '../mixups';
import { type Field, words } from './field';
import { listText, type Row } from './row';

type Headers = Map<string, Header>;

function homeOf(row: Row, headers: Headers): Header {
  const home = headers.get(row.must('home'));
  if (!home) throw row.wrong(`${row.text('home')}, its home, is no header`);
  return home;
}

/** Columns of the table of plugs; what its home says of it is not among them. */
export const PLUG_FIELDS: Field<Plug, Headers>[] = [
  { columns: { id: (p) => p.id }, read: (row) => ({ id: row.must('id') }) },
  {
    columns: { home: (p) => p.home },
    read: (row, headers) => {
      const { id, family, pitch, rows, positions, lines } = homeOf(row, headers);
      return {
        home: id,
        family,
        pitch,
        rows,
        positions,
        lines: lines.map((l) => (l.kind === 'nc' ? null : l.name)),
      };
    },
  },
  {
    columns: { wires: (p) => p.wires?.join(' ') ?? '' },
    read: (row) => {
      const wires = row.list('wires', /[\s,|]+/).map((w) => w.toUpperCase());
      return wires.length ? { wires } : {};
    },
  },
  words('colour'),
  {
    columns: { freeLength: (p) => String(p.freeLength) },
    read: (row) => ({ freeLength: row.figure('freeLength', 100) }),
  },
  {
    columns: { key: (p) => p.key ?? '' },
    read: (row, headers) => ({ key: row.text('key') || homeOf(row, headers).key }),
  },
  words('bundle'),
  {
    columns: { route: (p) => listText(p.route) },
    read: (row) => {
      const route = row.list('route', /[|;>]/);
      return route.length ? { route } : {};
    },
  },
  words('latch'),
  {
    columns: {
      cyclesRated: (p) => String(p.cycles?.rated ?? ''),
      cyclesDone: (p) => String(p.cycles?.done ?? ''),
    },
    read: (row) =>
      row.text('cyclesRated')
        ? { cycles: { rated: row.figure('cyclesRated'), done: row.figure('cyclesDone', 0) } }
        : {},
  },
  {
    columns: {
      exitBoard: (p) => p.exit.board,
      exitX: (p) => String(p.exit.x),
      exitY: (p) => String(p.exit.y),
    },
    read: (row, headers) => {
      const { at } = homeOf(row, headers);
      return {
        exit: {
          x: row.figure('exitX', at.x),
          y: row.figure('exitY', at.y),
          board: row.text('exitBoard') || at.board,
        },
      };
    },
  },
  {
    columns: {
      bareEnd: (p) => p.bare?.end ?? '',
      bareWants: (p) => p.bare?.wants ?? '',
      barePolarity: (p) => (p.bare?.polarity ? 'yes' : ''),
    },
    read: (row) =>
      row.text('bareEnd')
        ? {
            bare: {
              end: row.one('bareEnd', BARE_ENDS),
              wants: row.one('bareWants', BARE_WANTS),
              polarity: row.flag('barePolarity'),
            },
          }
        : {},
  },
];
