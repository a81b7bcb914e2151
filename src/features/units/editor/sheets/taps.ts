import { Refusal } from '../../../../core/refusal';
import type { Tap, UnitMap } from '../../../../core/unit';
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
import { elementOptions, words } from './choices';

type Expect = NonNullable<Tap['expect']>;
const FRESH: Expect = { nominal: 5, tolerance: 0.25, low: 0, high: 10, unit: 'V' };
const expected = (name: 'nominal' | 'tolerance' | 'low' | 'high', head: string): Column => ({
  head,
  kind: 'number',
  width: 96,
  idle: (map, i) => map.taps[i]?.how !== 'measure',
  read: (map, i) => String(map.taps[i]?.expect?.[name] ?? ''),
  write: (map, i, typed) =>
    withRow(map, 'taps', i, (t) => ({
      ...t,
      expect: { ...(t.expect ?? FRESH), [name]: numberIn(typed, head) },
    })),
});

const nextTap = (map: UnitMap) => {
  for (let n = 1; ; n++) if (!map.taps.some((t) => t.id === `TP${n}`)) return `TP${n}`;
};

export const taps: Sheet = {
  id: 'taps',
  title: 'Taps',
  note: 'Points to look, listen or measure at. What stands before a point is what it tests.',
  empty: 'There is no point to look or measure at: Trace can only try, flex and swap. Add one.',
  count: (map) => map.taps.length,
  called: (map, i) => map.taps[i]?.id ?? '',
  add: (map) => ({
    ...map,
    taps: [
      ...map.taps,
      {
        id: nextTap(map),
        name: 'test point',
        after: map.elements.at(-1)?.id ?? '',
        how: 'measure',
        minutes: 1,
        power: 'on',
        expect: FRESH,
      },
    ],
  }),
  remove: (map, i) => withoutRow(map, 'taps', i),
  columns: [
    text('taps', 'id', 'Mark', { kind: 'mono', width: 84 }),
    text('taps', 'name', 'What it is', { width: 190 }),
    text('taps', 'after', 'After', { kind: 'choice', width: 170, options: elementOptions }),
    text('taps', 'how', 'How', {
      kind: 'choice',
      width: 120,
      options: words(['measure', 'look', 'listen']),
      write: (map, i, typed) =>
        withRow(map, 'taps', i, (t) => {
          const how = typed as Tap['how'];
          const { expect: _, ...plain } = t;
          return how === 'measure' ? { ...t, how, expect: t.expect ?? FRESH } : { ...plain, how };
        }),
    }),
    expected('nominal', 'Should read'),
    expected('tolerance', '±'),
    expected('low', 'At least'),
    expected('high', 'At most'),
    {
      head: 'Unit',
      kind: 'mono',
      width: 72,
      idle: (map, i) => map.taps[i]?.how !== 'measure',
      read: (map, i) => map.taps[i]?.expect?.unit ?? '',
      write: (map, i, typed) =>
        withRow(map, 'taps', i, (t) => {
          if (!typed.trim()) throw new Refusal('say in which unit it reads');
          return { ...t, expect: { ...(t.expect ?? FRESH), unit: typed.trim() } };
        }),
    },
    {
      head: 'a.c.',
      kind: 'flag',
      width: 56,
      idle: (map, i) => map.taps[i]?.how !== 'measure',
      read: (map, i) => (map.taps[i]?.ac ? 'yes' : ''),
      write: (map, i, typed) => withRow(map, 'taps', i, (t) => put(t, 'ac', typed === 'yes')),
    },
    text('taps', 'power', 'Power', {
      kind: 'choice',
      width: 110,
      options: () => [
        { value: '', words: 'either' },
        { value: 'on', words: 'on' },
        { value: 'off', words: 'off' },
      ],
      write: (map, i, typed) => withRow(map, 'taps', i, (t) => put(t, 'power', typed)),
    }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.taps[i]?.minutes ?? ''),
      write: (map, i, typed) => {
        const minutes = numberIn(typed, 'minutes');
        if (!(minutes > 0)) throw new Refusal('minutes must be over 0');
        return withRow(map, 'taps', i, (t) => ({ ...t, minutes }));
      },
    },
    names('taps', 'needs', 'Covers off', namesIn, { width: 160 }),
    text('taps', 'note', 'Do first', {
      width: 220,
      write: (map, i, typed) => withRow(map, 'taps', i, (t) => put(t, 'note', typed)),
    }),
    onlyIn('taps'),
  ],
};
