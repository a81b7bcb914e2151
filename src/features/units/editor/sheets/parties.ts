import { TELL_BEFORES } from '../../../../core/unit';
import { put, type Sheet, text, withoutRow, withRow } from '../sheet';
import { free } from './choices';

export const parties: Sheet = {
  id: 'parties',
  title: 'Who has to know',
  note: 'Who is told before the unit is tried, or has to allow it: alarm receiver, cash owner, maker. Asked for in Make safe, before the first cover.',
  empty: 'Nobody has to be told.',
  count: (map) => map.parties?.length ?? 0,
  called: (map, i) => map.parties?.[i]?.who ?? '',
  add: (map) => {
    const list = map.parties ?? [];
    const id = free(
      list.map((p) => p.id),
      'party',
    );
    return { ...map, parties: [...list, { id, who: 'owner', must: 'told' }] };
  },
  remove: (map, i) => withoutRow(map, 'parties', i),
  columns: [
    text('parties', 'who', 'Who', { width: 220 }),
    text('parties', 'must', 'Has to', {
      kind: 'choice',
      width: 150,
      options: () => [
        { value: 'told', words: 'be told' },
        { value: 'allow', words: 'allow it' },
      ],
      write: (map, i, typed) =>
        withRow(map, 'parties', i, (p) => ({ ...p, must: typed === 'allow' ? 'allow' : 'told' })),
    }),
    text('parties', 'before', 'Before', {
      kind: 'choice',
      width: 150,
      options: () => [
        { value: '', words: 'the first cover' },
        { value: 'test', words: 'the test' },
        { value: 'hand over', words: 'the hand over' },
      ],
      write: (map, i, typed) =>
        withRow(map, 'parties', i, (p) =>
          put(
            p,
            'before',
            TELL_BEFORES.find((b) => b === typed),
          ),
        ),
    }),
    text('parties', 'why', 'Why', {
      width: 380,
      write: (map, i, typed) => withRow(map, 'parties', i, (p) => put(p, 'why', typed)),
    }),
  ],
};
