import { useMemo, useRef, useState } from 'react';
import type { ChemistryRow } from '../../core/chemistry';
import { placeOf, type ToOrder } from '../../core/stock';
import { Second } from '../../ui/Action';
import { alongRows } from '../../ui/along-rows';
import { Choices, TextField, Wrong } from '../../ui/Field';
import { Foot } from '../../ui/Foot';
import { LongList } from '../../ui/LongList';
import { SheetFrame } from '../sheet/SheetFrame';
import { SumHost } from '../sums/SumHost';
import { ItemForm } from './ItemForm';
import { StockPanel } from './StockPanel';
import { type Stocked, useStore } from './use-store';

const HELP = [
  { keys: '/', does: 'find in the store' },
  { keys: 'A', does: 'a thing more' },
  { keys: 'O', does: 'what to order' },
  { keys: '↑ ↓', does: 'along the things' },
];

/** The store: what there is, where it lies, for whom it is set aside, what to order. */
export function Stores({
  items: first,
  order: firstOrder,
  currency,
  chemistry,
  chosen: firstChosen,
}: {
  items: Stocked[];
  order: ToOrder[];
  currency: string;
  chemistry: ChemistryRow[];
  chosen: string;
}) {
  const store = useStore({ items: first, order: firstOrder });
  const [words, setWords] = useState('');
  const [shows, setShows] = useState<'all' | 'order'>('all');
  const [chosen, setChosen] = useState(firstChosen);
  const [adding, setAdding] = useState(false);
  const keys = useMemo(
    () => ({
      '/': () => document.querySelector<HTMLElement>('[data-key=find]')?.focus(),
      a: () => setAdding(true),
      o: () => setShows('order'),
      ArrowDown: () => alongRows(1),
      ArrowUp: () => alongRows(-1),
    }),
    [],
  );
  const panel = useRef<HTMLDivElement>(null);
  const why = new Map(store.order.map((o) => [o.item, o]));
  const asked = words.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = store.items.filter(({ item }) => {
    const text =
      `${item.what} ${item.reference ?? ''} ${item.supplier ?? ''} ${placeOf(item)} ${item.models.join(' ')} ${item.elements.join(' ')}`.toLowerCase();
    return asked.every((w) => text.includes(w)) && (shows === 'all' || why.has(item.id));
  });
  const here = store.items.find((i) => i.item.id === chosen);
  return (
    <SheetFrame
      tag="stores"
      title="Stores"
      about={`${store.items.length} ${store.items.length === 1 ? 'thing' : 'things'}, ${store.order.length} to order`}
      label="Stores"
      busy={store.busy}
      back={{ href: '/', words: 'bench' }}
      help={HELP}
      keys={keys}
    >
      <div className="cols">
        <div className="pad grid gap-3 content-start grid-cols-[minmax(0,1fr)]">
          <div className="flex flex-wrap gap-3 items-end">
            <TextField
              label="Find in the store"
              type="search"
              data-key="find"
              className="min-w-[240px] flex-1"
              value={words}
              onChange={(e) => setWords(e.target.value)}
              autoComplete="off"
            />
            <Choices
              label="Shown"
              name="shows"
              value={shows}
              onPick={(v) => setShows(v as 'all' | 'order')}
              options={[
                { value: 'all', words: 'Everything' },
                { value: 'order', words: `To order (${store.order.length})` },
              ]}
              hideLabel
            />
          </div>
          {store.wrong && <Wrong>{store.wrong}</Wrong>}
          {shown.length === 0 ? (
            <p className="note">
              {store.items.length === 0
                ? 'Nothing is kept in the store yet. Take the first thing in at the right: what it is, where it lies, how many.'
                : shows === 'order'
                  ? 'Nothing is to be ordered.'
                  : 'Nothing like that is in the store.'}
            </p>
          ) : (
            <section aria-label="Things of the store">
              <LongList items={shown} keyOf={(s) => s.item.id}>
                {(s) => (
                  <Row
                    stocked={s}
                    order={why.get(s.item.id)}
                    chosen={s.item.id === chosen}
                    onPick={() => {
                      setChosen(s.item.id);
                      setAdding(false);
                      // Where it stands above the list, it comes into sight.
                      requestAnimationFrame(() => panel.current?.scrollIntoView({ block: 'nearest' }));
                    }}
                  />
                )}
              </LongList>
            </section>
          )}
        </div>
        <div
          ref={panel}
          className={`max-[1180px]:order-first min-[1181px]:sticky min-[1181px]:top-0 min-[1181px]:self-start min-[1181px]:max-h-[calc(100dvh-126px)] overflow-y-auto ${adding || here || store.items.length === 0 ? '' : 'max-[1180px]:hidden'}`}
        >
          {adding || !here ? (
            <ItemForm
              key="new"
              store={store}
              currency={currency}
              chemistry={chemistry}
              onDone={(id) => {
                setAdding(false);
                setChosen(id);
              }}
            />
          ) : (
            <StockPanel
              key={here.item.id}
              stocked={here}
              store={store}
              currency={currency}
              chemistry={chemistry}
            />
          )}
        </div>
      </div>
      <Foot>
        <Second keyName="A" onClick={() => setAdding(true)}>
          A thing more
        </Second>
        <a className="act-2" href="/api/stock/labels" target="_blank" rel="noreferrer">
          Labels, PDF
        </a>
        <a className="act" data-act="" href="/api/stock/order.csv" download>
          Order list (CSV)
        </a>
      </Foot>
      <SumHost />
    </SheetFrame>
  );
}

function Row({
  stocked: { item, holding: h },
  order,
  chosen,
  onPick,
}: {
  stocked: Stocked;
  order: ToOrder | undefined;
  chosen: boolean;
  onPick(): void;
}) {
  return (
    <button
      type="button"
      data-row=""
      aria-pressed={chosen}
      onClick={onPick}
      className={`w-full text-left grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(96px,auto)] max-[700px]:grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-1 items-center min-h-[56px] px-2 py-2 border-b border-rule ${chosen ? 'bg-slate-wash' : 'hover:bg-inset'}`}
    >
      <span className="leading-[1.25]">
        <b className="block">{item.what}</b>
        <span className="note">{[item.reference, item.supplier].filter(Boolean).join(', ')}</span>
      </span>
      <span className="leading-[1.25] max-[700px]:row-start-2">
        {placeOf(item)}
        {order && <b className="block text-ochre text-[14px]">{order.why.join('; ')}</b>}
        {h.reserved.map((r) => (
          <span className="note block" key={r.job}>
            {r.count} set aside for {r.tag}
          </span>
        ))}
      </span>
      <span className="justify-self-end text-right leading-[1.1]">
        <b className="font-big text-[24px]">{h.onHand}</b>
        <span className="note block">{item.unit}</span>
      </span>
    </button>
  );
}
