import { useState } from 'react';
import type { VanLine } from '../../core/day-plan';
import type { Movement } from '../../core/stock';
import { Second } from '../../ui/Action';
import { TextField, Wrong } from '../../ui/Field';
import type { StoreLink } from '../stores/use-store';
import type { DayLink } from './use-day';

/** How many of a thing the jobs of a day used up on that day. */
async function usedOn(item: string, day: string, tags: Set<string>): Promise<number | null> {
  const res = await fetch(`/api/stock/${item}/movements`).catch(() => null);
  if (!res?.ok) return null;
  const lines = (await res.json()) as Movement[];
  return lines.reduce((n, m) => {
    if (m.at.slice(0, 10) !== day || !m.job || !tags.has(m.job.tag)) return n;
    return m.kind === 'used' ? n + m.count : m.kind === 'returned' ? n - m.count : n;
  }, 0);
}

/** What of the store came back in the van: counted, and a difference written down as one. */
export function CameBack({ link, lines, store }: { link: DayLink; lines: VanLine[]; store: StoreLink }) {
  const { plan, offers, change } = link;
  const [counts, setCounts] = useState<Record<string, { took: string; back: string }>>({});
  const [wrong, setWrong] = useState<{ item: string; reason: string } | null>(null);
  const [told, setTold] = useState<Record<string, string>>({});
  const tags = new Set(
    plan.jobs.flatMap((j) => {
      const o = offers.find((x) => x.job === j.job);
      return o ? [o.tag] : [];
    }),
  );
  const booked = new Map(plan.van.back.map((b) => [b.item, b]));
  const book = async (item: string) => {
    const { took = '1', back = '' } = counts[item] ?? {};
    const [t, b] = [took, back].map((x) => Number(x.trim().replace(',', '.'))) as [number, number];
    if (!(t > 0)) return setWrong({ item, reason: 'how many went along, over 0' });
    if (back.trim() === '' || !(b >= 0)) return setWrong({ item, reason: 'how many came back, 0 or more' });
    if (b > t) return setWrong({ item, reason: `${t} went along: no more can come back` });
    const used = await usedOn(item, plan.day, tags);
    if (used === null) return setWrong({ item, reason: 'the server does not answer: try again' });
    const off = Math.round((t - used - b) * 1000) / 1000;
    if (off !== 0) {
      const failed = await store.move({
        item,
        kind: off > 0 ? 'written off' : 'found',
        count: Math.abs(off),
        why: `van of ${plan.day}: ${t} along, ${used} used, ${b} back`,
      });
      if (failed) return setWrong({ item, reason: failed.reason });
    }
    setWrong(null);
    setTold({
      ...told,
      [item]:
        off > 0
          ? `${off} missing: written off`
          : off < 0
            ? `${-off} more than there should be: written down as found`
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
                  <Second small type="submit" disabled={store.busy}>
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
