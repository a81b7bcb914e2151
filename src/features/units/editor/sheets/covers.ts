import { Refusal } from '../../../../core/refusal';
import { removeCover, renameCover } from '../../../../core/unit';
import { names, namesIn, numberIn, onlyIn, type Sheet, text, withRow } from '../sheet';
import { free } from './choices';

export const access: Sheet = {
  id: 'access',
  title: 'Covers',
  note: 'What has to come off to get in: covers, shields, brackets. A cover may need another one off first.',
  empty: 'Nothing has to come off. Add a cover if something does.',
  count: (map) => map.access.length,
  called: (map, i) => map.access[i]?.name ?? '',
  add: (map) => {
    const name = free(
      map.access.map((a) => a.id),
      'cover',
    );
    return { ...map, access: [...map.access, { id: name, name, minutes: 3 }] };
  },
  remove: (map, i) => removeCover(map, map.access[i]?.id ?? ''),
  columns: [
    text('access', 'id', 'Short name', {
      width: 170,
      write: (map, i, typed) => renameCover(map, map.access[i]?.id ?? '', typed),
    }),
    text('access', 'name', 'What it is', { width: 220 }),
    {
      head: 'Minutes',
      kind: 'number',
      width: 96,
      read: (map, i) => String(map.access[i]?.minutes ?? ''),
      write: (map, i, typed) => {
        const minutes = numberIn(typed, 'minutes');
        if (minutes < 0) throw new Refusal('minutes cannot be negative');
        return withRow(map, 'access', i, (a) => ({ ...a, minutes }));
      },
    },
    names('access', 'needs', 'Off before it', namesIn, { width: 220 }),
    onlyIn('access'),
  ],
};
