import { onlyIn, type Sheet, text, withoutRow } from '../sheet';
import { elementOptions, words } from './choices';

export const feeds: Sheet = {
  id: 'feeds',
  title: 'Feeds',
  note: 'What feeds what. Draw one on the chain by pulling from the right edge of an element to another.',
  empty: 'Nothing feeds anything yet. Pull from one element to the next on the drawing, or add a row.',
  count: (map) => map.feeds.length,
  called: (map, i) => `${map.feeds[i]?.from} to ${map.feeds[i]?.to}`,
  add: (map) => {
    const [a, b] = map.elements.slice(-2);
    return { ...map, feeds: [...map.feeds, { from: a?.id ?? '', to: b?.id ?? '', carries: 'signal' }] };
  },
  remove: (map, i) => withoutRow(map, 'feeds', i),
  columns: [
    text('feeds', 'from', 'From', { kind: 'choice', width: 220, options: elementOptions }),
    text('feeds', 'to', 'To', { kind: 'choice', width: 220, options: elementOptions }),
    text('feeds', 'carries', 'Carries', { kind: 'choice', width: 130, options: words(['signal', 'power']) }),
    onlyIn('feeds'),
  ],
};
