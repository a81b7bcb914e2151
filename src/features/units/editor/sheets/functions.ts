import { onlyIn, type Sheet, text, withoutRow } from '../sheet';
import { elementOptions, free } from './choices';

export const functions: Sheet = {
  id: 'functions',
  title: 'Functions',
  note: 'What the unit should do, as its user finds it, and the element where that is seen.',
  empty: 'Say at least one thing the unit should do.',
  count: (map) => map.functions.length,
  called: (map, i) => map.functions[i]?.name ?? '',
  add: (map) => ({
    ...map,
    functions: [
      ...map.functions,
      {
        id: free(
          map.functions.map((f) => f.id),
          'function',
        ),
        name: 'Works',
        output: map.elements.at(-1)?.id ?? '',
      },
    ],
  }),
  remove: (map, i) => withoutRow(map, 'functions', i),
  columns: [
    text('functions', 'name', 'It should do this', { width: 380 }),
    text('functions', 'output', 'Seen at', { kind: 'choice', width: 220, options: elementOptions }),
    onlyIn('functions'),
  ],
};
