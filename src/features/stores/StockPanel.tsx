import { useState } from 'react';
import type { ChemistryRow } from '../../core/chemistry';
import { formatMoney } from '../../core/money';
import { amountOf, type Movement, placeOf } from '../../core/stock';
import { Second } from '../../ui/Action';
import { Clock } from '../../ui/Clock';
import { TextField, Wrong } from '../../ui/Field';
import { useFetched } from '../sheet/use-fetched';
import type { Failure } from '../units/send';
import { CellLook } from './CellLook';
import { ItemForm } from './ItemForm';
import type { Stocked, StoreLink } from './use-store';

/** What can be done with a thing by hand. */
const DEEDS = [
  { kind: 'received', words: 'Received' },
  { kind: 'used', words: 'Used' },
  { kind: 'written off', words: 'Written off' },
] as const;
const number = (text: string): number => Number(text.trim().replace(',', '.'));

/** One thing of the store: what is held, for whom, and how it came to that. */
export function StockPanel({
  stocked,
  store,
  currency,
  chemistry,
}: {
  stocked: Stocked;
  store: StoreLink;
  currency: string;
  chemistry: ChemistryRow[];
}) {
  const { item, holding: h } = stocked;
  const [count, setCount] = useState('1');
  const [why, setWhy] = useState('');
  const [counted, setCounted] = useState('');
  const [wrong, setWrong] = useState<(Failure & { where: 'move' | 'count' }) | null>(null);
  const [changing, setChanging] = useState(false);
  if (changing)
    return (
      <ItemForm
        store={store}
        currency={currency}
        chemistry={chemistry}
        old={stocked}
        onDone={() => setChanging(false)}
      />
    );
  const move = async (m: Pick<Movement, 'kind' | 'count'> & Partial<Movement>, where: 'move' | 'count') => {
    const failed = await store.move({
      ...m,
      item: item.id,
      ...(why.trim() && !m.why ? { why: why.trim() } : {}),
    });
    setWrong(failed ? { ...failed, where } : null);
    if (failed) return;
    setWhy('');
    setCounted('');
  };
  const count_ = (e: React.FormEvent) => {
    e.preventDefault();
    const n = number(counted);
    if (!counted.trim() || !(n >= 0))
      return setWrong({ reason: 'write how many are there, 0 or more', path: '/counted', where: 'count' });
    const off = Math.round((n - h.onHand) * 1000) / 1000;
    if (off === 0) {
      setWrong(null);
      return setCounted('');
    }
    const said = `counted ${n}, the ledger said ${h.onHand}`;
    void move({ kind: off > 0 ? 'found' : 'written off', count: Math.abs(off), why: said }, 'count');
  };
  return (
    <section className="pad grid gap-4" aria-label={item.what}>
      <div>
        <h2 className="headline text-[24px]!">{item.what}</h2>
        <p className="note">
          {[
            placeOf(item),
            item.models.length ? `fits ${item.models.join(', ')}` : '',
            item.elements.length ? `for ${item.elements.join(', ')}` : '',
            item.price === undefined ? '' : formatMoney(item.price, currency),
            item.supplier ?? '',
            item.reference ?? '',
            item.useBy ? `use by ${item.useBy}` : '',
            item.litres === undefined ? '' : `${item.litres}\u00a0L each`,
          ]
            .filter(Boolean)
            .join(', ')}
        </p>
      </div>
      <dl className="grid grid-cols-3 gap-2">
        {(
          [
            ['on hand', h.onHand],
            ['free', h.free],
            ['minimum', item.minimum],
          ] as const
        ).map(([words, n]) => (
          <div key={words}>
            <dt className="note">{words}</dt>
            <dd className="font-big font-bold text-[28px] leading-[1]">
              {n} <span className="note font-normal">{item.unit}</span>
            </dd>
          </div>
        ))}
      </dl>
      {item.cell && <CellLook stocked={stocked} cell={item.cell} store={store} chemistry={chemistry} />}
      {h.reserved.map((r) => (
        <p key={r.job} className="flex gap-2 items-center justify-between">
          <span>
            {r.count} set aside for{' '}
            <a href={`/jobs/${r.job}`} className="inline-block min-h-11 content-center">
              <b>{r.tag}</b>
            </a>
          </span>
          <Second
            small
            onClick={() => move({ kind: 'released', count: r.count, job: { id: r.job, tag: r.tag } }, 'move')}
          >
            Set free
          </Second>
        </p>
      ))}
      <form noValidate className="grid gap-2 border-t border-rule pt-3" onSubmit={(e) => e.preventDefault()}>
        <div className="grid grid-cols-[96px_minmax(0,1fr)] gap-3 items-start">
          <TextField
            label="How many"
            inputMode="decimal"
            value={count}
            onChange={(e) => setCount(e.target.value)}
          />
          <TextField
            label="Why"
            placeholder="order 2611, cracked"
            value={why}
            onChange={(e) => setWhy(e.target.value)}
            autoComplete="off"
          />
        </div>
        {wrong?.where === 'move' && <Wrong>{wrong.reason}</Wrong>}
        <span className="flex flex-wrap gap-2">
          {DEEDS.map(({ kind, words }) => (
            <Second
              key={kind}
              small
              disabled={store.busy}
              onClick={() => move({ kind, count: number(count) }, 'move')}
            >
              {words}
            </Second>
          ))}
        </span>
      </form>
      <form noValidate onSubmit={count_} className="grid gap-2 border-t border-rule pt-3">
        <TextField
          label="Counted just now"
          inputMode="decimal"
          hint={`The ledger says ${amountOf(h.onHand, item.unit)}; a difference is written down as one.`}
          value={counted}
          onChange={(e) => setCounted(e.target.value)}
          wrong={wrong?.where === 'count' ? wrong.reason : undefined}
        />
        <Second small type="submit" className="justify-self-start" disabled={store.busy}>
          Write the count
        </Second>
      </form>
      <section aria-label="Ledger" className="border-t border-rule pt-3">
        <h3 className="sec pb-1">Ledger</h3>
        <Ledger key={JSON.stringify(h)} item={item.id} />
      </section>
      <span className="flex flex-wrap gap-3">
        <Second small onClick={() => setChanging(true)}>
          Change what it is
        </Second>
        <a
          className="act-2 small"
          href={`/api/stock/labels?item=${item.id}`}
          target="_blank"
          rel="noreferrer"
        >
          Its label, PDF
        </a>
      </span>
    </section>
  );
}

/** The ledger of a thing, the newest line first; keyed by what is held, it is asked anew when it goes on. */
function Ledger({ item }: { item: string }) {
  const { data: lines, away } = useFetched<Movement[]>(`/api/stock/${item}/movements`);
  return (
    <>
      {away && <Wrong>It did not come: the server does not answer.</Wrong>}
      {lines?.length === 0 && <p className="note">Nothing moved yet.</p>}
      <ul>
        {[...(lines ?? [])].reverse().map((m) => (
          <li key={m.id} className="py-1 border-b border-rule leading-[1.25]">
            <b>
              {m.kind} {m.count}
            </b>{' '}
            <span className="note">
              <Clock at={m.at} day />, {m.by}
              {m.job && `, ${m.job.tag}`}
              {m.why && `: ${m.why}`}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
