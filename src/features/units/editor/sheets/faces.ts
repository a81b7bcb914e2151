import { Refusal } from '../../../../core/refusal';
import type { Face } from '../../../../core/unit';
import { FacesDrawn } from '../FacesDrawn';
import { type Column, numberIn, onlyIn, put, type Sheet, text, withoutRow, withRow } from '../sheet';
import { free } from './choices';

const millimetres = (key: 'width' | 'height', head: string): Column => ({
  head,
  kind: 'number',
  width: 100,
  read: (map, i) => String(map.faces?.[i]?.[key] ?? ''),
  write: (map, i, typed) => {
    const mm = numberIn(typed, head.toLowerCase());
    if (mm <= 0) throw new Refusal(`${head.toLowerCase()} must be over 0`);
    return withRow(map, 'faces', i, (f) => ({ ...f, [key]: mm }));
  },
});

export const faces: Sheet = {
  id: 'faces',
  title: 'Faces',
  note: 'The sides of the unit, and what is seen under its covers. What is drawn on each, and its pins, are set under the table.',
  empty: 'No side is drawn. Add one: a plain rectangle with pins does the job.',
  count: (map) => map.faces?.length ?? 0,
  called: (map, i) => map.faces?.[i]?.name ?? '',
  add: (map) => {
    const list = map.faces ?? [];
    const id = free(
      list.map((f) => f.id),
      'side',
    );
    return { ...map, faces: [...list, { id, name: id, width: 200, height: 150 }] };
  },
  remove: (map, i) => withoutRow(map, 'faces', i),
  below: FacesDrawn,
  columns: [
    text('faces', 'name', 'Face', {
      width: 200,
      write: (map, i, typed) => withRow(map, 'faces', i, (f) => ({ ...f, name: typed })),
    }),
    millimetres('width', 'Width, mm'),
    millimetres('height', 'Height, mm'),
    text('faces', 'under', 'Seen under', {
      kind: 'choice',
      width: 180,
      options: (map) => [
        { value: '', words: 'nothing, a side' },
        ...map.access.map((a) => ({ value: a.id, words: a.name })),
      ],
      write: (map, i, typed) => withRow(map, 'faces', i, (f) => put<Face>(f, 'under', typed)),
    }),
    onlyIn('faces'),
  ],
};
