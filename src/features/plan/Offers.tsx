import { useEffect, useMemo, useState } from 'react';
import { offerFits, partWanted } from '../../core/job';
import type { CatalogueOffer } from '../../schemas/catalogue';
import { Second } from '../../ui/Action';
import { useJob } from '../job/use-job';

const money = ({ amount, currency }: CatalogueOffer['price']) =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(amount / 100);

/** Price and lead time of the part a remedy takes, against its alternatives in the catalogue. */
export function Offers({ part, element }: { part: string; element: string }) {
  const { job } = useJob();
  const wanted = useMemo(() => partWanted(job, element, part), [job, element, part]);
  const { words } = wanted;
  /** null while it is asked, undefined where there is no catalogue */
  const [parts, setParts] = useState<CatalogueOffer[] | null | undefined>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [again, setAgain] = useState(0);
  useEffect(() => {
    let gone = false;
    setWrong(null);
    setParts(null);
    void fetch(`/api/catalogue?q=${encodeURIComponent(words)}&n=${again}`)
      .then(async (r) => {
        const body = (await r.json()) as { parts?: CatalogueOffer[]; none?: string; detail?: string };
        if (gone) return;
        if (r.ok) setParts(body.none ? undefined : (body.parts ?? []));
        else setWrong(body.detail ?? 'the catalogue does not answer');
      })
      .catch(() => !gone && setWrong('no connection to the server'));
    return () => {
      gone = true;
    };
  }, [words, again]);
  if (wrong)
    return (
      <p className="note flex gap-3 items-center">
        {wrong}{' '}
        <Second small onClick={() => setAgain(again + 1)}>
          Ask again
        </Second>
      </p>
    );
  if (parts === undefined) return null;
  if (parts === null)
    return (
      <p className="note" role="status">
        Asking the catalogue
      </p>
    );
  const fitting = parts.filter((p) => offerFits(p.name, wanted));
  const cheapest = fitting.reduce((m, p) => Math.min(m, p.price.amount), Number.POSITIVE_INFINITY);
  const soonest = fitting.reduce(
    (m, p) => Math.min(m, p.stock > 0 ? p.leadDays : Number.POSITIVE_INFINITY),
    Number.POSITIVE_INFINITY,
  );
  return (
    <section aria-label="In the catalogue" className="border border-rule p-3">
      <h3 className="sec">In the catalogue</h3>
      {fitting.length === 0 ? (
        <p className="note">
          {parts.length === 0
            ? `Nothing like “${words}” is listed.`
            : `What is listed for “${words}” is for another model, voltage or number of contacts.`}
        </p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">Part</th>
              <th scope="col">Price</th>
              <th scope="col">There in</th>
            </tr>
          </thead>
          <tbody>
            {fitting.slice(0, 6).map((p) => (
              <tr key={p.number}>
                <td>
                  <b className="mono">{p.number}</b> {p.name}
                  <span className="note block">{p.maker}</span>
                </td>
                <td className={p.price.amount === cheapest ? 'font-[650]' : ''}>{money(p.price)}</td>
                <td className={p.leadDays === soonest && p.stock > 0 ? 'font-[650]' : ''}>
                  {p.leadDays}&nbsp;days
                  <span className="note block">{p.stock > 0 ? `${p.stock} in stock` : 'none in stock'}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
