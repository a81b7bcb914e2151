import { idsIn, names, type Sheet, text, withoutRow, withRow } from '../sheet';
import { free } from './choices';

export const channels: Sheet = {
  id: 'channels',
  title: 'Channels',
  note: 'Elements that do the same work side by side. Two of the same length can be exchanged to tell which half fails.',
  empty: 'There are no channels. Add two or more where the unit has the same thing twice.',
  count: (map) => map.channels?.length ?? 0,
  called: (map, i) => map.channels?.[i]?.name ?? '',
  add: (map) => {
    const id = free(
      (map.channels ?? []).map((c) => c.id),
      'channel',
    );
    return {
      ...map,
      channels: [
        ...(map.channels ?? []),
        { id, name: id, elements: map.elements.slice(-2).map((e) => e.id) },
      ],
    };
  },
  remove: (map, i) => withoutRow(map, 'channels', i),
  columns: [
    text('channels', 'name', 'Name', { width: 220 }),
    {
      ...names('channels', 'elements', 'Elements, in signal order', idsIn, { width: 420 }),
      write: (map, i, typed) => withRow(map, 'channels', i, (c) => ({ ...c, elements: idsIn(typed) })),
    },
  ],
};
