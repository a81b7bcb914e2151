import { Refusal } from '../../../../core/refusal';
import { names, namesIn, numberIn, onlyIn, put, type Sheet, text, withoutRow, withRow } from '../sheet';
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
  remove: (map, i) => {
    const gone = map.access[i]?.id;
    const rest = <T extends { needs?: string[] }>(x: T): T =>
      x.needs
        ? put(
            x,
            'needs',
            x.needs.filter((n) => n !== gone),
          )
        : x;
    return {
      ...withoutRow(map, 'access', i),
      access: map.access.filter((a) => a.id !== gone).map(rest),
      elements: map.elements.map((e) =>
        rest(
          e.touch
            ? put(
                e,
                'touch',
                e.touch.filter((n) => n !== gone),
              )
            : e,
        ),
      ),
      taps: map.taps.map(rest),
      ...(map.moves ? { moves: map.moves.map((m) => (m.opens === gone ? put(m, 'opens', '') : m)) } : {}),
      hazards: map.hazards.map((h) =>
        h.exposedBy
          ? put(
              h,
              'exposedBy',
              h.exposedBy.filter((n) => n !== gone),
            )
          : h,
      ),
    };
  },
  columns: [
    text('access', 'id', 'Short name', {
      width: 170,
      write: (map, i, typed) => {
        const from = map.access[i]?.id;
        const to = typed.trim();
        if (!to) throw new Refusal('give the cover a name');
        const one = (n: string) => (n === from ? to : n);
        const needs = <T extends { needs?: string[] }>(x: T): T =>
          x.needs ? { ...x, needs: x.needs.map(one) } : x;
        return {
          ...map,
          access: map.access.map((a, k) =>
            needs(k === i ? { ...a, id: to, name: a.name === from ? to : a.name } : a),
          ),
          elements: map.elements.map((e) => needs(e.touch ? { ...e, touch: e.touch.map(one) } : e)),
          taps: map.taps.map(needs),
          ...(map.moves ? { moves: map.moves.map((m) => (m.opens === from ? { ...m, opens: to } : m)) } : {}),
          hazards: map.hazards.map((h) => (h.exposedBy ? { ...h, exposedBy: h.exposedBy.map(one) } : h)),
        };
      },
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
