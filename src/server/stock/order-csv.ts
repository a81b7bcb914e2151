import { plainMoney } from '../../core/money';
import { placeOf } from '../../core/stock';
import { csvOf } from '../csv';
import type { Store } from './store';

const COLUMNS = ['what', 'reference', 'supplier', 'count', 'unit', 'price', 'currency', 'why', 'place'];

/** What to order, as a table. */
export function orderCsv({ items, order }: Store, currency: string): string {
  const by = new Map(items.map((i) => [i.item.id, i.item]));
  return csvOf(
    order.flatMap((o) => {
      const item = by.get(o.item);
      return item
        ? [
            {
              what: item.what,
              reference: item.reference ?? '',
              supplier: item.supplier ?? '',
              count: o.count,
              unit: item.unit,
              price: item.price === undefined ? '' : plainMoney(item.price, currency),
              currency: item.price === undefined ? '' : currency,
              why: o.why.join('; '),
              place: placeOf(item),
            },
          ]
        : [];
    }),
    COLUMNS,
  );
}
