import { Refusal } from '../../../../core/refusal';
import type { OwnCheck } from '../../../../core/unit';
import {
  idsIn,
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
import { free } from './choices';

/** `no code; E1 left load = A2 W1` */
const answersText = (c: OwnCheck | undefined) =>
  (c?.answers ?? []).map((a) => (a.points.length ? `${a.name} = ${a.points.join(' ')}` : a.name)).join('; ');

export const checks: Sheet = {
  id: 'checks',
  title: 'Own checks',
  note: 'Self-tests, knocks and tricks of this model. With several answers, write them as: no code; E1 = A2 W1.',
  empty: 'The usual checks follow from the map by themselves. Add one that does not.',
  count: (map) => map.checks?.length ?? 0,
  called: (map, i) => map.checks?.[i]?.name ?? '',
  add: (map) => ({
    ...map,
    checks: [
      ...(map.checks ?? []),
      {
        id: free(
          (map.checks ?? []).map((c) => c.id),
          'check',
        ),
        name: 'Self-test',
        exercises: map.elements.slice(0, 1).map((e) => e.id),
        minutes: 2,
      },
    ],
  }),
  remove: (map, i) => withoutRow(map, 'checks', i),
  columns: [
    text('checks', 'name', 'What is done', { width: 260 }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 84,
      read: (map, i) => String(map.checks?.[i]?.minutes ?? ''),
      write: (map, i, typed) =>
        withRow(map, 'checks', i, (c) => ({ ...c, minutes: numberIn(typed, 'minutes') })),
    },
    {
      ...names('checks', 'exercises', 'Puts to the test', idsIn, { width: 240 }),
      write: (map, i, typed) => withRow(map, 'checks', i, (c) => ({ ...c, exercises: idsIn(typed) })),
    },
    {
      head: 'Several answers',
      kind: 'text',
      width: 360,
      read: (map, i) => answersText(map.checks?.[i]),
      write: (map, i, typed) =>
        withRow(map, 'checks', i, (c) => {
          const answers = typed
            .split(';')
            .map((x) => x.trim())
            .filter(Boolean)
            .map((x) => {
              const [name = '', points = ''] = x.split('=');
              const was = c.answers?.find((a) => a.name === name.trim());
              return { id: was?.id ?? name.trim(), name: name.trim(), points: idsIn(points) };
            });
          if (answers.length === 1) throw new Refusal('several answers are two at least, parted by ;');
          return put(c, 'answers', answers);
        }),
    },
    names('checks', 'needs', 'Covers off', namesIn, { width: 150 }),
    text('checks', 'power', 'Power', {
      kind: 'choice',
      width: 110,
      options: () => [
        { value: '', words: 'either' },
        { value: 'on', words: 'on' },
        { value: 'off', words: 'off' },
      ],
      write: (map, i, typed) => withRow(map, 'checks', i, (c) => put(c, 'power', typed)),
    }),
    text('checks', 'leaves', 'Leaves changed', {
      width: 200,
      write: (map, i, typed) => withRow(map, 'checks', i, (c) => put(c, 'leaves', typed)),
    }),
    onlyIn('checks'),
  ],
};
