import { useState } from 'react';
import { Second } from '../../ui/Action';
import { TextField } from '../../ui/Field';
import type { DayLink } from './use-day';

/** Rows that are drawn before somebody looks for more. */
const SHOWN = 8;

/** Jobs that are here and in nobody’s day: taken in with one press. */
export function DayOffers({ link: { plan, offers, others, change } }: { link: DayLink }) {
  const [words, setWords] = useState('');
  const [all, setAll] = useState(false);
  const mine = new Set(plan.jobs.map((j) => j.job));
  const theirs = new Map(others.flatMap((o) => o.jobs.map((j): [string, string] => [j.job, o.person])));
  const asked = words.toLowerCase().split(/\s+/).filter(Boolean);
  const open = offers.filter((o) => {
    const text = `${o.tag} ${o.unit} ${o.place} ${o.owner ?? ''}`.toLowerCase();
    return !o.over && !mine.has(o.job) && asked.every((w) => text.includes(w));
  });
  const shown = all ? open : open.slice(0, SHOWN);
  const take = (ids: string[]) =>
    change({
      jobs: [...plan.jobs, ...ids.map((job) => ({ job }))],
      order: plan.order.length ? [...plan.order, ...ids] : [],
    });
  const ready = open.filter((o) => !o.parked && !theirs.has(o.job)).map((o) => o.job);
  return (
    <section aria-label="Not in the day" className="grid gap-2">
      <div className="lead">
        <h2 className="sec">Not in the day</h2>
        {ready.length > 1 && ready.length <= 20 && (
          <Second small onClick={() => take(ready)}>
            All {ready.length} in hand
          </Second>
        )}
      </div>
      {offers.length > SHOWN && (
        <TextField
          label="Find a job"
          placeholder="tag, unit, place"
          value={words}
          onChange={(e) => setWords(e.target.value)}
          autoComplete="off"
        />
      )}
      {open.length === 0 && (
        <p className="note">
          {asked.length ? 'No job here is like that.' : 'Every job that is here is in it.'}
        </p>
      )}
      <ul>
        {shown.map((o) => (
          <li
            key={o.job}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center border-t border-rule min-h-[52px] py-1"
          >
            <span className="leading-[1.2]">
              <span className="mono">{o.tag}</span> <b>{o.unit}</b>
              <span className="note block">
                {[
                  o.place || 'place not said',
                  theirs.has(o.job) && `in ${theirs.get(o.job)}’s day`,
                  o.parked ?? '',
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </span>
            <Second small aria-label={`Take ${o.tag} into the day`} onClick={() => take([o.job])}>
              Take
            </Second>
          </li>
        ))}
      </ul>
      {open.length > shown.length && (
        <Second small className="justify-self-start" onClick={() => setAll(true)}>
          All {open.length}
        </Second>
      )}
    </section>
  );
}
