import { useState } from 'react';
import { ulid } from 'ulid';
import { cameBack, type VanLine, vanOfDay } from '../../core/day-plan';
import type { Movement } from '../../core/stock';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import { author } from '../job/author';
import { send } from '../units/send';
import type { DayLink } from './use-day';

/** What of the store came back in the van: counted, and a difference written down as one. */
export function CameBack({ link, lines }: { link: DayLink; lines: VanLine[] }) {
  const { plan, offers, change } = link;
  const [counts, setCounts] = useState<Record<string, { took: string; back: string }>>({});
  const [wrong, setWrong] = useState<{ item: string; reason: string } | null>(null);
  const [told, setTold] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const tags = plan.jobs.flatMap((j) => offers.find((x) => x.job === j.job)?.tag ?? []);
  const booked = new Map(plan.van.back.map((b) => [b.item, b]));
  const book = async (item: string) => {
    const { took = '1', back = '' } = counts[item] ?? {};
    const [t, b] = [took, back].map((x) => Number(x.trim().replace(',', '.'))) as [number, number];
    if (!(t > 0)) return setWrong({ item, reason: 'how many went along, over 0' });
    if (back.trim() === '' || !(b >= 0)) return setWrong({ item, reason: 'how many came back, 0 or more' });
    if (b > t) return setWrong({ item, reason: `${t} went along: no more can come back` });
    setBusy(true);
    const res = await fetch(`/api/stock/${item}/movements`).catch(() => null);
    if (!res?.ok) {
      setBusy(false);
      return setWrong({ item, reason: 'the server does not answer: try again' });
    }
    const { used, missing } = cameBack(plan, tags, (await res.json()) as Movement[], t, b);
    if (missing !== 0) {
      const sent = await send('/api/stock/movements', {
        id: ulid(),
        item,
        at: new Date().toISOString(),
        by: author.get(),
        kind: missing > 0 ? 'written off' : 'found',
        count: Math.abs(missing),
        why: `${vanOfDay(plan)}: ${t} along, ${used} used, ${b} back`,
      });
      if (!sent.ok) {
        setBusy(false);
        return setWrong({ item, reason: sent.failure.reason });
      }
    }
    setBusy(false);
    setWrong(null);
    setTold({
      ...told,
      [item]:
        missing > 0
          ? `${missing} missing: written off`
          : missing < 0
            ? `${-missing} more than there should be: written down as found`
            : 'it adds up',
    });
    change({
      van: {
        ...plan.van,
        back: [...plan.van.back.filter((x) => x.item !== item), { item, took: t, back: b }],
      },
    });
  };
  return (
    <section aria-label="Came back" className="grid gap-1 no-print">
      <h2 className="sec">Came back</h2>
      <p className="note">What the jobs used is taken off by their own entries; the rest is counted here.</p>
      <ul>
        {lines.map((l) => {
          const item = l.item as string;
          const done = booked.get(item);
          const now = counts[item] ?? { took: '1', back: '' };
          const put = (more: Partial<typeof now>) => setCounts({ ...counts, [item]: { ...now, ...more } });
          return (
            <li key={item} className="border-t border-rule py-2">
              {done ? (
                <p className="leading-[1.3]">
                  <b>{l.what}</b>: {done.took} along, {done.back} back
                  {told[item] && <span className="note">, {told[item]}</span>}
                </p>
              ) : (
                <form
                  noValidate
                  aria-label={`${l.what} came back`}
                  className="grid grid-cols-[minmax(0,1fr)_80px_80px_auto] max-[700px]:grid-cols-2 gap-2 items-end"
                  onSubmit={(e) => {
                    e.preventDefault();
                    void book(item);
                  }}
                >
                  <b className="leading-[1.2] max-[700px]:col-span-2">{l.what}</b>
                  <TextField
                    label="Along"
                    inputMode="decimal"
                    value={now.took}
                    onChange={(e) => put({ took: e.target.value })}
                  />
                  <TextField
                    label="Back"
                    inputMode="decimal"
                    value={now.back}
                    onChange={(e) => put({ back: e.target.value })}
                  />
                  <Second small type="submit" disabled={busy}>
                    Book it
                  </Second>
                  {wrong?.item === item && <Wrong>{wrong.reason}</Wrong>}
                </form>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
