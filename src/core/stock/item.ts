import type { ChemistryRow } from '../chemistry';
import { folded } from '../hazard';
import { demand } from '../refusal';
import { cellSaid } from './cell';
import type { StockItem } from './types';

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * Makes sure that a thing can be kept in a store.
 *
 * @param i as it was typed
 * @param rows chemistry in force
 * @param today as 2026-11-27
 * @throws Refusal naming the field
 * @example demandItem({ ...glue, minimum: -1 }, CHEMISTRY_ROWS, '2026-11-27') // throws: a minimum is 0 or more
 */
export function demandItem(i: StockItem, rows: ChemistryRow[], today: string): void {
  demand(i.what.trim() !== '', 'say what it is', '/what');
  demand(i.unit.trim() !== '', 'say what it is counted in: pieces, m, ml', '/unit');
  demand(Number.isFinite(i.minimum) && i.minimum >= 0, 'a minimum is 0 or more', '/minimum');
  demand(
    i.price === undefined || (Number.isSafeInteger(i.price) && i.price >= 0),
    'a price is an amount of money, 0 or more',
    '/price',
  );
  demand(
    i.useBy === undefined || (DAY.test(i.useBy) && Number.isFinite(Date.parse(i.useBy))),
    'write the last day as 2026-11-27',
    '/useBy',
  );
  demand(
    i.litres === undefined || (Number.isFinite(i.litres) && i.litres >= 0),
    'room in the van is 0 litres or more',
    '/litres',
  );
  if (!i.cell) return;
  const { series, restVolts, lookedAt } = i.cell;
  demand(
    Number.isInteger(series) && series >= 1 && series <= 400,
    'in series: a whole number, 1 to 400',
    '/cell/series',
  );
  demand(
    restVolts === undefined || (Number.isFinite(restVolts) && restVolts > 0),
    'a rest voltage is over 0 V',
    '/cell/restVolts',
  );
  demand(
    lookedAt === undefined || (DAY.test(lookedAt) && Number.isFinite(Date.parse(lookedAt))),
    'write the day of the look as 2026-11-27',
    '/cell/lookedAt',
  );
  cellSaid(i.cell, rows, today);
}

/** What a job wants of the store. */
export interface Wanted {
  model: string;
  element: string;
  /** the part in words, as the map or the plan names it */
  part: string;
}

/**
 * Things of the store that would do for what a job wants, the surest first: the same words, else known to fit
 * this element of this model.
 *
 * @param items of the store
 * @param wanted what is looked for
 * @returns things with how they were found
 * @example stockFor(items, { model: 'HL-40', element: 'W7', part: 'ribbon 10-way 200 mm' })[0]?.by // 'words'
 */
export function stockFor(items: StockItem[], wanted: Wanted): { item: StockItem; by: 'words' | 'fits' }[] {
  const part = folded(wanted.part);
  const fits = (i: StockItem) =>
    (i.models.length === 0 || i.models.includes(wanted.model)) && i.elements.includes(wanted.element);
  const elsewhere = (i: StockItem) => i.models.length > 0 && !i.models.includes(wanted.model);
  return items
    .flatMap((item): { item: StockItem; by: 'words' | 'fits' }[] => {
      if (part && folded(item.what) === part) return [{ item, by: 'words' }];
      return fits(item) && !elsewhere(item) ? [{ item, by: 'fits' }] : [];
    })
    .sort((a, b) => Number(a.by === 'fits') - Number(b.by === 'fits'));
}
