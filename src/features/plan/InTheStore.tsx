import { useState } from 'react';
import { ulid } from 'ulid';
import { modelOf, plansOf } from '../../core/job';
import { amountOf, placeOf, stockFor } from '../../core/stock';
import { Second } from '../../ui/Action';
import { Wrong } from '../../ui/Field';
import { author } from '../job/author';
import { useJob } from '../job/use-job';
import { useStock } from '../stores/use-stock';
import { send } from '../units/send';

/** What the store holds of the parts that are planned or looked at, and whether it is set aside for this job. */
export function InTheStore({ looked }: { looked: { element: string; parts: string[] } | null }) {
  const { job } = useJob();
  const { stock, again } = useStock();
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const model = modelOf(job.map);
  const asked = [
    ...plansOf(job).flatMap((p) => (p.element ? [{ element: p.element, parts: p.parts }] : [])),
    ...(looked ? [looked] : []),
  ].flatMap(({ element, parts }) => parts.map((part) => ({ model, element, part })));
  // Looked at and planned is one thing.
  const wanted = asked.filter(
    (w, i) => asked.findIndex((x) => x.element === w.element && x.part === w.part) === i,
  );
  if (wanted.length === 0) return null;
  const byId = new Map(stock.map((s) => [s.item.id, s]));
  const move = async (kind: 'reserved' | 'released', item: string, count: number) => {
    setBusy(true);
    const sent = await send('/api/stock/movements', {
      id: ulid(),
      item,
      at: new Date().toISOString(),
      by: author.get() || 'bench',
      kind,
      count,
      job: { id: job.id, tag: job.tag },
    });
    setWrong(sent.ok ? '' : sent.failure.reason);
    await again();
    setBusy(false);
  };
  return (
    <section aria-label="In the store" className="grid gap-2 pb-3">
      <div className="lead">
        <h2 className="sec">In the store</h2>
        <a href="/stores" className="act-2 small">
          Stores
        </a>
      </div>
      {wanted.map((w) => {
        const found = stockFor(
          stock.map((s) => s.item),
          w,
        ).flatMap((f) => byId.get(f.item.id) ?? []);
        return (
          <div key={`${w.element} ${w.part}`} className="grid gap-1">
            <p>
              <b>{w.part}</b>
              {found.length === 0 && <span className="note"> is not in the store</span>}
            </p>
            {found.map(({ item, holding: h }) => {
              const own = h.reserved.find((r) => r.job === job.id)?.count ?? 0;
              return (
                <p key={item.id} className="flex flex-wrap gap-2 items-center justify-between">
                  <span className="leading-[1.25]">
                    {amountOf(h.onHand, item.unit)} on hand, {placeOf(item)}
                    <span className="note block">
                      {own > 0
                        ? `${own} set aside for this job`
                        : h.free > 0
                          ? `${h.free} free`
                          : h.reserved.length
                            ? `set aside for ${h.reserved.map((r) => r.tag).join(', ')}`
                            : 'none free'}
                      {item.what !== w.part && `, as ${item.what}`}
                    </span>
                  </span>
                  {own > 0 ? (
                    <Second small disabled={busy} onClick={() => move('released', item.id, own)}>
                      Set free
                    </Second>
                  ) : (
                    h.free >= 1 && (
                      <Second small disabled={busy} onClick={() => move('reserved', item.id, 1)}>
                        Set aside
                      </Second>
                    )
                  )}
                </p>
              );
            })}
          </div>
        );
      })}
      {wrong && <Wrong>{wrong}</Wrong>}
    </section>
  );
}
