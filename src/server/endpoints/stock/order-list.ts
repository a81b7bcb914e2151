import { CSV, file } from '../../answer';
import { database } from '../../context';
import { endpoint } from '../../endpoint';
import { orderCsv } from '../../stock/order-csv';
import { readStore } from '../../stock/store';
import { workshopOf } from '../../workshop';

/** What to order, as a table. */
export const orderList = endpoint({
  method: 'get',
  who: 'looker',
  path: '/api/stock/order.csv',
  summary: 'What to order as a table: below the minimum, set aside and not here, its last day near',
  body: null,
  megabytes: 0,
  answer: 'file',
  status: 200,
  async handle() {
    const { read } = await database();
    const store = await readStore(read, new Date().toISOString().slice(0, 10));
    return file(orderCsv(store, (await workshopOf(read)).currency), CSV, 'to-order.csv');
  },
});
