import { placeOf } from '../../../core/stock';
import { file, PDF } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { labelSheet } from '../../labels';
import { readStore } from '../../stock/store';

/** Labels for the places of the store. */
export const stockLabels = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/stock/labels',
  summary: 'A label for each thing of the store, as a PDF; ?item= for one',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle({ url }) {
    const { items } = await readStore((await database()).read, new Date().toISOString().slice(0, 10));
    const only = url.searchParams.get('item');
    const labels = items
      .filter((i) => !only || i.item.id === only)
      .map(({ item }) => ({
        head: placeOf(item),
        lines: [
          item.what,
          [item.reference, item.supplier].filter(Boolean).join(', '),
          item.useBy ? `until ${item.useBy}` : '',
        ],
        link: `${url.origin}/stores?item=${item.id}`,
      }));
    return file(await labelSheet(labels, 'Store'), PDF, 'store labels.pdf', 'inline');
  },
});
