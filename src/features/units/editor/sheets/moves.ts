import { Refusal } from '../../../../core/refusal';
import { MOVE_WORKS, type UnitMap, type WayBackNote } from '../../../../core/unit';
import { idsIn, names, numberIn, onlyIn, put, type Sheet, text, withoutRow, withRow } from '../sheet';

const positive = (typed: string, what: string): number => {
  const n = numberIn(typed, what);
  if (n <= 0) throw new Refusal(`${what} must be over 0`);
  return n;
};

const withBack = (map: UnitMap, i: number, key: keyof WayBackNote, value: unknown): UnitMap =>
  withRow(map, 'moves', i, (m) => {
    const back = put(m.back ?? {}, key, value);
    return put(m, 'back', Object.keys(back).length ? back : undefined);
  });

export const moves: Sheet = {
  id: 'moves',
  title: 'Way in',
  note: 'The moves that open it, as on the entry line. A job writes them itself: keep them at Hand over. Groups of another way in are written as: m1 m2 or m5.',
  empty: 'Nobody has kept a way in yet. Record one on the bench, or write it here.',
  count: (map) => map.moves?.length ?? 0,
  called: (map, i) => map.moves?.[i]?.id ?? '',
  add: (map) => {
    const taken = (map.moves ?? []).map((m) => m.id);
    let n = taken.length + 1;
    while (taken.includes(`m${n}`)) n++;
    return {
      ...map,
      moves: [
        ...(map.moves ?? []),
        { id: `m${n}`, text: '4 x M3x8 PH1 cover > cup 1', tool: 'PH1 driver', sideUp: null, minutes: 1 },
      ],
    };
  },
  remove: (map, i) => {
    const gone = map.moves?.[i]?.id;
    const left = withoutRow(map, 'moves', i);
    return {
      ...left,
      moves: (left.moves ?? []).map((m) => {
        const rest = m.after
          ? put(
              m,
              'after',
              m.after.filter((id) => id !== gone),
            )
          : m;
        return rest.afterAny
          ? put(
              rest,
              'afterAny',
              rest.afterAny.filter((g) => !g.includes(gone ?? '')),
            )
          : rest;
      }),
    };
  },
  columns: [
    text('moves', 'id', 'Mark', {
      kind: 'mono',
      width: 76,
      write: (map, i, typed) => {
        const from = map.moves?.[i]?.id;
        const to = typed.trim();
        if (!to) throw new Refusal('give the move a mark, such as m1');
        const one = (id: string) => (id === from ? to : id);
        return {
          ...map,
          moves: (map.moves ?? []).map((m, k) => ({
            ...m,
            id: k === i ? to : m.id,
            ...(m.after ? { after: m.after.map(one) } : {}),
            ...(m.afterAny ? { afterAny: m.afterAny.map((g) => g.map(one)) } : {}),
          })),
        };
      },
    }),
    text('moves', 'text', 'Move', { kind: 'mono', width: 380 }),
    text('moves', 'tool', 'Tool', {
      width: 150,
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => ({ ...m, tool: typed.trim() || null })),
    }),
    text('moves', 'sideUp', 'Side up', {
      width: 110,
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => ({ ...m, sideUp: typed.trim() || null })),
    }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.moves?.[i]?.minutes ?? ''),
      write: (map, i, typed) =>
        withRow(map, 'moves', i, (m) => ({ ...m, minutes: numberIn(typed, 'minutes') })),
    },
    names('moves', 'after', 'After', idsIn, { width: 140 }),
    {
      head: 'or after one of',
      kind: 'ids',
      width: 170,
      read: (map, i) => (map.moves?.[i]?.afterAny ?? []).map((g) => g.join(' ')).join(' or '),
      write: (map, i, typed) =>
        withRow(map, 'moves', i, (m) =>
          put(
            m,
            'afterAny',
            typed
              .split(/\bor\b/)
              .map(idsIn)
              .filter((g) => g.length > 0),
          ),
        ),
    },
    text('moves', 'opens', 'Opens', {
      kind: 'choice',
      width: 150,
      options: (map) => [
        { value: '', words: 'nothing' },
        ...map.access.map((a) => ({ value: a.id, words: a.name })),
      ],
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => put(m, 'opens', typed)),
    }),
    text('moves', 'caution', 'Caution', {
      width: 240,
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => put(m, 'caution', typed)),
    }),
    text('moves', 'works', 'Heat or lever', {
      kind: 'choice',
      width: 110,
      options: () => [{ value: '', words: 'neither' }, ...MOVE_WORKS.map((w) => ({ value: w, words: w }))],
      write: (map, i, typed) => withRow(map, 'moves', i, (m) => put(m, 'works', typed)),
    }),
    {
      head: 'Then waits, min',
      kind: 'number',
      width: 110,
      read: (map, i) => String(map.moves?.[i]?.handsOff ?? ''),
      write: (map, i, typed) =>
        withRow(map, 'moves', i, (m) => put(m, 'handsOff', typed.trim() ? positive(typed, 'the wait') : '')),
    },
    {
      head: 'New one going back',
      kind: 'flag',
      read: (map, i) => (map.moves?.[i]?.back?.fresh ? 'yes' : ''),
      write: (map, i, typed) => withBack(map, i, 'fresh', typed === 'yes' ? true : undefined),
    },
    {
      head: 'Torque going back, N·m',
      kind: 'number',
      width: 120,
      read: (map, i) => String(map.moves?.[i]?.back?.torqueNm ?? ''),
      write: (map, i, typed) =>
        withBack(map, i, 'torqueNm', typed.trim() ? positive(typed, 'the torque') : undefined),
    },
    {
      head: 'Cures going back, min',
      kind: 'number',
      width: 120,
      read: (map, i) => String(map.moves?.[i]?.back?.cureMinutes ?? ''),
      write: (map, i, typed) =>
        withBack(map, i, 'cureMinutes', typed.trim() ? positive(typed, 'the cure') : undefined),
    },
    {
      head: 'Different going back',
      kind: 'text',
      width: 240,
      read: (map, i) => map.moves?.[i]?.back?.note ?? '',
      write: (map, i, typed) => withBack(map, i, 'note', typed),
    },
    onlyIn('moves'),
  ],
};
