import { useState } from 'react';
import { ulid } from 'ulid';
import type { ChemistryRow } from '../../core/chemistry';
import { parseMoney, plainMoney } from '../../core/money';
import { Refusal } from '../../core/refusal';
import { STOCK_PLACES, type StockItem, type StockPlace } from '../../core/stock';
import { Action } from '../../ui/Action';
import { SelectField, TextField, Wrong } from '../../ui/Field';
import { useTyped } from '../../ui/use-kept';
import type { Failure } from '../units/send';
import type { Stocked, StoreLink } from './use-store';

const list = (text: string): string[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean);
const number = (text: string): number => Number(text.trim().replace(',', '.') || '0');

/** A thing of the store, taken in or written anew. */
export function ItemForm({
  store,
  currency,
  chemistry,
  old,
  onDone,
}: {
  store: StoreLink;
  currency: string;
  chemistry: ChemistryRow[];
  old?: Stocked;
  onDone(id: string): void;
}) {
  const i = old?.item;
  // Half typed, it is still here after a reload.
  const [f, put, drop] = useTyped(old ? `stock-${old.item.id}-${old.version}` : 'stock', {
    what: i?.what ?? '',
    unit: i?.unit ?? 'pieces',
    kind: (i?.place.kind ?? 'shelf') as StockPlace,
    label: i?.place.label ?? '',
    models: i?.models.join(', ') ?? '',
    elements: i?.elements.join(', ') ?? '',
    minimum: i ? String(i.minimum) : '',
    price: i?.price === undefined ? '' : plainMoney(i.price, currency),
    supplier: i?.supplier ?? '',
    reference: i?.reference ?? '',
    useBy: i?.useBy ?? '',
    litres: i?.litres === undefined ? '' : String(i.litres),
    cells: i?.cell?.chemistry ?? '',
    series: i?.cell ? String(i.cell.series) : '1',
    dateCode: i?.cell?.dateCode ?? '',
    count: '',
  });
  const [wrong, setWrong] = useState<Failure | null>(null);
  const text = (key: keyof typeof f) => ({
    value: f[key],
    onChange: (e: { target: { value: string } }) => {
      put({ [key]: e.target.value });
      setWrong(null);
    },
    autoComplete: 'off',
  });
  const at = (path: string) => (wrong?.path.endsWith(path) ? wrong.reason : undefined);
  const keep = async (e: React.FormEvent) => {
    e.preventDefault();
    let price: number | undefined;
    try {
      price = f.price.trim() ? parseMoney(f.price, currency) : undefined;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return setWrong({ reason: error.message, path: '/price' });
    }
    const count = number(f.count);
    if (f.count.trim() && !(count > 0)) return setWrong({ reason: 'a count is over 0', path: '/count' });
    const minimum = number(f.minimum);
    if (Number.isNaN(minimum))
      return setWrong({ reason: 'a minimum is a number, 0 or more', path: '/minimum' });
    if (Number.isNaN(number(f.litres)))
      return setWrong({ reason: 'room in the van is a number of litres', path: '/litres' });
    if (f.cells && Number.isNaN(number(f.series)))
      return setWrong({ reason: 'in series: a whole number, 1 to 400', path: '/cell/series' });
    const item: StockItem = {
      id: i?.id ?? ulid(),
      what: f.what.trim(),
      unit: f.unit.trim(),
      place: { kind: f.kind, label: f.label.trim() },
      models: list(f.models),
      elements: list(f.elements),
      minimum,
      ...(price === undefined ? {} : { price }),
      ...(f.supplier.trim() ? { supplier: f.supplier.trim() } : {}),
      ...(f.reference.trim() ? { reference: f.reference.trim() } : {}),
      ...(f.useBy ? { useBy: f.useBy } : {}),
      ...(f.litres.trim() ? { litres: number(f.litres) } : {}),
      ...(i?.oneTime ? { oneTime: true } : {}),
      ...(f.cells
        ? {
            cell: {
              ...(i?.cell?.restVolts === undefined ? {} : { restVolts: i.cell.restVolts }),
              ...(i?.cell?.lookedAt ? { lookedAt: i.cell.lookedAt } : {}),
              chemistry: f.cells,
              series: number(f.series),
              ...(f.dateCode.trim() ? { dateCode: f.dateCode.trim() } : {}),
            },
          }
        : {}),
    };
    const failed = await store.save(item, old?.version ?? 0);
    if (failed) return setWrong(failed);
    const moved = count > 0 ? await store.move({ item: item.id, kind: 'received', count }) : null;
    if (moved) return setWrong(moved);
    drop();
    onDone(item.id);
  };
  const known = [
    '/what',
    '/unit',
    '/minimum',
    '/price',
    '/useBy',
    '/count',
    '/litres',
    '/cell/series',
    '/cell/dateCode',
  ];
  return (
    <section className="pad" aria-label={old ? `Change ${old.item.what}` : 'A thing for the store'}>
      <h2 className="headline text-[24px]! pb-2">{old ? 'What it is' : 'A thing for the store'}</h2>
      <form onSubmit={keep} noValidate className="grid gap-3">
        <TextField
          label="What it is"
          placeholder="ribbon 10-way 200 mm"
          {...text('what')}
          wrong={at('/what')}
        />
        <div className="grid grid-cols-2 gap-3 items-start">
          <SelectField label="Kept" {...text('kind')}>
            {STOCK_PLACES.map((p) => (
              <option key={p} value={p}>
                {p === 'donor' ? 'in a donor' : `in the ${p}`.replace('in the shelf', 'on a shelf')}
              </option>
            ))}
          </SelectField>
          <TextField label="Where there" placeholder="B2" {...text('label')} />
        </div>
        <div className="grid grid-cols-3 gap-3 items-start">
          {!old && <TextField label="How many" inputMode="decimal" {...text('count')} wrong={at('/count')} />}
          <TextField label="Counted in" {...text('unit')} wrong={at('/unit')} />
          <TextField
            label="Minimum"
            inputMode="decimal"
            placeholder="0"
            {...text('minimum')}
            wrong={at('/minimum')}
          />
        </div>
        <TextField
          label="Fits models"
          placeholder="Quayle & Finch HL-40"
          hint="parted by commas; any where empty"
          {...text('models')}
        />
        <TextField
          label="Takes the place of"
          placeholder="W7, W8"
          hint="marks of elements"
          {...text('elements')}
        />
        <div className="grid grid-cols-2 gap-3 items-start">
          <TextField
            label="Price of one"
            hint={currency}
            inputMode="decimal"
            {...text('price')}
            wrong={at('/price')}
          />
          <TextField label="Use by" type="date" {...text('useBy')} wrong={at('/useBy')} />
          <SelectField label="Cell or pack" {...text('cells')}>
            <option value="">no cell</option>
            {chemistry.map((c) => (
              <option key={c.chemistry} value={c.chemistry}>
                {c.chemistry}
              </option>
            ))}
          </SelectField>
          <TextField
            label="Room in the van"
            hint="litres for one"
            inputMode="decimal"
            {...text('litres')}
            wrong={at('/litres')}
          />
          {f.cells && (
            <>
              <TextField
                label="Such cells in series"
                inputMode="numeric"
                {...text('series')}
                wrong={at('/cell/series')}
              />
              <TextField
                label="Date code"
                hint="as printed: 2535, 05/23"
                {...text('dateCode')}
                wrong={at('/cell/dateCode')}
              />
            </>
          )}
          <TextField label="Supplier" {...text('supplier')} />
          <TextField label="Its number there" {...text('reference')} />
        </div>
        {wrong && !known.some((k) => wrong.path.endsWith(k)) && <Wrong>{wrong.reason}</Wrong>}
        <Action type="submit" className="justify-self-start" held={store.busy ? 'keeping it' : undefined}>
          {old ? 'Keep it so' : 'Into the store'}
        </Action>
      </form>
    </section>
  );
}
