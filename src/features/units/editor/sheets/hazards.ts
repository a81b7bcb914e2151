import { Refusal } from '../../../../core/refusal';
import { CHEMISTRIES } from '../../../../core/sums';
import {
  type ChargeLimit,
  HAZARD_KINDS,
  HAZARDS,
  type HazardKind,
  hazardOfKind,
} from '../../../../core/unit';
import {
  type Column,
  names,
  namesIn,
  numberIn,
  onlyIn,
  put,
  type Sheet,
  text,
  withoutRow,
  withRow,
} from '../sheet';
import { elementOptions, free, words } from './choices';

const clear = (name: 'act' | 'caution', head: string, width: number): Column => ({
  head,
  kind: 'text',
  width,
  read: (map, i) => map.hazards[i]?.clear[name] ?? '',
  write: (map, i, typed) =>
    withRow(map, 'hazards', i, (h) => ({ ...h, clear: { ...h.clear, [name]: typed } })),
});

/** Reads `30, li-ion cell, 2`. */
function chargeIn(typed: string): ChargeLimit {
  const [percent = '', chemistry = '', series = ''] = typed.split(',').map((x) => x.trim());
  const maxPercent = numberIn(percent.replace('%', ''), 'percent');
  const cells = numberIn(series, 'cells in series');
  if (!CHEMISTRIES.includes(chemistry))
    throw new Refusal(
      `type percent, chemistry and cells: 30, li-ion cell, 2. Known: ${CHEMISTRIES.join(', ')}`,
    );
  if (maxPercent < 0 || maxPercent > 100) throw new Refusal('percent lies in 0 to 100');
  if (!Number.isInteger(cells) || cells < 1) throw new Refusal('cells in series are a whole number from 1');
  return { maxPercent, chemistry, series: cells };
}

export const hazards: Sheet = {
  id: 'hazards',
  title: 'Hazards',
  note: 'What can hurt, which cover bares it, what brings it back, and the act and reading that clear it.',
  empty: 'No hazard is on the map. When in doubt, name it: each gets its gate.',
  count: (map) => map.hazards.length,
  called: (map, i) => map.hazards[i]?.name ?? '',
  add: (map) => {
    const id = free(
      map.hazards.map((h) => h.id),
      'mains',
    );
    return {
      ...map,
      hazards: [
        ...map.hazards,
        hazardOfKind(
          'mains',
          id,
          map.access.map((a) => a.id),
        ),
      ],
    };
  },
  remove: (map, i) => withoutRow(map, 'hazards', i),
  columns: [
    text('hazards', 'kind', 'Kind', {
      kind: 'choice',
      width: 130,
      options: words(HAZARD_KINDS),
      write: (map, i, typed) =>
        withRow(map, 'hazards', i, (h) => ({
          ...hazardOfKind(typed as HazardKind, h.id, h.exposedBy ?? []),
          ...(h.only ? { only: h.only } : {}),
        })),
    }),
    text('hazards', 'name', 'Name', { width: 140 }),
    text('hazards', 'detail', 'What and how much', { width: 240 }),
    text('hazards', 'on', 'On', {
      kind: 'choice',
      width: 170,
      options: (map) => [{ value: '', words: 'the whole unit' }, ...elementOptions(map)],
      write: (map, i, typed) => withRow(map, 'hazards', i, (h) => put(h, 'on', typed)),
    }),
    names('hazards', 'exposedBy', 'Bared by cover', namesIn, { width: 160 }),
    names('hazards', 'armedBy', 'Brought back by', namesIn, { width: 150 }),
    clear('act', 'Cleared by', 280),
    {
      head: 'Proven: at, under, unit',
      kind: 'text',
      width: 220,
      read: (map, i) => {
        const r = map.hazards[i]?.clear.reading;
        return r ? `${r.at}, ${r.max}, ${r.unit}` : '';
      },
      write: (map, i, typed) =>
        withRow(map, 'hazards', i, (h) => {
          if (!typed.trim()) return { ...h, clear: put(h.clear, 'reading', undefined) };
          const parts = typed.split(',').map((x) => x.trim());
          const unit = parts.pop() ?? '';
          const max = numberIn(parts.pop() ?? '', 'under');
          const at = parts.join(', ');
          if (!at || !unit)
            throw new Refusal('type where, how much at most, and the unit: inlet terminals, 5, V');
          if (max < 0) throw new Refusal('what it must be under cannot be negative');
          return { ...h, clear: { ...h.clear, reading: { at, max, unit } } };
        }),
    },
    {
      head: 'Parts plug',
      kind: 'mono',
      width: 90,
      read: (map, i) => map.hazards[i]?.clear.unplugs ?? '',
      write: (map, i, typed) =>
        withRow(map, 'hazards', i, (h) => ({ ...h, clear: put(h.clear, 'unplugs', typed.trim()) })),
    },
    {
      head: 'Charge at most: %, chemistry, cells',
      kind: 'text',
      width: 220,
      idle: (map, i) => !HAZARDS[map.hazards[i]?.kind ?? 'static'].isPack,
      read: (map, i) => {
        const c = map.hazards[i]?.charge;
        return c ? `${c.maxPercent}, ${c.chemistry}, ${c.series}` : '';
      },
      write: (map, i, typed) =>
        withRow(map, 'hazards', i, (h) => put(h, 'charge', typed.trim() ? chargeIn(typed) : undefined)),
    },
    clear('caution', 'Caution', 340),
    onlyIn('hazards'),
  ],
};
