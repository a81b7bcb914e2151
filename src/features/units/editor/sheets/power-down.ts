import { put, type Sheet, text, withoutRow, withRow } from '../sheet';
import { free } from './choices';

export const powerDown: Sheet = {
  id: 'powerDown',
  title: 'Power down',
  note: 'How this unit wants to be powered down: menu, storage mode, lamps out, outlet first. Each is ticked in Make safe, in this order, before its gates.',
  empty: 'It only has to be switched off.',
  count: (map) => map.powerDown?.length ?? 0,
  called: (map, i) => map.powerDown?.[i]?.text ?? '',
  add: (map) => {
    const list = map.powerDown ?? [];
    const id = free(
      list.map((s) => s.id),
      'step',
    );
    return { ...map, powerDown: [...list, { id, text: 'Menu, shut down' }] };
  },
  remove: (map, i) => withoutRow(map, 'powerDown', i),
  columns: [
    text('powerDown', 'text', 'Step', { width: 340 }),
    text('powerDown', 'note', 'Why, or how one sees it', {
      width: 340,
      write: (map, i, typed) => withRow(map, 'powerDown', i, (s) => put(s, 'note', typed)),
    }),
  ],
};
