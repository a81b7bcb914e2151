import { put, type Sheet, text, withoutRow } from '../sheet';
import { free } from './choices';

export const variants: Sheet = {
  id: 'variants',
  title: 'Variants',
  note: 'Other ways the same model is built. A part that only some have names them in its column “Only in”.',
  empty: 'There is one way this unit is built, as far as is known.',
  count: (map) => map.variants?.length ?? 0,
  called: (map, i) => map.variants?.[i]?.name ?? '',
  add: (map) => {
    const id = free(
      (map.variants ?? []).map((v) => v.id),
      'variant',
    );
    return { ...map, variants: [...(map.variants ?? []), { id, name: id, tell: '' }] };
  },
  remove: (map, i) => {
    const gone = map.variants?.[i]?.id;
    const rest = <T extends { only?: string[] }>(x: T): T =>
      x.only
        ? put(
            x,
            'only',
            x.only.filter((v) => v !== gone),
          )
        : x;
    const left = withoutRow(map, 'variants', i);
    return {
      ...left,
      elements: left.elements.map(rest),
      feeds: left.feeds.map(rest),
      taps: left.taps.map(rest),
      access: left.access.map(rest),
      functions: left.functions.map(rest),
      hazards: left.hazards.map(rest),
      ...(left.checks ? { checks: left.checks.map(rest) } : {}),
    };
  },
  columns: [
    text('variants', 'id', 'Short name', { width: 180 }),
    text('variants', 'name', 'What it is', { width: 260 }),
    text('variants', 'tell', 'What gives it away', { width: 420 }),
  ],
};
